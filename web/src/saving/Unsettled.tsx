import { Box, Text } from '@chakra-ui/react';
import { useSavingState } from './savers';
import { SavingNote } from './SavingNote';

/** Says, above the work, what could not be saved and has no note of its own on screen, and what can be done. */
export function Unsettled() {
  const { unreachable, unsettled } = useSavingState();
  if (unsettled.length === 0 && unreachable === null) return null;
  return (
    <Box
      as="section"
      aria-label="Not saved"
      bg="sunk"
      borderBottomWidth="1px"
      borderColor="hairline"
      px="4"
      py="2"
      maxH="45vh"
      overflow="auto"
    >
      {unreachable !== null && (
        <Text role="alert">{unreachable} What you change is kept in this browser, and saved as soon as it can be.</Text>
      )}
      {unsettled.map(({ place, what, saving, choose }) => (
        <Box key={place} py="1" maxW="920px">
          <Text fontWeight="600">{what}</Text>
          <SavingNote saving={saving} choose={choose} />
        </Box>
      ))}
    </Box>
  );
}
