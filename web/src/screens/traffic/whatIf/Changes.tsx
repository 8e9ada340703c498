import { Box, Flex, Text } from '@chakra-ui/react';
import { queueDefaults, queueLimits, type GroupId, type PersonId, type QueueId } from '@locutor/core/directory';
import { weekdayName, weekdays, type Weekday } from '@locutor/core/hours';
import { callsLimits, mostChanges, secondsLimits, type Change, type ChangedSeconds } from '@locutor/core/whatIf';
import { X } from 'lucide-react';
import { useGroups, usePeople, useQueues } from '../../../api/resources';
import { InlineNumber } from '../../../parts/InlineNumber';
import { InlineSelect, type Choice } from '../../../parts/InlineSelect';
import { SmallButton } from '../../../parts/SmallButton';
import { TimeField } from '../../../parts/TimeField';

interface Props {
  readonly changes: readonly Change[];
  /** Changes them as they are by then, whatever was drawn last. */
  readonly onEdit: (edit: (changes: readonly Change[]) => readonly Change[]) => void;
}

/** What a plan changes, a sentence each. */
export function Changes({ changes, onEdit }: Props) {
  const kinds = useKinds();
  const put = (index: number, edit: (change: Change) => Change): void =>
    onEdit((all) => all.map((change, at) => (at === index ? edit(change) : change)));
  return (
    <Box as="ul" listStyleType="none" aria-label="What the plan changes">
      {changes.map((change, index) => (
        <Flex as="li" key={index} gap="1.5" align="center" wrap="wrap" minH="32px">
          <OneChange change={change} onChange={(changed) => put(index, ({ on }) => ({ ...changed, on }))} />
          <Days on={change.on} onChange={(on) => put(index, (now) => ({ ...now, on }))} />
          <SmallButton
            label="Leave this out"
            icon={<X size={14} aria-hidden />}
            onClick={() => onEdit((all) => all.filter((_, at) => at !== index))}
          />
        </Flex>
      ))}
      {changes.length < mostChanges && (
        <Flex as="li" minH="32px" align="center">
          <InlineSelect
            label="What to change"
            value=""
            toChoose={changes.length === 0 ? '+ change something' : '+ and'}
            choices={kinds.map(({ value, label }) => ({ value, label }))}
            onChange={(value) => {
              const made = kinds.find((kind) => kind.value === value)?.make();
              if (made) onEdit((all) => [...all, made]);
            }}
          />
        </Flex>
      )}
    </Box>
  );
}

interface Kind extends Choice {
  readonly make: () => Change;
}

/** What can be changed. Of whom is left to be said, but where there is one alone. */
function useKinds(): readonly Kind[] {
  const [queues, groups, people] = [useQueues(), useGroups(), usePeople()];
  const of = onlyOne<GroupId | QueueId>([...queues, ...groups]);
  const every: readonly Weekday[] = [];
  const isSomewhere = queues.length + groups.length > 0;
  const kinds: readonly (Kind & { readonly isOffered: boolean })[] = [
    {
      ...{ value: 'calls', label: 'more or fewer calls', isOffered: true },
      make: () => ({ type: 'calls', percent: 20, on: every }),
    },
    {
      ...{ value: 'more', label: 'one more member', isOffered: isSomewhere },
      make: () => ({ type: 'moreMembers', of, who: null, on: every }),
    },
    {
      ...{ value: 'fewer', label: 'one member less', isOffered: isSomewhere },
      make: () => ({ type: 'fewerMembers', of, who: null, on: every }),
    },
    {
      ...{ value: 'seconds', label: 'how long it rings, rests or lets them wait', isOffered: isSomewhere },
      make: () => ({ type: 'seconds', of, what: 'memberSeconds', to: queueDefaults.memberSeconds, on: every }),
    },
    {
      ...{ value: 'away', label: 'somebody away', isOffered: people.length > 0 },
      make: () => ({ type: 'away', who: null, on: [5] }),
    },
    {
      ...{ value: 'mostCallers', label: 'how many may wait', isOffered: queues.length > 0 },
      make: () => ({ type: 'mostCallers', of: onlyOne(queues), to: queueLimits.mostCallers.usual, on: every }),
    },
    {
      ...{ value: 'queueForGroup', label: 'a queue instead of a group', isOffered: groups.length > 0 },
      make: () => ({ type: 'queueForGroup', of: onlyOne(groups), on: every }),
    },
    {
      ...{ value: 'open', label: 'other hours', isOffered: true },
      make: () => ({ type: 'open', fromMin: 480, toMin: 1080, on: [6] }),
    },
  ];
  return kinds.filter(({ isOffered }) => isOffered);
}

