import { Box, Text } from '@chakra-ui/react';
import { wordAt } from '@locutor/core/speech';
import type { Heard } from './heard';
import { useNow } from './useNow';

interface Props {
  readonly text: string;
  readonly heard: Heard;
}

/** A sentence while it is heard, the word being said marked. */
export function SpokenCaption({ text, heard }: Props) {
  return (
    <Text fontFamily="spoken" fontSize="15px" aria-live="off">
      <WordBeingSaid text={text} heard={heard} />
    </Text>
  );
}

/** The same within a caption of its own look. */
export function WordBeingSaid({ text, heard }: Props) {
  const now = useNow(60);
  const word = wordAt(text, Math.max(0, (now - heard.sinceMs) / heard.ms));
  return (
    <>
      {text.slice(0, word?.from)}
      <Box as="mark" bg="petrol.muted" color="inherit" borderRadius="2px">
        {word && text.slice(word.from, word.to)}
      </Box>
      {word && text.slice(word.to)}
    </>
  );
}
