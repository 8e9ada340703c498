import { Box, Text } from '@chakra-ui/react';
import type { Menu, VoiceId } from '@locutor/core/line';
import { adviceOnMenu, describeAdvice, estimateSentencesMs, type Sentence } from '@locutor/core/speech';
import { useDeferredValue } from 'react';

interface Props {
  readonly menu: Menu;
  readonly voice: VoiceId;
  readonly sentences: readonly Sentence[];
}

/** What could be better in what a menu says; it follows the typing, not hinders it. */
export function MenuAdvice({ menu, voice, sentences }: Props) {
  const late = useDeferredValue(menu);
  // Length and number of options are notes of the proof, in the margin.
  const advice = adviceOnMenu(late, voice, estimateSentencesMs(sentences)).filter(
    ({ type }) => type !== 'long' && type !== 'manyOptions',
  );
  if (advice.length === 0) return null;
  return (
    <Box as="ul" mt="2" listStyleType="none" aria-label="Advice on what is said">
      {advice.map((each, index) => (
        <Text as="li" key={index} fontSize="13px" color="quiet">
          {describeAdvice(each)}
        </Text>
      ))}
    </Box>
  );
}
