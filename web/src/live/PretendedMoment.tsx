import { Button, Flex, Text } from '@chakra-ui/react';
import type { TimeZone } from '@locutor/core/hours';
import { wordsOf } from '../api/client';
import { tellProblem } from '../parts/notices';
import { showWhen } from '../parts/time';
import { useNow } from '../parts/useNow';
import { useLineClock } from './useLineClock';

/** Says on every screen that the live line believes it is another moment, and leads back to the real one. */
export function PretendedMoment({ timeZone }: { readonly timeZone: TimeZone }) {
  const { clock, set } = useLineClock();
  const now = useNow(30_000);
  if (!clock?.isPretended) return null;
  const back = (): void => void set(null).catch((error: unknown) => tellProblem(wordsOf(error)));
  return (
    <Flex
      role="status"
      bg="sunk"
      borderBottomWidth="1px"
      borderColor="hairline"
      px="4"
      py="1.5"
      gap="3"
      align="center"
      wrap="wrap"
    >
      <Text>
        The live line believes it is <b>{showWhen(clock.nowMs, timeZone, now)}</b>. Callers are answered as they would
        be then; such calls count in no figure.
      </Text>
      <Button size="xs" variant="outline" bg="sheet" onClick={back}>
        Back to the real time
      </Button>
    </Flex>
  );
}
