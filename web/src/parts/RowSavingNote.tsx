import { Button, Flex, Text } from '@chakra-ui/react';
import type { RowSaving } from './useRowDraft';

interface Props {
  readonly saving: RowSaving;
  readonly keepMine: () => void;
  readonly takeTheirs: () => void;
}

/** Whether a row is saved; and, when another window was faster, the choice. */
export function RowSavingNote({ saving, keepMine, takeTheirs }: Props) {
  if (saving.type === 'saved' || saving.type === 'saving') {
    return (
      <Text role="status" fontSize="13px" color="quiet">
        {saving.type === 'saved' ? 'Saved' : 'Saving …'}
      </Text>
    );
  }
  return (
    <Flex role="alert" gap="2" wrap="wrap" align="center" fontSize="13px">
      <Text>Not saved: {saving.says}</Text>
      {saving.type === 'stale' && (
        <>
          <Button size="xs" colorPalette="petrol" onClick={keepMine}>
            Keep mine
          </Button>
          <Button size="xs" variant="outline" onClick={takeTheirs}>
            Take the other
          </Button>
        </>
      )}
    </Flex>
  );
}
