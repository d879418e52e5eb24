import { useEffect, useState } from 'react';
import { photoAddress } from '../../client/api';
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

function Photo({ id, title }: { id: Id; title: string }) {
  const [source, setSource] = useState<string | null>(null);
  useEffect(() => {
    let address: string | null = null;
    void device.photo(id).then((bytes) => {
      address = bytes ? URL.createObjectURL(bytes) : null;
      const { site } = device.state();
      setSource(address ?? (site && photoAddress(site, id)));
    });
    return () => {
      if (address) URL.revokeObjectURL(address);
    };
  }, [id]);
  return source ? (
    <img src={source} alt={title} width={120} height={90} style={{ objectFit: 'cover', marginRight: 8 }} />
  ) : null;
}
