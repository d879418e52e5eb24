import { createHash, randomBytes } from 'node:crypto';
import { open, readFile, rename, rm } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import sharp from 'sharp';
import type { Id, Photo } from '../../core/record/types';
import { photoFile } from '../../store/photos';
import type { SiteStore } from '../../store/site-store';
import { HttpError } from '../base/error';
import { copyPhoto } from '../keep/replicate';

/** Longest side that is kept, px. */
const LONGEST_PX = 3000;

const sha256 = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');

/** The site that a photo goes to, and who writes there. */
export interface PhotoPlace {
  store: SiteStore;
  writer: { addPhoto: (site: Id, photo: Photo, sent: string) => Promise<void> };
}

/**
 * Stores a photo as a file, without its metadata (location, camera, time). The id is made on the device; the
 * same bytes again are the same photo.
 *
 * @throws HttpError 415 when the bytes are no JPEG or PNG, 409 when the id holds another photo
 */
export async function storePhoto(into: PhotoPlace, id: Id, sent: Uint8Array): Promise<Photo> {
  if (!/^[A-Za-z0-9][A-Za-z0-9_-]{0,63}$/.test(id)) {
    throw new HttpError(
      422,
      'invalid',
      'The photo’s id must be letters, digits, - and _ (at most 64).',
      'id',
    );
  }
  return oneAtATime(`${into.store.id} ${id}`, () => storeOnce(into, id, sent));
}

/** What is being stored, by site and id: the same id is written once, whoever sends it twice at once. */
const storing = new Map<string, Promise<unknown>>();

async function oneAtATime<R>(key: string, run: () => Promise<R>): Promise<R> {
  const before = storing.get(key) ?? Promise.resolve();
  const now = before.then(run, run);
  storing.set(key, now);
  try {
    return await now;
  } finally {
    if (storing.get(key) === now) storing.delete(key);
  }
}

async function storeOnce({ store, writer }: PhotoPlace, id: Id, sent: Uint8Array): Promise<Photo> {
  const sentHash = sha256(sent);
  const known = store.photos.find(id);
  if (known) {
    if (known.sent !== sentHash)
      throw new HttpError(409, 'exists', 'Another photo has this id. Make a new id.', 'id');
    return known.photo;
  }
  const { bytes, ...facts } = await cleaned(sent);
  await writeWhole(fileOf(store, { id, type: facts.type }), bytes);
  copyPhoto(dirname(dirname(store.folder)), store.id, photoFile({ id, type: facts.type }));
  const photo: Photo = { id, ...facts, bytes: bytes.length, sha256: sha256(bytes) };
  await writer.addPhoto(store.id, photo, sentHash);
  return photo;
}

/**
 * The stored bytes of a photo; null when there is none of this id.
 *
 * @param longestPx a copy whose longer side is at most so long; null: the photo as it is kept
 */
export async function readPhoto(
  store: SiteStore,
  id: Id,
  longestPx: number | null = null,
): Promise<{ photo: Photo; bytes: Uint8Array } | null> {
  const known = store.photos.find(id);
  if (!known) return null;
  const { photo } = known;
  const bytes = await readFile(fileOf(store, photo));
  if (longestPx === null || Math.max(photo.width, photo.height) <= longestPx) return { photo, bytes };
  const smaller = sharp(bytes).resize({ width: longestPx, height: longestPx, fit: 'inside' });
  const encoded = photo.type === 'image/png' ? smaller.png() : smaller.jpeg({ quality: 80 });
  return { photo, bytes: await encoded.toBuffer() };
}

const fileOf = ({ folder }: SiteStore, photo: Pick<Photo, 'id' | 'type'>): string =>
  join(folder, 'photos', photoFile(photo));

async function cleaned(sent: Uint8Array) {
  const refuse = () =>
    new HttpError(415, 'not-an-image', 'This file is no JPEG or PNG picture. Choose another file.', 'photo');
  try {
    const picture = sharp(sent, { limitInputPixels: 80_000_000, failOn: 'error' });
    const { format } = await picture.metadata();
    if (format !== 'jpeg' && format !== 'png') throw refuse();
    // The camera's orientation is turned into pixels before it goes with the rest of the metadata.
    const upright = picture
      .rotate()
      .resize({ width: LONGEST_PX, height: LONGEST_PX, fit: 'inside', withoutEnlargement: true });
    const encoded = format === 'png' ? upright.png() : upright.jpeg({ quality: 88 });
    const { data, info } = await encoded.toBuffer({ resolveWithObject: true });
    const type: Photo['type'] = format === 'png' ? 'image/png' : 'image/jpeg';
    return { type, width: info.width, height: info.height, bytes: data };
  } catch (error) {
    throw error instanceof HttpError ? error : refuse();
  }
}

/** Writes a file so that it is either whole or not there. */
async function writeWhole(file: string, bytes: Uint8Array): Promise<void> {
  const part = `${file}.${randomBytes(6).toString('hex')}.part`;
  try {
    const handle = await open(part, 'wx');
    try {
      await handle.writeFile(bytes);
      await handle.sync();
    } finally {
      await handle.close();
    }
    await rename(part, file);
    // The name is on the disk only once its folder is.
    const folder = await open(dirname(file), 'r');
    try {
      await folder.sync();
    } finally {
      await folder.close();
    }
  } catch (error) {
    await rm(part, { force: true });
    throw error;
  }
}
