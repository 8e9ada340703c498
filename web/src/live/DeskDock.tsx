import { Box, Text } from '@chakra-ui/react';
import { usePeople } from '../api/resources';
import { useDraftTools } from '../draft/DraftProvider';
import { InlineSelect } from '../parts/InlineSelect';
import { DeskPanel } from './DeskPanel';
import { useBoard } from './useBoard';
import { useDeskAtHand } from './useDeskAtHand';
import { useSheetNames } from './useSheetNames';

/** The desk phones, docked beside the handset: one at a time, and whose else rings. */
export function DeskDock() {
  const people = usePeople();
  const names = { ...useDraftTools().names, ...useSheetNames() };
  const { desk: chosen, choose } = useDeskAtHand(people);
  const { view } = useBoard();
  const ringing = view?.board.staff.filter(({ doing, personId }) => doing === 'rung' && personId !== chosen?.id) ?? [];
  if (people.length === 0) return <Text px="4">Nobody has a desk phone yet. Add people in the Directory.</Text>;
  return (
    <Box px="4" py="2" overflow="auto" flex="1">
      <Text mb="3">
        The phone of{' '}
        <InlineSelect
          label="Whose desk phone"
          value={chosen?.id ?? ''}
          toChoose="whom?"
          choices={people.map(({ id, name, extension }) => ({ value: id, label: `${name}, ${extension}` }))}
          onChange={choose}
        />
      </Text>
      {ringing.map(({ personId }) => (
        <Box
          key={personId}
          asChild
          display="block"
          w="100%"
          textAlign="left"
          mb="2"
          px="2"
          minH="8"
          borderWidth="1px"
          borderColor="petrol.solid"
          borderRadius="md"
          bg="petrol.subtle"
        >
          <button type="button" onClick={() => choose(personId)}>
            {names[personId] ?? 'Somebody'}’s phone rings: show it
          </button>
        </Box>
      ))}
      {chosen && (
        <>
          <DeskPanel key={chosen.id} personId={chosen.id} names={names} rings />
          <Text asChild mt="6" display="block" fontSize="13px" color="quiet" textDecoration="underline">
            <a href={`/desk/${chosen.id}`} target="_blank" rel="noreferrer">
              Open it in a window of its own
            </a>
          </Text>
        </>
      )}
    </Box>
  );
}
