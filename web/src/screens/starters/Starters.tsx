import { Box as Part, Button, Flex, Heading, Text } from '@chakra-ui/react';
import type { Box, BoxId } from '@locutor/core/directory';
import {
  namedPathId,
  placedSteps,
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
import { useAttendantPart, useDraftTools } from '../../draft/DraftProvider';
import { InlineSelect } from '../../parts/InlineSelect';
import { newId } from '../../parts/newId';
import { tellDone } from '../../parts/notices';
import { ScreenHead } from '../../parts/ScreenHead';
import { useRowDraft } from '../../saving/useRowDraft';
import { OperatorChoice } from '../lines/OperatorChoice';

/** Ready attendants, made for the people in the directory; one is taken over as a whole, and undo brings back the draft. */
export default function Starters() {
  const { line, hours, edit, store } = useDraftTools();
  const { row, change } = useRowDraft('/api/lines', line);
  const people = usePeople();
  const boxes = useBoxes();
  const [chosenBox, setChosenBox] = useState<BoxId | null>(null);
  const before = useAttendantPart((attendant) => attendant);
  const boxId = chosenBox ?? nearestBox(boxes, row.operatorId, before);
  const navigate = useNavigate();
  const [chosen, setChosen] = useState<StarterId>('office');
  const facts = useMemo(
    (): StarterFacts | null =>
      boxId
        ? {
            businessName: line.name,
            people,
            isInOrder: false,
            boxId,
            openPeriodId: hours.periods[0]?.id ?? null,
            sheetId: () => newId(sheetId),
            pathId: () => newId(namedPathId),
          }
        : null,
    [line.name, people, boxId, hours.periods],
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
    <Part pb="8">
      <ScreenHead title="Starters" />
      <Part px="6" maxW="980px">
        <Text color="quiet">
          Each is a whole attendant made for the people in your directory. It takes the place of the draft; undo brings
          the draft back, and callers hear nothing of it until you put it on air.
        </Text>
        <Text mt="3">
          Callers who want somebody, whoever it is, reach the operator:{' '}
          <OperatorChoice line={row} onChange={(operatorId) => change({ operatorId })} />. Where they do not answer, a
          message is left in the box{' '}
          <InlineSelect
            label="Box for messages"
            value={boxId ?? ''}
            toChoose="which box?"
            choices={boxes.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={(id) => setChosenBox(id as BoxId)}
          />
          .
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
                <Part>
                  <Text fontWeight="600">{starters[id].name}</Text>
                  <Text fontWeight="400" fontSize="13px">
                    {starters[id].about}
                  </Text>
                </Part>
              </Button>
            ))}
          </Flex>
          <Part flex="1" minW="0">
            {attendant && <Preview attendant={attendant} />}
            {attendant ? (
              <Button mt="4" colorPalette="petrol" onClick={begin}>
                Begin with this
              </Button>
            ) : (
              <Text>
                {boxes.length === 0
                  ? 'A starter needs a box for messages. Add one in the Directory first.'
                  : 'Choose first in which box messages are left.'}
              </Text>
            )}
          </Part>
        </Flex>
      </Part>
    </Part>
  );
}

/** The operator's own box, else the one in which the draft takes most messages, else the only one there is. */
function nearestBox(boxes: readonly Box[], operatorId: string | null, attendant: Attendant): BoxId | null {
  const own = boxes.find(({ ownerId }) => ownerId !== null && ownerId === operatorId);
  const used = placedSteps(attendant).flatMap(({ step }) => (step.type === 'takeMessage' ? [step.boxId] : []));
  const usesOf = ({ id }: Box): number => used.filter((each) => each === id).length;
  const [most] = boxes.filter((box) => usesOf(box) > 0).toSorted((one, other) => usesOf(other) - usesOf(one));
  return (own ?? most ?? (boxes.length === 1 ? boxes[0] : undefined))?.id ?? null;
}

/** What callers would hear, sheet by sheet. */
function Preview({ attendant }: { readonly attendant: Attendant }) {
  const facts = useSpokenFacts();
  return (
    <Part role="region" aria-label="What callers would hear">
      {attendant.sheets.map((sheet) => (
        <Part key={sheet.id} mb="3" pb="3" borderBottomWidth="1px" borderColor="hairline">
          <Heading as="h2" fontSize="14px" fontWeight="600">
            {sheet.name}
          </Heading>
          <Text fontFamily="spoken" fontSize="16px" lineHeight="1.4">
            {sheetSentences(sheet, attendant.voice, facts)
              .map(({ text }) => text)
              .join(' ')}
          </Text>
        </Part>
      ))}
    </Part>
  );
}
