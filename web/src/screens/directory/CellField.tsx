import { Input } from '@chakra-ui/react';

interface Props {
  readonly label: string;
  readonly value: string;
  readonly most: number;
  readonly isNumber?: boolean;
  readonly onChange: (value: string) => void;
}

/** A cell of a table that is typed in place. */
export function CellField({ label, value, most, isNumber = false, onChange }: Props) {
  return (
    <Input
      size="sm"
      h="30px"
      px="2"
      ml="-2"
      aria-label={label}
      value={value}
      maxLength={most}
      inputMode={isNumber ? 'numeric' : undefined}
      fontFamily={isNumber ? 'mono' : undefined}
      borderColor="transparent"
      bg="transparent"
      _hover={{ borderColor: 'hairline' }}
      onChange={(event) => onChange(event.currentTarget.value)}
    />
  );
}
