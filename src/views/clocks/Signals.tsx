import { Checkbox, Fieldset } from '@mantine/core';
import { useState } from 'react';
import { alarmState, askForNotifications, ring, setSound } from '../hand/alarm';

/** How a clock that runs out makes itself known. */
export function Signals() {
  const [state, setState] = useState(alarmState);
  return (
    <Fieldset variant="unstyled" fz="sm">
      <legend>When one is due</legend>
      <Checkbox
        size="md"
        label="Sound"
        checked={state.sound}
        onChange={(event) => {
          setSound(event.currentTarget.checked);
          if (event.currentTarget.checked) ring();
          setState(alarmState());
        }}
      />
      <Checkbox
        size="md"
        label={`Notification${state.blocked ? ' (not allowed by this browser)' : ''}`}
        checked={state.notify}
        disabled={state.blocked}
        onChange={(event) =>
          void askForNotifications(event.currentTarget.checked).then(() => setState(alarmState()))
        }
      />
    </Fieldset>
  );
}
