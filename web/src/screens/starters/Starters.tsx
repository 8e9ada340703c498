import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import {
  namedPathId,
  sheetId,
  starterIds,
  starters,
  type Attendant,
  type StarterFacts,
  type StarterId,
} from '@locutor/core/line';
import { sheetSentences } from '@locutor/core/speech';
import { useSpokenFacts } from '../../speech/useSpokenFacts';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { useBoxes, usePeople } from '../../api/resources';
import { useDraftTools } from '../../draft/DraftProvider';
import { newId } from '../../parts/newId';
import { tellDone } from '../../parts/notices';
import { ScreenHead } from '../../parts/ScreenHead';
import { useRowDraft } from '../../saving/useRowDraft';
import { OperatorChoice } from '../lines/OperatorChoice';

/** Ready attendants, made for the people in the directory; one is taken over as a whole, and undo brings back the draft. */
export default function Starters() {
  const { line, hours, edit, store } = useDraftTools();
  const { row, change } = useRowDraft('/api/lines', line);
  const [people, [box]] = [usePeople(), useBoxes()];
  const navigate = useNavigate();
  const [chosen, setChosen] = useState<StarterId>('office');
  const facts = useMemo(
    (): StarterFacts | null =>
      box
        ? {
            businessName: line.name,
            people,
            boxId: box.id,
            openPeriodId: hours.periods[0]?.id ?? null,
            sheetId: () => newId(sheetId),
            pathId: () => newId(namedPathId),
          }
        : null,
    [line.name, people, box, hours.periods],
  );
  const attendant = useMemo(() => facts && starters[chosen].make(facts), [facts, chosen]);
  const begin = (): void => {
    if (!attendant) return;
    const { name } = starters[chosen];
    edit({ type: 'replace', attendant, why: `begin with the starter “${name}”` });
    tellDone(`The draft begins with “${name}”. What is on air has not changed.`, store.undo);
    void navigate('/script');
  };
  return (
    <Box pb="8">
      <ScreenHead title="Starters" />
      <Box px="6" maxW="980px">
        <Text color="quiet">
          Each is a whole attendant made for the people in your directory. It takes the place of the draft; undo brings
          the draft back, and callers hear nothing of it until you put it on air.
        </Text>
        <Text mt="3">
          Callers who want somebody, whoever it is, reach the operator:{' '}
          <OperatorChoice line={row} onChange={(operatorId) => change({ operatorId })} />.
        </Text>
        <Flex mt="4" gap="6" direction={{ base: 'column', lg: 'row' }}>
          <Flex direction="column" gap="1" w={{ lg: '280px' }} flexShrink="0" role="group" aria-label="Starters">
            {starterIds.map((id) => (
              <Button
                key={id}
                variant={id === chosen ? 'subtle' : 'ghost'}
                colorPalette={id === chosen ? 'petrol' : 'gray'}
                aria-pressed={id === chosen}
                h="auto"
                py="2"
                justifyContent="flex-start"
                textAlign="left"
                whiteSpace="normal"
                onClick={() => setChosen(id)}
              >
                <Box>
                  <Text fontWeight="600">{starters[id].name}</Text>
                  <Text fontWeight="400" fontSize="13px">
                    {starters[id].about}
                  </Text>
                </Box>
              </Button>
            ))}
          </Flex>
          <Box flex="1" minW="0">
            {attendant && <Preview attendant={attendant} />}
            {attendant ? (
              <Button mt="4" colorPalette="petrol" onClick={begin}>
                Begin with this
              </Button>
            ) : (
              <Text>A starter needs a box for messages. Add one in the Directory first.</Text>
            )}
          </Box>
        </Flex>
      </Box>
    </Box>
  );
}

/** What callers would hear, sheet by sheet. */
function Preview({ attendant }: { readonly attendant: Attendant }) {
  const facts = useSpokenFacts();
  return (
    <Box role="region" aria-label="What callers would hear">
      {attendant.sheets.map((sheet) => (
        <Box key={sheet.id} mb="3" pb="3" borderBottomWidth="1px" borderColor="hairline">
          <Heading as="h2" fontSize="14px" fontWeight="600">
            {sheet.name}
          </Heading>
          <Text fontFamily="spoken" fontSize="16px" lineHeight="1.4">
            {sheetSentences(sheet, attendant.voice, facts)
              .map(({ text }) => text)
              .join(' ')}
          </Text>
        </Box>
      ))}
    </Box>
  );
}
