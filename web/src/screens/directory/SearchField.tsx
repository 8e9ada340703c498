import { Input } from '@chakra-ui/react';

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
