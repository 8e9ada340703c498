import { Text } from '@chakra-ui/react';
import { estimateSentencesMs, type Sentence } from '@locutor/core/speech';

/** About how long the words take to say. */
export function ReadOutLength({ sentences }: { readonly sentences: readonly Sentence[] }) {
  const seconds = Math.round(estimateSentencesMs(sentences) / 1000);
  return (
    <Text fontSize="13px" color="quiet" whiteSpace="nowrap" title="About how long it takes to say">
      about{' '}
      <Text as="span" fontFamily="mono">
        {seconds} s
      </Text>
    </Text>
  );
}
