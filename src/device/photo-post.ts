import { api, ApiError } from '../client/api';
import type { Id } from '../core/record/types';
import { photosIn, type Outbox } from './outbox';

/** What a photo is refused with for good. */
const PHOTO_REFUSALS = [404, 409, 413, 415, 422];

/**
 * Sends the photos whose bytes are still here.
 *
 * @param shown the site that is shown: that of a photo which an earlier version kept, and no command shows
 * @throws ApiError where the server cannot be had; what it refuses is set aside
 */
export async function sendPhotos(outbox: Outbox, shown: Id | null): Promise<void> {
  for (const photo of await outbox.photos()) {
    if (photo.refusal) continue;
    const site = photo.site ?? siteOf(outbox, photo.id) ?? shown;
    // A site that is made here takes photos once its first command has arrived.
    if (site === null || outbox.makes(site)) continue;
    try {
      await api.sendPhoto(site, photo.id, photo.bytes);
      await outbox.photoSent(photo.id);
    } catch (error) {
      if (!(error instanceof ApiError) || !PHOTO_REFUSALS.includes(error.status)) throw error;
      await outbox.photoRefused(photo, error.message);
    }
  }
}

/** The site of a photo that an earlier version kept: that of the command that shows it. */
const siteOf = (outbox: Outbox, photo: Id): Id | null =>
  outbox.all.find(({ command }) => photosIn(command).includes(photo))?.command.site ?? null;
