import { Box, Button, Flex, Input, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { wordsOf } from '../api/client';
import { useLines } from '../api/resources';
import { showWhen } from '../parts/time';
import { useNow } from '../parts/useNow';
import { useLineClock } from './useLineClock';

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
      <Text asChild mt="2" fontSize="12px" color="quiet" display="block">
        <label htmlFor="clock">Let it believe it is</label>
      </Text>
      <Flex gap="1.5">
        <Input
          id="clock"
          type="datetime-local"
          size="sm"
          bg="sheet"
          fontFamily="mono"
          value={reading}
          onChange={(event) => setReading(event.currentTarget.value)}
        />
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
