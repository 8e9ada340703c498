import { Input } from '@chakra-ui/react';
import { folded } from '@locutor/core/line';

interface Props {
  readonly label: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
}

/** A field that narrows a list down to what contains a text. */
export function SearchField({ label, value, onChange }: Props) {
  return (
    <Input
      type="search"
      size="sm"
      w="220px"
      bg="sheet"
      aria-label={label}
      placeholder={label}
      value={value}
      onChange={(event) => onChange(event.currentTarget.value)}
    />
  );
}

/** Whether any of the texts contains what is searched for; every word of it must be somewhere. */
export function fits(search: string, ...texts: readonly string[]): boolean {
  const all = folded(texts.join(' '));
  return folded(search)
    .split(' ')
    .every((word) => all.includes(word));
}