function onlyOne<Id>(all: readonly { readonly id: Id }[]): Id | null {
  return all.length === 1 ? (all[0]?.id ?? null) : null;
}

interface OneProps {
  readonly change: Change;
  readonly onChange: (change: Change) => void;
}

function OneChange({ change, onChange }: OneProps) {
  const [queues, groups, people] = [useQueues(), useGroups(), usePeople()];
  const named = (all: readonly { readonly id: string; readonly name: string }[]): readonly Choice[] =>
    all.map(({ id, name }) => ({ value: id, label: name }));
  const either = (of: GroupId | QueueId | null, set: (of: GroupId | QueueId) => void) => (
    <InlineSelect
      label="Group or queue"
      value={of ?? ''}
      toChoose="which?"
      choices={named([...queues, ...groups])}
      onChange={(id) => set(id as GroupId | QueueId)}
    />
  );
  /** As they are now: what is changed is seen at once. */
  const secondsNow = (of: GroupId | QueueId | null, what: ChangedSeconds): number => {
    const kept: Partial<Record<ChangedSeconds, number>> = [...queues, ...groups].find(({ id }) => id === of) ?? {};
    return kept[what] ?? queueDefaults[what];
  };
  const person = (who: PersonId | null, choices: readonly Choice[], set: (who: PersonId | null) => void) => (
    <InlineSelect
      label="Person"
      value={who ?? 'new'}
      toChoose="whom?"
      choices={choices}
      onChange={(id) => set(id === 'new' ? null : (id as PersonId))}
    />
  );
  switch (change.type) {
    case 'calls':
      return (
        <>
          <InlineNumber
            label="Percent"
            value={Math.abs(change.percent)}
            least={0}
            most={change.percent < 0 ? -callsLimits.least : callsLimits.most}
            step={5}
            onChange={(percent) => onChange({ ...change, percent: change.percent < 0 ? -percent : percent })}
          />
          <Text>%</Text>
          <InlineSelect
            label="More or fewer"
            value={change.percent < 0 ? 'fewer' : 'more'}
            choices={[
              { value: 'more', label: 'more calls' },
              { value: 'fewer', label: 'fewer calls' },
            ]}
            onChange={(value) => {
              const percent = Math.min(Math.abs(change.percent), -callsLimits.least);
              onChange({ ...change, percent: value === 'fewer' ? -Math.max(1, percent) : percent });
            }}
          />
        </>
      );
    case 'moreMembers':
      return (
        <>
          {person(change.who, [{ value: 'new', label: 'Somebody new' }, ...named(people)], (who) =>
            onChange({ ...change, who }),
          )}
          <Text>answers too in</Text>
          {either(change.of, (of) => onChange({ ...change, of }))}
        </>
      );
    case 'fewerMembers': {
      const membersOf = (of: GroupId | QueueId | null) => {
        const members = [...queues, ...groups].find(({ id }) => id === of)?.members ?? [];
        return people.filter(({ id }) => members.some(({ personId }) => personId === id));
      };
      return (
        <>
          {person(change.who, named(membersOf(change.of)), (who) => who && onChange({ ...change, who }))}
          <Text>does not answer any more in</Text>
          {either(change.of, (of) => onChange({ ...change, of, who: null }))}
        </>
      );
    }
    case 'away':
      return (
        <>
          {person(change.who, named(people), (who) => who && onChange({ ...change, who }))}
          <Text>is away</Text>
        </>
      );
    case 'seconds':
      return (
        <>
          {either(change.of, (of) => onChange({ ...change, of, to: secondsNow(of, change.what) }))}
          <InlineSelect
            label="What takes so long"
            value={change.what}
            choices={secondsChoices.filter(
              ({ value }) => value !== 'longestWaitSeconds' || !groups.some(({ id }) => id === change.of),
            )}
            onChange={(chosen) => {
              const what = chosen as ChangedSeconds;
              onChange({ ...change, what, to: secondsNow(change.of, what) });
            }}
          />
          <InlineNumber
            label="Seconds"
            value={change.to}
            least={secondsLimits[change.what].least}
            most={secondsLimits[change.what].most}
            onChange={(to) => onChange({ ...change, to })}
          />
          <Text>s</Text>
        </>
      );
    case 'mostCallers':
      return (
        <>
          <InlineSelect
            label="Queue"
            value={change.of ?? ''}
            toChoose="which?"
            choices={named(queues)}
            onChange={(id) => {
              const to = queues.find((queue) => queue.id === id)?.mostCallers ?? change.to;
              onChange({ ...change, of: id as QueueId, to });
            }}
          />
          <Text>lets at most</Text>
          <InlineNumber
            label="Callers who may wait"
            value={change.to}
            least={1}
            most={200}
            onChange={(to) => onChange({ ...change, to })}
          />
          <Text>callers wait</Text>
        </>
      );
    case 'queueForGroup':
      return (
        <>
          <Text>Callers wait in a queue instead of the group</Text>
          <InlineSelect
            label="Group"
            value={change.of ?? ''}
            toChoose="which?"
            choices={named(groups)}
            onChange={(of) => onChange({ ...change, of: of as GroupId })}
          />
        </>
      );
    case 'open':
      return (
        <>
          <Text>Open from</Text>
          <TimeField
            label="Opens at"
            value={change.fromMin}
            onChange={(fromMin) => fromMin < change.toMin && onChange({ ...change, fromMin })}
          />
          <Text>to</Text>
          <TimeField
            label="Closes at"
            value={change.toMin}
            onChange={(toMin) => toMin > change.fromMin && onChange({ ...change, toMin })}
          />
        </>
      );
  }
}

