/** Largest photo, bytes; chosen: a phone's largest JPEG, and its second try over a slow line. */
export const PHOTO_BYTES = 12_000_000;
