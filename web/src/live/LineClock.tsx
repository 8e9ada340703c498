import { Box, Button, Flex, Input, Text } from '@chakra-ui/react';
import { useState } from 'react';
import useSWR from 'swr';
import { api, wordsOf } from '../api/client';
import { useLines } from '../api/resources';
import { showWhen } from '../parts/time';
import { useNow } from '../parts/useNow';

interface Clock {
  readonly nowMs: number;
  readonly isPretended: boolean;
}

/** Which moment the live line believes it is: the real one, or a pretended one to try other hours. */
export function LineClock() {
  const { data, mutate } = useSWR<Clock>('/api/live/clock', api, { refreshInterval: 10_000 });
  const zone = useLines().data?.[0]?.timeZone ?? 'UTC';
  const now = useNow(30_000);
  const [reading, setReading] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const set = async (next: string | null): Promise<void> => {
    try {
      await mutate(api<Clock>('/api/live/clock', { method: 'PUT', body: { reading: next } }), { revalidate: false });
      setProblem(null);
    } catch (error) {
      setProblem(wordsOf(error));
    }
  };
  if (!data) return null;
  return (
    <Box mt="5" pt="3" borderTopWidth="1px" borderColor="hairline">
      <Text fontSize="13px">
        {data.isPretended
          ? `The line believes it is ${showWhen(data.nowMs, zone, now)}.`
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
      {data.isPretended && (
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
