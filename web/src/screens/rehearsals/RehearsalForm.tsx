import { Box, Button, Flex, Input, Text } from '@chakra-ui/react';
import {
  readExpectations,
  readScene,
  rehearsalLimits,
  sceneEndWords,
  sceneStaffWords,
  type Expectation,
  type Reached,
  type Scene,
  type SceneAct,
  type SceneEnd,
  type SceneStaffDoes,
} from '@locutor/core/rehearsals';
import { exampleNumber, countryOf, anonymousCaller, showPhoneNumber } from '@locutor/core/directory';
import { clockReading } from '@locutor/core/hours';
import { Plus, X } from 'lucide-react';
import { useState, type FormEvent, type ReactNode } from 'react';
import { useDirectory } from '../../api/resources';
import { useAttendantPart, useDraftTools } from '../../draft/DraftProvider';
import { callerOf } from '../../handset/callerOf';
import { InlineNumber } from '../../parts/InlineNumber';
import { InlineSelect } from '../../parts/InlineSelect';
import { InlineWords } from '../../parts/InlineWords';
import { SmallButton } from '../../parts/SmallButton';
import { asChoices } from '../../path/asChoices';
import { sheetChoicesOf } from '../../path/sheetChoices';
import type { RehearsalContent } from './useRehearsalDoors';
import { MomentField } from '../../parts/MomentField';

interface Props {
  readonly from: RehearsalContent | null;
  readonly onKeep: (content: RehearsalContent) => Promise<boolean>;
  readonly onClose: () => void;
}

const staffChoices = Object.entries(sceneStaffWords).map(([value, label]) => ({ value, label }));
const endChoices = Object.entries(sceneEndWords).map(([value, label]) => ({ value, label }));
const actChoices = [
  { value: 'press', label: 'presses' },
  { value: 'wait', label: 'presses nothing' },
  { value: 'say', label: 'says' },
  { value: 'hangUp', label: 'hangs up after' },
];
const expectChoices = [
  { value: 'reaches', label: 'reaches' },
  { value: 'hears', label: 'hears' },
  { value: 'within', label: 'has somebody within' },
  { value: 'ends', label: 'ends' },
];
const newAct: Readonly<Record<SceneAct['type'], SceneAct>> = {
  press: { type: 'press', keys: '1' },
  wait: { type: 'wait' },
  say: { type: 'say', words: 'sales' },
  hangUp: { type: 'hangUp', afterSeconds: 5 },
};

