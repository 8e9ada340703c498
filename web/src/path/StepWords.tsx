import { Flex } from '@chakra-ui/react';
import { longestWords } from '@locutor/core/line';
import { InlineWords } from '../parts/InlineWords';

interface Props {
  readonly label: string;
  readonly placeholder: string;
  readonly value: string;
  readonly onChange: (words: string) => void;
}

/** Words that a step says, typed in its sentence. */
export function StepWords(props: Props) {
  return (
    <Flex as="span" display="inline-flex" maxW="100%">
      <InlineWords {...props} most={longestWords} fontSize="15px" minW="160px" />
    </Flex>
  );
}
