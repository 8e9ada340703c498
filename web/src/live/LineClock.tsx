import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { wordsOf } from '../api/client';
import { useLines } from '../api/resources';
import { showWhen } from '../parts/time';
import { useNow } from '../parts/useNow';
import { useLineClock } from './useLineClock';
import { MomentField } from '../parts/MomentField';

/** Which moment the live line believes it is: the real one, or a pretended one to try other hours. */
export function LineClock() {
  const { clock, set: setClock } = useLineClock();
  const zone = useLines().data?.[0]?.timeZone ?? 'UTC';
  const now = useNow(30_000);
  const [reading, setReading] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const set = async (next: string | null): Promise<void> => {
    try {
      await setClock(next);
      setProblem(null);
    } catch (error) {
      setProblem(wordsOf(error));
    }
  };
  if (!clock) return null;
  return (
    <Box mt="5" pt="3" borderTopWidth="1px" borderColor="hairline">
      <Text fontSize="13px">
        {clock.isPretended
          ? `The line believes it is ${showWhen(clock.nowMs, zone, now)}.`
          : 'The line keeps the real time.'}
      </Text>
      <Text mt="2" mb="1" fontSize="12px" color="quiet" aria-hidden>
        Let it believe it is
      </Text>
      <Flex gap="1.5" align="flex-start">
        <MomentField label="Let it believe it is" value={reading} onChange={setReading} />
        <Button size="sm" variant="outline" bg="sheet" disabled={reading === ''} onClick={() => void set(reading)}>
          Set
        </Button>
      </Flex>
      {clock.isPretended && (
        <Button size="xs" mt="2" variant="ghost" colorPalette="petrol" onClick={() => void set(null)}>
          Back to the real time
        </Button>
      )}
      {problem && (
        <Text role="alert" mt="1" fontSize="13px">
          {problem}
        </Text>
      )}
    </Box>
  );
}
