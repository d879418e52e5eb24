/**
 * Grows whenever records gain or change fields, or the reducer gives other changes for the same command: a site's
 * chain then says what its records were at that line, and replay starts there.
 * Chosen: counted up.
 */
export const RECORDS_VERSION = 11;
