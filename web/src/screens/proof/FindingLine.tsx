import { Box, Flex, Text } from '@chakra-ui/react';
import { gradeWords, type FindingPlace, type Grade } from '@locutor/core/proof';
import { CircleAlert, Info, Lightbulb } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { findingLink } from '../script/findingSheet';

interface Props {
  readonly grade: Grade;
  /** What was found, and why it matters. */
  readonly says: string;
  readonly why: ReactNode;
  /** Where it is; left out where that cannot be opened, as in an earlier version. */
  readonly at?: FindingPlace;
  /** What to do about it. */
  readonly children?: ReactNode;
}

/** A finding of the proof, on a line of its own. */
export function FindingLine({ grade, says, why, at, children }: Props) {
  const Icon = icons[grade];
  return (
    <Flex as="li" gap="3" py="2.5" borderTopWidth="1px" borderColor="hairline" align="flex-start">
      <Flex w="84px" flexShrink="0" gap="1.5" align="center" fontWeight={grade === 'fault' ? 600 : 400}>
        <Icon size={15} aria-hidden /> {gradeWords[grade]}
      </Flex>
      <Box flex="1" minW="0">
        <Text fontWeight="500">{says}</Text>
        <Text color="quiet" fontSize="13px">
          {why}
        </Text>
        {children && <Box mt="1">{children}</Box>}
      </Box>
      {at && (
        <Text asChild color="petrol.fg" fontWeight="500" flexShrink="0">
          <Link to={findingLink({ at })}>Open it</Link>
        </Text>
      )}
    </Flex>
  );
}

const icons = { fault: CircleAlert, caution: Info, tip: Lightbulb } as const;
