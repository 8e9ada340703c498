import { Input } from '@chakra-ui/react';

interface Props {
  readonly label: string;
  /** As in 2026-11-24. */
  readonly value: string;
  readonly onChange: (value: string) => void;
}

/** A day that is picked; one that is cleared stays as it was. */
export function DateField({ label, value, onChange }: Props) {
  return (
    <Input
      type="date"
      size="sm"
      display="inline-block"
      w="150px"
      h="28px"
      bg="paper"
      aria-label={label}
      value={value}
      required
      onChange={(event) => event.currentTarget.value && onChange(event.currentTarget.value)}
    />
  );
}
