import { Box, Text } from '@chakra-ui/react';
import { brokenKey, describeExpectation, type Rehearsed } from '@locutor/core/rehearsals';
import type { KeptRehearsal } from '../../api/resources';
import { useDraftTools } from '../../draft/DraftProvider';
import { AcceptFinding } from '../../parts/AcceptFinding';
import { TwoTraces } from '../rehearsals/TwoTraces';

interface Props {
  readonly rehearsal: KeptRehearsal;
  readonly run: Rehearsed | undefined;
}

/** A rehearsal that no longer holds: in what, and how it went before and goes now. */
export function BrokenRehearsal({ rehearsal, run }: Props) {
  const { names } = useDraftTools();
  return (
    <Box py="2" borderTopWidth="1px" borderColor="hairline">
      <Text fontWeight="500">{rehearsal.name}</Text>
      <Text fontSize="13px">
        It no longer{' '}
        {run?.failed
          .flatMap((index) => rehearsal.expects[index] ?? [])
          .map((expected) => describeExpectation(expected, names))
          .join(', ')}
        .
      </Text>
      {run && <AcceptFinding accepts={brokenKey(run)} grade="caution" />}
      {run && <TwoTraces was={rehearsal.was} run={run} />}
    </Box>
  );
}
