import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import {
  describeAct,
  describeCaller,
  describeExpectation,
  isBroken,
  sceneStaffWords,
  starterSet,
} from '@locutor/core/rehearsals';
import { instantOf } from '@locutor/core/hours';
import { Check, CircleAlert, Pencil, Plus, Sparkles, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useDraft } from '../../draft/DraftProvider';
import { nothingKept, useCallScript } from '../../handset/useCallScript';
import { tellDone } from '../../parts/notices';
import { ScreenHead } from '../../parts/ScreenHead';
import { SmallButton } from '../../parts/SmallButton';
import { showWhen } from '../../parts/time';
import { useNow } from '../../parts/useNow';
import { RehearsalForm } from './RehearsalForm';
import { RehearsalTabs } from './RehearsalTabs';
import { TwoTraces } from './TwoTraces';
import { useRehearsalDoors } from './useRehearsalDoors';
import { useRuns, type RunRehearsal } from './useRuns';

/** Trial calls that are kept: each a short scene with what must happen, run on the draft after every edit. */
export default function Rehearsals() {
  const { attendant, names, switched } = useDraft();
  const { all, isLoading } = useRuns();
  const { make, isLoading: isScriptLoading } = useCallScript();
  const { add } = useRehearsalDoors();
  const [isWriting, setWriting] = useState(false);
  const [isMaking, setMaking] = useState(false);
  const broken = all.filter(({ run }) => run && isBroken(run));
  const right = all.filter(({ run }) => !run || !isBroken(run));
  const makeSet = async (): Promise<void> => {
    setMaking(true);
    const known = new Set(all.map(({ rehearsal }) => rehearsal.name));
    const made = starterSet(make(attendant, nothingKept), Date.now(), names).filter(({ name }) => !known.has(name));
    if (made.length === 0) tellDone('There is a rehearsal for every path already.');
    else if (await add(made)) tellDone(`${made.length} rehearsals were made from the paths of the draft.`);
    setMaking(false);
  };
  return (
    <Box pb="8">
      <ScreenHead title="Rehearsals">
        <RehearsalTabs />
        <Button
          size="xs"
          variant="outline"
          bg="sheet"
          disabled={isMaking || isScriptLoading}
          onClick={() => void makeSet()}
        >
          <Sparkles size={14} aria-hidden /> {isMaking ? 'Making them …' : 'Make a set from the paths'}
        </Button>
        <Button size="xs" colorPalette="petrol" onClick={() => setWriting(true)}>
          <Plus size={14} aria-hidden /> Write one
        </Button>
      </ScreenHead>
      <Box px="6" maxW="980px">
        {isWriting && (
          <RehearsalForm from={null} onKeep={(content) => add([content])} onClose={() => setWriting(false)} />
        )}
        {!isLoading && all.length === 0 && !isWriting && (
          <Box maxW="560px" mt="4">
            <Text fontSize="16px">
              A rehearsal is a trial call that is kept, with what must happen in it. All are run after every edit, and
              before anything goes on air.
            </Text>
            <Text mt="2" color="quiet">
              Make a set from the paths there are, write one, or call on the handset and keep the call.
            </Text>
          </Box>
        )}
        {switched && all.length > 0 && (
          <Text mb="1">The switch is on. Rehearsals run as if it were not: they are for good, it is for now.</Text>
        )}
        {all.length > 0 && (
          <Text role="status" color="quiet">
            {broken.length === 0
              ? `All ${all.length} go as they should.`
              : `${broken.length} of ${all.length} no longer ${broken.length === 1 ? 'goes' : 'go'} as ${broken.length === 1 ? 'it' : 'they'} should.`}
          </Text>
        )}
        {broken.length > 0 && <List title="Broken" all={broken} />}
        {right.length > 0 && <List title="As they should" all={right} />}
      </Box>
    </Box>
  );
}

function List({ title, all }: { readonly title: string; readonly all: readonly RunRehearsal[] }) {
  return (
    <Box as="section" aria-label={title}>
      <Heading as="h2" fontSize="15px" fontWeight="600" mt="5" mb="1">
        {title}
      </Heading>
      <Box as="ul" listStyleType="none">
        {all.map((each) => (
          <Row key={each.rehearsal.id} {...each} />
        ))}
      </Box>
    </Box>
  );
}

function Row({ rehearsal, run }: RunRehearsal) {
  const { names, line } = useDraft();
  const { change, remove } = useRehearsalDoors();
  const now = useNow(60_000);
  const [isEditing, setEditing] = useState(false);
  const { id, name, scene, expects, revision, was } = rehearsal;
  const isWrong = run !== undefined && isBroken(run);
  const at = instantOf(scene.reading, line.timeZone);
  if (isEditing) {
    return (
      <Box as="li">
        <RehearsalForm
          from={rehearsal}
          onKeep={(content) => change(id, revision, content)}
          onClose={() => setEditing(false)}
        />
      </Box>
    );
  }
  return (
    <Box as="li" py="2.5" borderTopWidth="1px" borderColor="hairline" aria-label={name}>
      <Flex gap="3" align="flex-start">
        <Flex w="96px" flexShrink="0" gap="1.5" align="center" fontWeight={isWrong ? 600 : 400}>
          {isWrong ? <CircleAlert size={15} aria-hidden /> : <Check size={15} aria-hidden />}
          {run ? (isWrong ? 'Broken' : 'Right') : 'Running'}
        </Flex>
        <Box flex="1" minW="0">
          <Text fontWeight="500">{name}</Text>
          <Text color="quiet" fontSize="13px">
            {showWhen(at, line.timeZone, now)}, {describeCaller(scene.callerNumber)} calls
            {scene.acts.length > 0 && ` and ${scene.acts.map(describeAct).join(', then ')}`};{' '}
            {scene.staff.map(({ who, does }) => `${names[who] ?? 'somebody deleted'} ${sceneStaffWords[does]}, `)}
            {scene.staff.length > 0 ? 'everybody else' : 'whoever is rung'} {sceneStaffWords[scene.others]}.
          </Text>
          <Text fontSize="13px">
            The call{' '}
            {expects.map((expected, index) => (
              <Text as="span" key={index} fontWeight={run?.failed.includes(index) ? 600 : 400}>
                {index > 0 && ', '}
                {describeExpectation(expected, names)}
                {run?.failed.includes(index) && ' (it does not)'}
              </Text>
            ))}
            .
          </Text>
        </Box>
        <Flex flexShrink="0">
          <SmallButton label={`Change ${name}`} icon={<Pencil size={14} />} onClick={() => setEditing(true)} />
          <SmallButton label={`Delete ${name}`} icon={<Trash2 size={14} />} onClick={() => void remove(rehearsal)} />
        </Flex>
      </Flex>
      {isWrong && <TwoTraces was={was} run={run} />}
    </Box>
  );
}
