import { day } from '../../core/words/en/format';
import { FileChoice } from '../../ui/FileChoice';
import { Button, Modal, Textarea } from '@mantine/core';
import { defectStatement } from '../../core/words/en/defects';
import type { Defect, Id } from '../../core/record/types';
import { SEVERITY_WORDS } from '../../core/words/en/labels';
import { useDefectForm } from '../judging/defect-form';
import { useDevice } from '../hand/hand';
import { addPhotos } from '../hand/keep-photos';
import { LevelField } from '../judging/LevelField';
import { PhotoRow } from '../judging/PhotoRow';

/** A defect just raised, or one that is opened again: action, level, photos. */
export default function DefectSheet({ defect: id, onClose }: { defect: Id; onClose: () => void }) {
  const { slice } = useDevice();
  const defect = slice.get('defect', id);
  return defect && <Sheet defect={defect} onClose={onClose} />;
}

function Sheet({ defect, onClose }: { defect: Defect; onClose: () => void }) {
  const { form, keep, problem } = useDefectForm(defect);
  // A click outside and Escape keep what is typed; what is wrong keeps the dialog open and says so at its field.
  const close = () => {
    if (keep(undefined, '')) onClose();
  };
  return (
    <Modal opened onClose={close} title={`Defect ${defect.check ?? ''} is raised`} size="lg">
      <p>{defectStatement(defect)}</p>
      <p className="quiet">{defect.basis}</p>
      {defect.severity === 4 && (
        <p className="make-safe" role="alert">
          <b>Make safe before leaving:</b> isolate, prove dead, tell the person responsible for the area.
        </p>
      )}
      <p>
        Level {defect.severity}: {SEVERITY_WORDS[defect.severity]}, due {day(defect.due)}
        {defect.repeats > 0 ? `, repeat number ${defect.repeats}` : ''}.
      </p>
      <Textarea data-autofocus label="What has to be done" rows={3} {...form.getInputProps('action')} />
      <LevelField
        standing={defect.severity}
        level={form.values.level}
        onLevel={(level) => form.setFieldValue('level', level)}
        reason={form.values.reason}
        onReason={(reason) => form.setFieldValue('reason', reason)}
        problem={(form.errors.reason as string | undefined) ?? null}
      />
      <PhotoRow photos={defect.photos} />
      <FileChoice
        title="Add photos"
        accept="image/jpeg,image/png"
        multiple
        onFiles={(files) => void addPhotos(defect.id, files)}
      />
      <p className="quiet">JPEG or PNG, up to 12 MB each; the location is taken out.</p>
      {problem && (
        <p role="alert" className="tone-failed">
          {problem}
        </p>
      )}
      <Button onClick={close}>Keep</Button>
    </Modal>
  );
}
