import { Input } from '@chakra-ui/react';

interface Props {
  readonly label: string;
  readonly value: string;
  readonly most: number;
  readonly placeholder?: string;
  readonly isNumber?: boolean;
  readonly onChange: (value: string) => void;
}

/** A field of a row that is to be added. */
export function NewField({ label, value, most, placeholder, isNumber = false, onChange }: Props) {
  return (
    <Input
      size="sm"
      w={isNumber ? '90px' : '240px'}
      maxW="100%"
      bg="sheet"
      fontFamily={isNumber ? 'mono' : undefined}
      aria-label={label}
      placeholder={placeholder}
      value={value}
      maxLength={most}
      onChange={(event) => onChange(event.currentTarget.value)}
    />
  );
}
