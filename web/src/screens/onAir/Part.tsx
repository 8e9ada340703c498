import { Box, Heading, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** One of the parts, in their order, of putting something on air. */
export function Part({
  number,
  title,
  id,
  children,
}: {
  readonly number: number;
  readonly title: string;
  readonly id?: string;
  readonly children: ReactNode;
}) {
  return (
    <Box as="section" aria-label={title} mt="5">
      <Heading as="h2" id={id} fontSize="15px" fontWeight="600" mb="1.5">
        <Text as="span" fontFamily="mono" color="quiet" fontWeight="400" mr="2">
          {number}
        </Text>
        {title}
      </Heading>
      {children}
    </Box>
  );
}
