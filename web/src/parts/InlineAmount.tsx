import { readAmount, showPlainAmount, type Amount } from '@locutor/core/cost';
import { useState } from 'react';
import { InlineInput } from './InlineInput';

interface Props {
  readonly label: string;
  readonly value: Amount;
  readonly onChange: (value: Amount) => void;
}

/** An amount of money in a sentence, typed as people write it. What is none is not taken. */
export function InlineAmount({ label, value, onChange }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const text = typed ?? showPlainAmount(value);
  return (
    <InlineInput
      inputMode="decimal"
      aria-label={label}
      aria-invalid={readAmount(text) === undefined}
      value={text}
      onChange={({ currentTarget }) => {
        setTyped(currentTarget.value);
        const amount = readAmount(currentTarget.value);
        if (amount !== undefined) onChange(amount);
      }}
      onBlur={() => setTyped(null)}
    />
  );
}
