import { Box, Text, Textarea } from '@chakra-ui/react';
import { longestWords } from '@locutor/core/line';
import { useId } from 'react';

interface Props {
  readonly label: string;
  readonly value: string;
  readonly placeholder?: string;
  readonly onChange: (words: string) => void;
}

/** Words that a caller will hear, in the spoken face; grows with what is typed. */
export function SpokenField({ label, value, placeholder, onChange }: Props) {
  const id = useId();
  const over = value.length - longestWords;
  return (
    <Box>
      <Text asChild fontSize="12px" color="quiet" display="block">
        <label htmlFor={id}>{label}</label>
      </Text>
      <Textarea
        id={id}
        value={value}
        placeholder={placeholder}
        onChange={(event) => onChange(event.currentTarget.value)}
        aria-invalid={over > 0}
        fontFamily="spoken"
        fontSize="17px"
        lineHeight="1.4"
        px="2"
        py="1"
        ml="-2"
        w="calc(100% + 8px)"
        minH="0"
        maxH="320px"
        rows={1}
        css={{ fieldSizing: 'content' }}
        resize="none"
        bg="transparent"
        borderColor="transparent"
        _hover={{ borderColor: 'hairline' }}
        _placeholder={{ color: 'quiet', fontStyle: 'italic' }}
      />
      {over > 0 && (
        <Text role="alert" fontSize="13px" fontWeight="500">
          Too long by {over.toLocaleString()} characters: at most {longestWords.toLocaleString()}. It stays here, and is
          saved once it is shorter.
        </Text>
      )}
    </Box>
  );
}