/** A rehearsal written as sentences: when, who calls, what they do, who answers, and what must happen. */
export function RehearsalForm({ from, onKeep, onClose }: Props) {
  const { line } = useDraftTools();
  const who = useReachable();
  const country = countryOf(line);
  const [name, setName] = useState(from?.name ?? '');
  const [scene, setScene] = useState<Scene>(
    () =>
      from?.scene ?? {
        reading: clockReading(Date.now(), line.timeZone).slice(0, 16),
        callerNumber: callerOf(exampleNumber(country), country),
        acts: [newAct.press],
        staff: [],
        others: 'answers',
      },
  );
  const [expects, setExpects] = useState<readonly Expectation[]>(from?.expects ?? [{ type: 'ends', how: 'talk' }]);
  const [caller, setCaller] = useState(() => (from ? numberOf(from.scene.callerNumber) : exampleNumber(country)));
  const [isBusy, setBusy] = useState(false);
  const change = (changes: Partial<Scene>): void => setScene({ ...scene, ...changes });
  const whole: Scene = { ...scene, callerNumber: callerOf(caller, country) };
  const lacking = lackingIn(name, whole, expects);
  const keep = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    setBusy(true);
    if (await onKeep({ name: name.trim(), scene: whole, expects })) onClose();
    else setBusy(false);
  };
  return (
    <Box asChild bg="sheet" borderWidth="2px" borderColor="petrol.solid" borderRadius="md" p="4" my="3">
      <form aria-label="Rehearsal" onSubmit={(event) => void keep(event)}>
        <Input
          size="sm"
          bg="paper"
          fontWeight="600"
          aria-label="Name of the rehearsal"
          placeholder="What it shows, such as: A supplier at night reaches the warehouse"
          maxLength={rehearsalLimits.name}
          value={name}
          onChange={(event) => setName(event.currentTarget.value)}
        />
        <Sentence title="The call">
          On{' '}
          <MomentField
            label="When, by the line’s clock"
            value={scene.reading}
            onChange={(reading) => change({ reading })}
          />{' '}
          somebody calls from{' '}
          <InlineWords
            label="Number of the caller; empty for one who hides it"
            placeholder="a hidden number"
            value={caller}
            most={24}
            fontFamily="mono"
            minW="150px"
            onChange={setCaller}
          />
          .
        </Sentence>
        <Sentence title="The caller">
          {scene.acts.map((act, index) => (
            <Part
              key={index}
              label="act"
              onRemove={() => change({ acts: scene.acts.filter((_, each) => each !== index) })}
            >
              {index > 0 && 'then '}
              <ActPhrase
                act={act}
                onChange={(next) => change({ acts: scene.acts.map((each, at) => (at === index ? next : each)) })}
              />
            </Part>
          ))}
          <Add label="then" onAdd={() => change({ acts: [...scene.acts, newAct.press] })} />
        </Sentence>
        <Sentence title="The staff">
          {scene.staff.map(({ who: id, does }, index) => (
            <Part
              key={index}
              label="colleague"
              onRemove={() => change({ staff: scene.staff.filter((_, each) => each !== index) })}
            >
              <InlineSelect
                label="Who"
                value={id}
                toChoose="who?"
                choices={who.staff}
                onChange={(next) =>
                  change({
                    staff: scene.staff.map((each, at) => (at === index ? { ...each, who: next as typeof id } : each)),
                  })
                }
              />{' '}
              <InlineSelect
                label="What they do"
                value={does}
                choices={staffChoices}
                onChange={(next) =>
                  change({
                    staff: scene.staff.map((each, at) =>
                      at === index ? { ...each, does: next as SceneStaffDoes } : each,
                    ),
                  })
                }
              />
              ,
            </Part>
          ))}
          {who.staff.length > 0 && (
            <Add
              label="somebody"
              onAdd={() => change({ staff: [...scene.staff, { who: nobodyYet as StaffMember, does: 'busy' }] })}
            />
          )}
          {scene.staff.length > 0 ? ' everybody else ' : ' whoever is rung '}
          <InlineSelect
            label="What everybody else does"
            value={scene.others}
            choices={staffChoices}
            onChange={(others) => change({ others: others as SceneStaffDoes })}
          />
          .
        </Sentence>
        <Sentence title="What must happen: the call">
          {expects.map((expected, index) => (
            <Part key={index} label="thing" onRemove={() => setExpects(expects.filter((_, each) => each !== index))}>
              {index > 0 && 'and '}
              <ExpectPhrase
                expected={expected}
                reachable={who.all}
                onChange={(next) => setExpects(expects.map((each, at) => (at === index ? next : each)))}
              />
            </Part>
          ))}
          <Add label="and" onAdd={() => setExpects([...expects, { type: 'within', seconds: 30 }])} />
        </Sentence>
        <Flex mt="3" gap="2" align="center" wrap="wrap">
          <Button type="submit" size="sm" colorPalette="petrol" disabled={isBusy || lacking !== null}>
            Keep the rehearsal
          </Button>
          <Button size="sm" variant="ghost" onClick={onClose}>
            Cancel
          </Button>
          {lacking && <Text color="quiet">{lacking}</Text>}
        </Flex>
      </form>
    </Box>
  );
}

/** Somebody still to be chosen. */
const nobodyYet: string = '';

type StaffMember = Scene['staff'][number]['who'];

/** What has to be said before it can be kept; null where nothing is lacking. */
function lackingIn(name: string, scene: Scene, expects: readonly Expectation[]): string | null {
  if (!name.trim()) return 'Give it a name.';
  if (expects.length === 0) return 'Say at least one thing that must happen.';
  if (scene.reading === '') return 'Say when the call is.';
  const isOpen = scene.staff.some(({ who }) => who === nobodyYet);
  if (isOpen || expects.some((each) => each.type === 'reaches' && each.who === nobodyYet))
    return 'Choose whom you mean.';
  const { ok: isScene } = readScene(scene);
  return isScene && readExpectations(expects).ok ? null : 'Some part of a sentence is empty or not right yet.';
}

/** A number as it is typed; nothing for a caller who hides it. */
function numberOf(callerNumber: string): string {
  return callerNumber === anonymousCaller ? '' : showPhoneNumber(callerNumber);
}

function Sentence({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <Box mt="3">
      <Text fontSize="12.5px" color="quiet">
        {title}
      </Text>
      <Flex wrap="wrap" align="center" gap="1.5" lineHeight="1.9">
        {children}
      </Flex>
    </Box>
  );
}

