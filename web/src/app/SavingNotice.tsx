import { Button, Flex, Text } from '@chakra-ui/react';
import { useDraft } from '../draft/DraftProvider';

/** Says, above the work, when the draft could not be saved, and what can be done. */
export function SavingNotice() {
  const { saving, store } = useDraft();
  if (saving.type === 'saved' || saving.type === 'saving') return null;
  return (
    <Flex
      role="alert"
      bg="sunk"
      borderBottomWidth="1px"
      borderColor="hairline"
      px="4"
      py="2"
      gap="3"
      align="center"
      wrap="wrap"
    >
      {saving.type === 'stale' ? (
        <>
          <Text flex="1" minW="300px">
            This draft was changed in another window. Your version stands here, not saved; nothing was overwritten.
          </Text>
          <Button size="sm" colorPalette="petrol" onClick={store.keepMine}>
            Keep mine
          </Button>
          <Button size="sm" variant="outline" onClick={store.takeTheirs}>
            Take the other (undo brings mine back)
          </Button>
        </>
      ) : (
        <Text>Not saved: {saving.says} Your words are kept in this browser.</Text>
      )}
    </Flex>
  );
}
