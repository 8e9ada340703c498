import { Box, Text } from '@chakra-ui/react';
import type { Sheet } from '@locutor/core/line';
import { sheetSentences, timeSentences, totalMs } from '@locutor/core/speech';
import type { SheetPresses } from '@locutor/core/traffic';
import { useAttendantPart } from '../../draft/DraftProvider';
import { useSpokenFacts } from '../../speech/useSpokenFacts';

interface Props {
  readonly sheet: Sheet;
  readonly presses: SheetPresses;
}

const barsHigh = 46;
const petrol = 'var(--chakra-colors-petrol-solid)';

/** The words as the draft has them, and above them how many pressed a key, or hung up, in each second. */
export function WordsAndPresses({ sheet, presses: { seconds } }: Props) {
  const voice = useAttendantPart((attendant) => attendant.voice);
  const facts = useSpokenFacts();
  const sentences = sheetSentences(sheet, voice, facts);
  const timings = timeSentences(sentences, []);
  const wordsS = totalMs(timings) / 1000;
  const last = seconds.reduce((end, { chose, hungUp }, second) => (chose + hungUp > 0 ? second + 1 : end), 0);
  // Few press long after the words; they would make all of it small.
  const lengthS = Math.max(5, Math.min(Math.max(last, wordsS), wordsS + 15));
  const most = Math.max(1, ...seconds.map(({ chose, hungUp }) => chose + hungUp));
  const percentAt = (second: number): string => `${(100 * second) / lengthS}%`;
  const peak = seconds.reduce((best, { chose }, second) => (chose > (seconds[best]?.chose ?? 0) ? second : best), 0);
  const says = `Most press a key ${peak} seconds into the words, which take about ${Math.round(wordsS)} seconds.`;
  return (
    <Box mt="3" maxW="900px">
      <Text color="quiet" fontSize="13px" mb="1">
        {says} Above the words: how many pressed a key in each second, and (striped) hung up.
      </Text>
      <Box
        role="img"
        aria-label={says}
        position="relative"
        h={`${barsHigh}px`}
        borderBottomWidth="1px"
        borderColor="quiet"
      >
        {seconds.slice(0, Math.ceil(lengthS)).map(({ chose, hungUp }, second) => (
          <Box
            key={second}
            position="absolute"
            bottom="0"
            left={percentAt(second)}
            w={`calc(${100 / lengthS}% - 1px)`}
            title={`Second ${second}: ${chose} pressed a key, ${hungUp} hung up`}
          >
            <Box
              h={`${(barsHigh * hungUp) / most}px`}
              css={{ background: `repeating-linear-gradient(45deg, ${petrol} 0 1.5px, transparent 1.5px 4px)` }}
            />
            <Box h={`${(barsHigh * chose) / most}px`} bg="petrol.solid" />
          </Box>
        ))}
      </Box>
      <Box position="relative" h="46px" aria-hidden>
        {sentences.map(({ text }, index) => {
          const { startMs = 0, endMs = 0 } = timings[index] ?? {};
          return (
            <Box
              key={index}
              position="absolute"
              left={percentAt(startMs / 1000)}
              w={`calc(${percentAt((endMs - startMs) / 1000)} - 2px)`}
              h="100%"
              overflow="hidden"
              bg={index % 2 === 0 ? 'sunk' : 'sheet'}
              fontFamily="spoken"
              fontSize="12px"
              lineHeight="1.25"
              px="1"
              title={text}
            >
              {text}
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
