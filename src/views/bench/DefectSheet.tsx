import { Button, Modal } from '@mantine/core';
import { useState } from 'react';
import type { Severity } from '../../core/defects/severity';
import type { Id } from '../../core/record/types';
import { SEVERITY_WORDS } from '../../core/words/labels';
import { device, useDevice } from '../device';
import { give } from '../give';
import { keepPhotos } from '../keep-photos';
import { LevelField } from '../LevelField';
import { PhotoRow } from '../PhotoRow';

/** A defect just raised, or one that is opened again: action, level, photos. */
export default function DefectSheet({ defect: id, onClose }: { defect: Id; onClose: () => void }) {
  const { slice } = useDevice();
  const defect = slice.get('defect', id);
  const [action, setAction] = useState(defect?.action ?? '');
  const [level, setLevel] = useState<Severity>(defect?.severity ?? 3);
  const [reason, setReason] = useState('');
  if (!defect) return null;
  const save = () => {
    const set = {
      ...(action !== defect.action ? { action } : {}),
      ...(level !== defect.severity ? { severity: level, severityReason: reason } : {}),
    };
    if (Object.keys(set).length > 0 && !give('defect.edit', { id, set })) return;
    onClose();
  };
  return (
    <Modal opened onClose={onClose} title={`Defect ${defect.check ?? ''} is raised`} size="lg">
      <p>{defect.statement}</p>
      <p className="quiet">{defect.basis}</p>
      {defect.severity === 4 && (
        <p className="make-safe" role="alert">
          <b>Make safe before leaving:</b> isolate, prove dead, tell the person responsible for the area.
        </p>
      )}
      <p>
        Level {defect.severity}: {SEVERITY_WORDS[defect.severity]}, due {defect.due}
        {defect.repeats > 0 ? `, repeat number ${defect.repeats}` : ''}.
      </p>
      <label className="field">
        <span>What has to be done</span>
        <textarea
          data-autofocus
          rows={3}
          value={action}
          onChange={(event) => setAction(event.target.value)}
        />
      </label>
      <LevelField
        standing={defect.severity}
        level={level}
        onLevel={setLevel}
        reason={reason}
        onReason={setReason}
      />
      <PhotoRow photos={defect.photos} />
      <label className="field">
        <span>Add photos (JPEG or PNG, up to 12 MB each; the location is taken out)</span>
        <input
          type="file"
          accept="image/jpeg,image/png"
          multiple
          onChange={(event) => void addPhotos(id, event.target)}
        />
      </label>
      <Button onClick={save}>Keep</Button>
    </Modal>
  );
}

/** Keeps photos on the device and shows them on the defect. */
export async function addPhotos(defect: Id, input: HTMLInputElement): Promise<void> {
  for (const photo of await keepPhotos(input)) {
    const photos = device.state().slice.get('defect', defect)?.photos ?? [];
    give('defect.edit', { id: defect, set: { photos: [...photos, photo] } });
  }
}
