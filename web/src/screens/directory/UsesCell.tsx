import { Box, Table } from '@chakra-ui/react';
import type { ReferredId } from '@locutor/core/line';
import { useUses } from './useUses';

/** Where something is used: the place, or how many there are, opened by a click. */
export function UsesCell({ id, name }: { readonly id: ReferredId; readonly name: string }) {
  const { usesOf, isLoading } = useUses();
  const uses = usesOf(id);
  return (
    <Table.Cell color="quiet" fontSize="13px" pt="3">
      {uses.length === 0 && !isLoading && 'Nowhere'}
      {uses.length === 1 && capitalised(uses[0] ?? '')}
      {uses.length > 1 && (
        <details>
          <Box as="summary" cursor="pointer" aria-label={`${uses.length} places where ${name} is used`}>
            {uses.length} places
          </Box>
          <Box as="ul" listStyleType="none">
            {uses.map((use) => (
              <li key={use}>{capitalised(use)}</li>
            ))}
          </Box>
        </details>
      )}
    </Table.Cell>
  );
}

function capitalised(text: string): string {
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}`;
}
