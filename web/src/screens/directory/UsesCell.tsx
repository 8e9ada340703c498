import { Box, Table } from '@chakra-ui/react';
import { usesOf, type ReferredId } from '@locutor/core/line';
import { useDraft } from '../../draft/DraftProvider';
import { usesInWords } from './usesInWords';

/** Where the draft uses something: the place, or how many there are, opened by a click. */
export function UsesCell({ id, name }: { readonly id: ReferredId; readonly name: string }) {
  const { attendant, names } = useDraft();
  const uses = usesOf(attendant, id);
  const words = usesInWords(uses, attendant, names);
  return (
    <Table.Cell color="quiet" fontSize="13px" pt="3">
      {uses.length === 0 && 'Nowhere'}
      {uses.length === 1 && words}
      {uses.length > 1 && (
        <details>
          <Box as="summary" cursor="pointer" aria-label={`${uses.length} places where ${name} is used`}>
            {uses.length} places
          </Box>
          {words}
        </details>
      )}
    </Table.Cell>
  );
}
