import { Box, Table } from '@chakra-ui/react';
import type { ReactNode } from 'react';

interface Props {
  /** What each column is called and how wide it is; one without a width takes what is left. */
  readonly columns: readonly { readonly name: string; readonly width?: string }[];
  readonly children: ReactNode;
}

/** A list of the directory as a table; its last column, for deleting, has no visible name. */
export function RowTable({ columns, children }: Props) {
  return (
    // In a narrow window it is read by moving it sideways: cells are never squeezed to a letter.
    <Box overflowX={{ base: 'auto', md: 'visible' }}>
      <Table.Root size="sm" tableLayout="fixed" minW={{ base: '640px', md: 0 }}>
        <Table.Header>
          <Table.Row bg="transparent">
            {columns.map(({ name, width }) => (
              <Table.ColumnHeader key={name} w={width}>
                {name}
              </Table.ColumnHeader>
            ))}
            <Table.ColumnHeader w="48px">
              <Box as="span" srOnly>
                Delete
              </Box>
            </Table.ColumnHeader>
          </Table.Row>
        </Table.Header>
        <Table.Body>{children}</Table.Body>
      </Table.Root>
    </Box>
  );
}
