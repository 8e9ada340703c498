import { Box, Flex, Text } from '@chakra-ui/react';
import { ChevronRight } from 'lucide-react';
import { Link } from 'react-router';

/** Something that waits for the manager, and the next click. */
export interface Need {
  readonly says: string;
  readonly does: string;
  readonly to: string;
}

/** What waits for the manager, line by line. */
export function Needs({ needs }: { readonly needs: readonly Need[] }) {
  return (
    <Box as="ul" listStyleType="none" borderTopWidth="1px" borderColor="hairline">
      {needs.map(({ says, does, to }) => (
        <Flex as="li" key={says} borderBottomWidth="1px" borderColor="hairline" py="2" gap="3" align="center">
          <Text flex="1">{says}</Text>
          <Flex asChild align="center" color="petrol.fg" fontWeight="500" flexShrink="0">
            <Link to={to}>
              {does} <ChevronRight size={15} aria-hidden />
            </Link>
          </Flex>
        </Flex>
      ))}
    </Box>
  );
}