const secondsChoices: readonly (Choice & { readonly value: ChangedSeconds })[] = [
  { value: 'memberSeconds', label: 'rings each member for' },
  { value: 'restSeconds', label: 'leaves members alone after a call for' },
  { value: 'longestWaitSeconds', label: 'lets callers wait at most' },
];

const weekend: readonly Weekday[] = [6, 7];
const workdays: readonly Weekday[] = [1, 2, 3, 4, 5];

function Days({
  on,
  onChange,
}: {
  readonly on: readonly Weekday[];
  readonly onChange: (on: readonly Weekday[]) => void;
}) {
  const known: readonly { readonly value: string; readonly label: string; readonly on: readonly Weekday[] }[] = [
    { value: '', label: 'every day', on: [] },
    { value: '1,2,3,4,5', label: 'on weekdays', on: workdays },
    { value: '6,7', label: 'on weekends', on: weekend },
    ...weekdays.map((day) => ({ value: String(day), label: `on ${weekdayName(day)}s`, on: [day] })),
  ];
  const value = on.join(',');
  const other = known.some((each) => each.value === value)
    ? []
    : [{ value, label: `on ${on.map((day) => weekdayName(day)).join(', ')}`, on }];
  return (
    <InlineSelect
      label="On which days"
      value={value}
      choices={[...known, ...other]}
      onChange={(chosen) => onChange(known.find((each) => each.value === chosen)?.on ?? on)}
    />
  );
}
