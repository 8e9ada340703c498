import { readTime } from '@locutor/core/hours';
import { useState } from 'react';
import { InlineInput } from './InlineInput';
import { showMinutes } from './time';

interface Props {
  readonly label: string;
  /** Minutes after midnight. */
  readonly value: number;
  readonly onChange: (value: number) => void;
}

/** A time of day in a sentence, typed as people write it. What is none is not taken. */
export function TimeField({ label, value, onChange }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const read = typed === null ? undefined : readTime(typed);
  return (
    <InlineInput
      aria-label={label}
      aria-invalid={read !== undefined && !read.ok}
      value={typed ?? showMinutes(value)}
      onChange={({ currentTarget }) => {
        setTyped(currentTarget.value);
        const time = readTime(currentTarget.value);
        if (time.ok) onChange(time.value);
      }}
      onBlur={() => setTyped(null)}
    />
  );
}
