import { isRefusal } from '../../core/commands/commands';
import { refusalSentence } from '../../core/words/en/refusals';
import type { Id } from '../../core/record/types';
import { give } from './give';
import { device, say } from './hand';

/** Largest photo that is taken, in bytes. */
const PHOTO_BYTES = 12_000_000;

/** Keeps chosen photos on the device, and says which cannot be taken and why. */
export async function keepPhotos(files: readonly File[]): Promise<Id[]> {
  const kept: Id[] = [];
  for (const file of files) {
    if (file.type !== 'image/jpeg' && file.type !== 'image/png') {
      say(`${file.name} is no JPEG or PNG picture. Choose another file.`);
    } else if (file.size > PHOTO_BYTES) {
      say(`${file.name} is over 12 MB. Take it at a lower resolution.`);
    } else {
      try {
        kept.push(await device.keepPhoto(file));
      } catch (error) {
        if (!isRefusal(error)) throw error;
        say(refusalSentence(error));
      }
    }
  }
  return kept;
}

/** Keeps photos on the device and shows them on the defect. */
export async function addPhotos(defect: Id, files: readonly File[]): Promise<void> {
  for (const photo of await keepPhotos(files)) {
    const photos = device.state().slice.get('defect', defect)?.photos ?? [];
    give('defect.edit', { id: defect, set: { photos: [...photos, photo] } });
  }
}
