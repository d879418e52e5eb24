import { Checkbox, Kbd, Modal } from '@mantine/core';
import { Fragment, useState } from 'react';
import { keyName, lettersOn, setLetters, type KeyBinding } from '../../ui/keys';

/** Every key of the view that is shown. */
export default function KeyList({ keys, onClose }: { keys: readonly KeyBinding[]; onClose: () => void }) {
  const [letters, set] = useState(lettersOn);
  return (
    <Modal opened onClose={onClose} title="Keys">
      <dl className="key-list">
        {keys.map(({ key, title }) => (
          <Fragment key={key}>
            <dt style={{ minWidth: 76 }}>
              <Kbd>{keyName(key)}</Kbd>
            </dt>
            <dd style={{ margin: 0 }}>{title}</dd>
          </Fragment>
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
