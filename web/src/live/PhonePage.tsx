import { Box, Flex, Heading } from '@chakra-ui/react';
import { useEffect, type ReactNode } from 'react';

/** A page of its own for a phone: as wide as one, whatever the window. */
export function PhonePage({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  useEffect(() => {
    document.title = `${title} · Locutor`;
  }, [title]);
  return (
    <Flex justify="center" minH="100dvh" bg="sunk">
      <Flex
        as="main"
        direction="column"
        w="100%"
        maxW="420px"
        h="100dvh"
        bg="paper"
        borderXWidth={{ md: '1px' }}
        borderColor="hairline"
      >
        <Heading as="h1" fontSize="17px" fontWeight="600" px="4" pt="3" pb="1">
          {title}
        </Heading>
        <Box flex="1" minH="0" display="flex" flexDirection="column">
          {children}
        </Box>
      </Flex>
    </Flex>
  );
}
