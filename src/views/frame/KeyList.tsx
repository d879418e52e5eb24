import { Checkbox, Modal } from '@mantine/core';
import { useState } from 'react';
import { keyName, lettersOn, setLetters, type KeyBinding } from '../../ui/keys';

/** Every key of the view that is shown. */
export default function KeyList({ keys, onClose }: { keys: readonly KeyBinding[]; onClose: () => void }) {
  const [letters, set] = useState(lettersOn);
  return (
    <Modal opened onClose={onClose} title="Keys">
      <dl className="key-list">
        {keys.map(({ key, title }) => (
          <div key={key} style={{ display: 'flex', gap: 12, marginBottom: 8 }}>
            <dt style={{ minWidth: 76 }}>
              <kbd>{keyName(key)}</kbd>
            </dt>
            <dd style={{ margin: 0 }}>{title}</dd>
          </div>
        ))}
      </dl>
      <Checkbox
        size="md"
        label="Single letters work as keys"
        checked={letters}
        onChange={(event) => {
          setLetters(event.currentTarget.checked);
          set(event.currentTarget.checked);
        }}
      />
    </Modal>
  );
}
