import { useEffect, useState } from 'react';
import { keptCopy, photoCopyAddress } from '../../client/photo-copies';
import type { Id } from '../../core/record/types';
import { device } from '../hand/hand';

/** Photos in a row; one that is not sent yet is shown from the device. */
export function PhotoRow({ photos }: { photos: readonly Id[] }) {
  if (photos.length === 0) return null;
  return (
    <div className="photos">
      {photos.map((id, i) => (
        <Photo key={id} id={id} title={`Photo ${i + 1} of ${photos.length}`} />
      ))}
    </div>
  );
}

/** A photo that is not sent yet, or whose copy was taken along. */
async function here(id: Id): Promise<Blob | null> {
  const { site } = device.state();
  return (await device.photo(id)) ?? (site === null ? null : keptCopy(site, id));
}

function Photo({ id, title }: { id: Id; title: string }) {
  const [source, setSource] = useState<string | null>(null);
  useEffect(() => {
    let address: string | null = null;
    void here(id).then((bytes) => {
      address = bytes ? URL.createObjectURL(bytes) : null;
      const { site } = device.state();
      setSource(address ?? (site && photoCopyAddress(site, id)));
    });
    return () => {
      if (address) URL.revokeObjectURL(address);
    };
  }, [id]);
  return source ? (
    <img src={source} alt={title} width={120} height={90} style={{ objectFit: 'cover', marginRight: 8 }} />
  ) : null;
}
