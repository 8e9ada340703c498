import { Flex, Heading } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** A screen's name, with what can be done on all of it at the right. */
export function ScreenHead({ title, children }: { readonly title: string; readonly children?: ReactNode }) {
  return (
    <Flex as="div" align="center" gap="3" px="6" pt="4" pb="2" minH="14" wrap="wrap">
      <Heading as="h1" fontSize="20px" fontWeight="600" mr="auto">
        {title}
      </Heading>
      {children}
    </Flex>
  );
}
