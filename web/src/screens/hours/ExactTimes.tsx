import { Box, Input, Text } from '@chakra-ui/react';
import { describeTimeProblem, readDayTimes, showDayTimes, type DayTime } from '@locutor/core/hours';
import { useId, useState } from 'react';

interface Props {
  readonly label: string;
  readonly times: readonly DayTime[];
  readonly onSet: (times: readonly DayTime[]) => void;
}

/** Times typed: taken on Enter or when left; what cannot be read stays, with the reason under it. */
export function ExactTimes({ label, times, onSet }: Props) {
  const shown = showDayTimes(times);
  const [typed, setTyped] = useState(shown);
  const [problem, setProblem] = useState<string | null>(null);
  const id = useId();
  const take = (): void => {
    if (typed === shown) return setProblem(null);
    const read = readDayTimes(typed);
    if (!read.ok) return setProblem(read.problems.map(describeTimeProblem).join(' '));
    setProblem(null);
    setTyped(showDayTimes(read.value));
    onSet(read.value);
  };
  return (
    <Box w="200px" flexShrink="0">
      <Input
        size="sm"
        h="30px"
        bg="sheet"
        fontFamily="mono"
        fontSize="13px"
        placeholder="not on this day"
        aria-label={label}
        aria-invalid={problem !== null}
        aria-describedby={problem ? id : undefined}
        value={typed}
        onChange={(event) => setTyped(event.currentTarget.value)}
        onBlur={take}
        onKeyDown={(event) => event.key === 'Enter' && take()}
      />
      {problem && (
        <Text id={id} role="alert" fontSize="12.5px" fontWeight="500" mt="0.5">
          {problem}
        </Text>
      )}
    </Box>
  );
}
