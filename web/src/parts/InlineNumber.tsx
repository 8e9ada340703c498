import { useState } from 'react';
import { InlineInput } from './InlineInput';

interface Props {
  readonly label: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly step?: number;
  readonly onChange: (value: number) => void;
}

/** A number in a sentence: typed, or stepped with the arrow keys. What is out of range is not taken. */
export function InlineNumber({ label, value, least, most, step = 1, onChange }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const text = typed ?? String(value);
  const isRight = isWithin(text, least, most);
  const stepBy = (change: number): void => {
    setTyped(null);
    onChange(Math.max(least, Math.min(most, value + change)));
  };
  return (
    <InlineInput
      role="spinbutton"
      inputMode="numeric"
      aria-label={`${label}, ${least} to ${most}`}
      aria-valuenow={value}
      aria-valuemin={least}
      aria-valuemax={most}
      aria-invalid={!isRight}
      title={`${least} to ${most}`}
      value={text}
      onChange={({ currentTarget }) => {
        setTyped(currentTarget.value);
        if (isWithin(currentTarget.value, least, most)) onChange(Number(currentTarget.value));
      }}
      onBlur={() => setTyped(null)}
      onKeyDown={(event) => {
        if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
        event.preventDefault();
        stepBy(event.key === 'ArrowUp' ? step : -step);
      }}
    />
  );
}

function isWithin(text: string, least: number, most: number): boolean {
  return /^\d+$/.test(text) && Number(text) >= least && Number(text) <= most;
}
