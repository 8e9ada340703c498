import { Box, Heading } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** A part of a sheet below its keys, with its title. */
export function Fallback({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <Box mt="5" pt="3" borderTopWidth="1px" borderColor="hairline">
      <Heading as="h2" fontSize="14px" fontWeight="600" mb="1">
        {title}
      </Heading>
      {children}
    </Box>
  );
}
