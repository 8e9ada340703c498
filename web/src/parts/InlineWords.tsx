import { Input, type InputProps } from '@chakra-ui/react';

interface Props extends Pick<InputProps, 'id' | 'placeholder' | 'fontFamily' | 'fontSize' | 'minW' | 'maxW'> {
  readonly label: string;
  readonly value: string;
  readonly most: number;
  readonly onChange: (words: string) => void;
}

/** Words that a caller will hear, typed in the middle of a sentence. */
export function InlineWords({ label, value, most, onChange, ...looks }: Props) {
  return (
    <Input
      aria-label={label}
      value={value}
      maxLength={most}
      onChange={(event) => onChange(event.currentTarget.value)}
      fontFamily="spoken"
      h="26px"
      px="0.5"
      w="auto"
      css={{ fieldSizing: 'content' }}
      border="0"
      borderBottomWidth="1px"
      borderStyle="dashed"
      borderColor="petrol.emphasized"
      borderRadius="2px"
      bg="transparent"
      _placeholder={{ color: 'quiet' }}
      {...looks}
    />
  );
}
