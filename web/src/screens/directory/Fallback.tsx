import { Box, Flex, Text } from '@chakra-ui/react';
import { pathAt, type Attendant, type FallbackSlot } from '@locutor/core/line';
import { useAttendantPart } from '../../draft/DraftProvider';
import { PathSentence } from '../../path/PathSentence';

interface Props {
  readonly slot: FallbackSlot;
  /** When it is taken: "If nobody answers". */
  readonly when: string;
  /** What it belongs to, for screen readers. */
  readonly of: string;
}

/** What follows where a group or queue connects nobody; part of the script of this line. */
export function Fallback({ slot, when, of }: Props) {
  const path = useAttendantPart((attendant: Attendant) => pathAt(attendant, slot));
  return (
    <Flex
      borderTopWidth="1px"
      borderColor="hairline"
      py="1.5"
      gap="4"
      align="baseline"
      direction={{ base: 'column', md: 'row' }}
    >
      <Text w={{ md: '150px' }} flexShrink="0" color="quiet">
        {when}
      </Text>
      <Box flex="1" minW="0">
        <PathSentence slot={slot} path={path ?? noSteps} of={of} />
      </Box>
    </Flex>
  );
}

const noSteps: readonly never[] = [];
