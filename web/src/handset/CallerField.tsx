import { Input, Text } from '@chakra-ui/react';
import { useId } from 'react';

interface Props {
  readonly value: string;
  readonly onChange: (number: string) => void;
}

/** The number that a pretended caller calls from; none for one who hides it. */
export function CallerField({ value, onChange }: Props) {
  const id = useId();
  return (
    <>
      <Text asChild mt="3" fontSize="12px" color="quiet" display="block">
        <label htmlFor={id}>Calling from</label>
      </Text>
      <Input
        id={id}
        size="sm"
        bg="sheet"
        fontFamily="mono"
        value={value}
        placeholder="number not shown"
        maxLength={24}
        onChange={(event) => onChange(event.currentTarget.value)}
      />
    </>
  );
}
