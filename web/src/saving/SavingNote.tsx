import { Box, Text } from '@chakra-ui/react';
import type { Side } from '@locutor/core/merging';
import { ClashChoice } from './ClashChoice';
import type { Saving } from './saver';

interface Props {
  readonly saving: Saving;
  readonly choose: (sides: readonly Side[]) => void;
  /** Whether nothing is said while all is well. */
  readonly isBrief?: boolean;
}

/** Whether something is saved; and, where another window changed the same thing, the choice. */
export function SavingNote({ saving, choose, isBrief = false }: Props) {
  if (saving.type === 'clash') {
    return (
      <Box flexBasis="100%" my="1">
        <ClashChoice clashes={saving.clashes} choose={choose} />
      </Box>
    );
  }
  if (saving.type === 'saved' || saving.type === 'saving') {
    if (isBrief) return null;
    return (
      <Text role="status" fontSize="13px" color="quiet">
        {saving.type === 'saved' ? 'Saved' : 'Saving …'}
      </Text>
    );
  }
  return (
    <Text role="alert" fontSize="13px">
      {saving.type === 'refused' ? `Not saved: ${saving.says}` : 'Not saved yet. It is kept in this browser.'}
    </Text>
  );
}