function Part({
  label,
  onRemove,
  children,
}: {
  readonly label: string;
  readonly onRemove: () => void;
  readonly children: ReactNode;
}) {
  return (
    <Flex as="span" display="inline-flex" align="center" gap="1">
      {children}
      <SmallButton label={`Leave out this ${label}`} icon={<X size={12} />} onClick={onRemove} />
    </Flex>
  );
}

function Add({ label, onAdd }: { readonly label: string; readonly onAdd: () => void }) {
  return (
    <Button size="2xs" variant="ghost" colorPalette="petrol" onClick={onAdd}>
      <Plus size={12} aria-hidden /> {label}
    </Button>
  );
}

function ActPhrase({ act, onChange }: { readonly act: SceneAct; readonly onChange: (act: SceneAct) => void }) {
  return (
    <>
      <InlineSelect
        label="What the caller does"
        value={act.type}
        choices={actChoices}
        onChange={(type) => onChange(newAct[type as SceneAct['type']])}
      />
      {act.type === 'press' && (
        <InlineWords
          label="Which keys"
          value={act.keys}
          most={20}
          fontFamily="mono"
          onChange={(keys) => onChange({ ...act, keys: keys.replace(/[^0-9*#]/g, '') })}
        />
      )}
      {act.type === 'say' && (
        <InlineWords
          label="What the caller says"
          value={act.words}
          most={rehearsalLimits.words}
          onChange={(words) => onChange({ ...act, words })}
        />
      )}
      {act.type === 'hangUp' && (
        <>
          <InlineNumber
            label="Seconds until the caller hangs up"
            value={act.afterSeconds}
            least={0}
            most={rehearsalLimits.seconds}
            onChange={(afterSeconds) => onChange({ ...act, afterSeconds })}
          />{' '}
          s
        </>
      )}
    </>
  );
}

interface ExpectProps {
  readonly expected: Expectation;
  readonly reachable: readonly { readonly value: string; readonly label: string }[];
  readonly onChange: (expected: Expectation) => void;
}

function ExpectPhrase({ expected, reachable, onChange }: ExpectProps) {
  const fresh: Readonly<Record<Expectation['type'], Expectation>> = {
    reaches: { type: 'reaches', who: nobodyYet as Reached },
    hears: { type: 'hears', words: 'thank you for calling' },
    within: { type: 'within', seconds: 30 },
    ends: { type: 'ends', how: 'talk' },
  };
  return (
    <>
      <InlineSelect
        label="What must happen"
        value={expected.type}
        choices={expectChoices}
        onChange={(type) => onChange(fresh[type as Expectation['type']])}
      />
      {expected.type === 'reaches' && (
        <InlineSelect
          label="Whom it reaches"
          value={expected.who}
          toChoose="whom?"
          choices={reachable}
          onChange={(who) => onChange({ type: 'reaches', who: who as Reached })}
        />
      )}
      {expected.type === 'hears' && (
        <InlineWords
          label="Words that are heard"
          value={expected.words}
          most={rehearsalLimits.words}
          onChange={(words) => onChange({ type: 'hears', words })}
        />
      )}
      {expected.type === 'within' && (
        <>
          <InlineNumber
            label="Within how many seconds"
            value={expected.seconds}
            least={1}
            most={rehearsalLimits.seconds}
            onChange={(seconds) => onChange({ type: 'within', seconds })}
          />{' '}
          s
        </>
      )}
      {expected.type === 'ends' && (
        <InlineSelect
          label="How it ends"
          value={expected.how}
          choices={endChoices.map(({ value, label }) => ({ value, label: label.replace(/^ends? /, '') }))}
          onChange={(how) => onChange({ type: 'ends', how: how as SceneEnd })}
        />
      )}
    </>
  );
}

/** Whom a call can reach, and whose phones can ring in it. */
function useReachable() {
  const { people, groups, queues, boxes, contacts, lines } = useDirectory();
  const sheets = useAttendantPart(sheetChoicesOf);
  const boxChoices = boxes.map(({ id, name }) => ({ value: id, label: `the box ${name}` }));
  const lineChoices = lines.map(({ id, name }) => ({ value: id, label: `the line ${name}` }));
  return {
    staff: asChoices([...people, ...contacts]),
    all: [...asChoices([...people, ...groups, ...queues, ...contacts]), ...boxChoices, ...sheets, ...lineChoices],
  };
}
