const KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '.', '0', '←'] as const;

/** A large number pad for gloves. It types into a text that its owner keeps. */
export function NumberPad({
  value,
  onChange,
  onEnter,
}: {
  value: string;
  onChange: (value: string) => void;
  onEnter: () => void;
}) {
  const press = (key: string) => onChange(key === '←' ? value.slice(0, -1) : value + key);
  return (
    <div className="pad" style={{ gridArea: 'pad' }} role="group" aria-label="Number pad">
      {KEYS.map((key) => (
        <button
          key={key}
          type="button"
          onClick={() => press(key)}
          aria-label={key === '←' ? 'Delete the last figure' : key === '.' ? 'Decimal point' : key}
        >
          {key}
        </button>
      ))}
      <button type="button" className="pad-enter" onClick={onEnter}>
        Enter
      </button>
    </div>
  );
}
