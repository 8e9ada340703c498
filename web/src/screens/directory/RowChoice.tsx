import { Box, Flex, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';

interface Row {
  readonly id: string;
  readonly name: string;
}

interface Props<Each extends Row> {
  /** What is listed: "Groups". */
  readonly label: string;
  /** The address of the list; the row follows it. */
  readonly to: string;
  readonly rows: readonly Each[];
  readonly chosen: Each | undefined;
  /** What is said under a name. */
  readonly about: (row: Each) => string;
  /** How another one is added. */
  readonly add: ReactNode;
  readonly children: ReactNode;
}

/** A short list at the left to choose from, and what was chosen beside it. */
export function RowChoice<Each extends Row>({ label, to, rows, chosen, about, add, children }: Props<Each>) {
  return (
    <Flex gap="6" align="flex-start" direction={{ base: 'column', lg: 'row' }}>
      <Box w={{ base: '100%', lg: '190px' }} flexShrink="0">
        <Box as="nav" aria-label={label}>
          {rows.map((row) => (
            <Box
              key={row.id}
              asChild
              display="block"
              px="2.5"
              py="1.5"
              ml="-2.5"
              borderRadius="md"
              bg={row.id === chosen?.id ? 'petrol.subtle' : undefined}
              _hover={{ bg: row.id === chosen?.id ? 'petrol.subtle' : 'sunk' }}
            >
              <Link to={`${to}/${row.id}`} aria-current={row.id === chosen?.id ? 'true' : undefined}>
                <Text fontWeight={row.id === chosen?.id ? 600 : 400}>{row.name}</Text>
                <Text fontSize="12.5px" color="quiet">
                  {about(row)}
                </Text>
              </Link>
            </Box>
          ))}
        </Box>
        {add}
      </Box>
      <Box flex="1" minW="0" w="100%">
        {children}
      </Box>
    </Flex>
  );
}
