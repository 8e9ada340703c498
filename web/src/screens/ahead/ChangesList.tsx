import { Box, Flex, Text } from '@chakra-ui/react';
import { Link } from 'react-router';
import { useDraftTools } from '../../draft/DraftProvider';
import { showClock } from '../../parts/time';
import { showDay } from '../hours/specialWords';
import type { ToldChange } from './useChangesAhead';

/** Changes with their days; each leads to where it can be changed. */
export function ChangesList({ changes }: { readonly changes: readonly ToldChange[] }) {
  const { line } = useDraftTools();
  return (
    <Box as="ul" listStyleType="none" aria-label="What changes ahead">
      {changes.map(({ change, says, to }) => (
        <Flex
          as="li"
          key={`${change.day} ${says}`}
          gap={{ base: '0', sm: '3' }}
          direction={{ base: 'column', sm: 'row' }}
          py="2"
          borderBottomWidth="1px"
          borderColor="hairline"
        >
          <Text w="170px" flexShrink="0" color="quiet">
            {showDay(change.day)}
            {'atMs' in change && `, ${showClock(change.atMs, line.timeZone)}`}
          </Text>
          <Text asChild flex="1" minW="0" _hover={{ textDecoration: 'underline' }}>
            <Link to={to}>{says}</Link>
          </Text>
        </Flex>
      ))}
    </Box>
  );
}
