import { Box, Button, Flex, Input, Text } from '@chakra-ui/react';
import {
  closedAllDay,
  describeTimeProblem,
  minutesOfDay,
  moves,
  readDayTimes,
  showDayTimes,
  specialLimits,
  weekdayName,
  weekdays,
  type DayTime,
  type Hours,
  type Move,
  type Nth,
  type SpecialDate,
  type SpecialHours,
  type Weekday,
  type When,
} from '@locutor/core/hours';
import { useState, type FormEvent } from 'react';
import { useDraftTools } from '../../draft/DraftProvider';
import { InlineNumber } from '../../parts/InlineNumber';
import { DateField } from '../../parts/DateField';
import { InlineSelect } from '../../parts/InlineSelect';
import { InlineWords } from '../../parts/InlineWords';
import { tellDone } from '../../parts/notices';
import { monthChoices } from './specialWords';

interface Props {
  readonly hours: Hours;
  readonly date: SpecialDate;
  readonly onKeep: (date: SpecialDate) => Promise<void>;
  readonly onClose: () => void;
}

const weekdayChoices = weekdays.map((day) => ({ value: String(day), label: weekdayName(day) }));
const nthChoices = (['first', 'second', 'third', 'fourth', 'fifth'] as const)
  .map((label, index) => ({ value: String(index + 1), label: label as string }))
  .concat({ value: '-1', label: 'last' });
const moveWords: Readonly<Record<Move, string>> = {
  stays: 'it stays where it is',
  nextWorkday: 'the Monday after is kept instead',
  nearestWorkday: 'the Friday before or Monday after is kept instead',
};

/** One special date as sentences; nothing is kept until it is said so. */
export function SpecialDateForm({ hours, date, onKeep, onClose }: Props) {
  const [draft, setDraft] = useState(date);
  const [times, setTimes] = useState(() => timesText(date.hours));
  const [problem, setProblem] = useState<string | null>(null);
  const { edit } = useDraftTools();
  const isNew = !hours.special.some(({ id }) => id === date.id);
  const change = (part: Partial<SpecialDate>): void => setDraft({ ...draft, ...part });
  const mode = modeOf(draft.hours);

  const submit = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    const isUntouched = mode === modeOf(date.hours) && times === timesText(date.hours);
    const read = mode === 'allDay' || isUntouched ? null : readDayTimes(times);
    if (read && !read.ok) return setProblem(read.problems.map(describeTimeProblem).join(' '));
    if (draft.name.trim() === '') return setProblem('Give it a name, such as Christmas Eve.');
    // Times of several periods, which this form does not tell apart, stay as they were unless they are typed anew.
    const unread = isUntouched ? date.hours : closedAllDay;
    const made = read ? hoursOf(mode, read.value, hours) : unread;
    if (typeof made === 'string') return setProblem(made);
    setProblem(null);
    await onKeep({ ...draft, name: draft.name.trim(), hours: made });
  };
  const giveAnswer = (): void => {
    edit({ type: 'addRule', rule: { type: 'special', specialId: date.id, path: [] } });
    tellDone(`Say below, under What answers, what answers on ${date.name}.`);
    onClose();
  };

  return (
    <Box asChild bg="sheet" borderWidth="1px" borderColor="hairline" borderRadius="md" p="3" my="2" lineHeight="2.1">
      <form
        aria-label={isNew ? 'New special date' : `Special date ${date.name}`}
        onSubmit={(event) => void submit(event)}
      >
        <Box>
          <InlineWords
            label="Name of the special date"
            value={draft.name}
            most={specialLimits.name}
            placeholder="Christmas Eve"
            fontSize="16px"
            minW="160px"
            onChange={(name) => change({ name })}
          />{' '}
          is <WhenField when={draft.when} onChange={(when) => change({ when })} />.
        </Box>
        <Box>
          Then we are{' '}
          <InlineSelect
            label="What is other than usual"
            value={mode}
            choices={[
              { value: 'allDay', label: 'closed all day' },
              { value: 'part', label: 'closed for a part of the day' },
              { value: 'times', label: 'open at other times' },
            ]}
            onChange={(value) => {
              setProblem(null);
              setTimes(value === 'times' ? '8:00–12:00' : '14:00–16:00');
              change({ hours: startOf(value as Mode) });
            }}
          />
          {mode !== 'allDay' && (
            <>
              {', '}
              <Input
                size="sm"
                display="inline-block"
                w="220px"
                h="28px"
                bg="paper"
                fontFamily="mono"
                fontSize="13px"
                aria-label={mode === 'part' ? 'From when to when it is closed' : 'Times on that day'}
                value={times}
                onChange={(event) => setTimes(event.currentTarget.value)}
              />
            </>
          )}
          .{' '}
          {draft.when.type !== 'nthWeekday' && (
            <>
              On a weekend,{' '}
              <InlineSelect
                label="When it falls on a weekend"
                value={draft.moved}
                choices={moves.map((value) => ({ value, label: moveWords[value] }))}
                onChange={(moved) => change({ moved: moved as Move })}
              />
              .
            </>
          )}
        </Box>
        <Flex gap="1.5" align="baseline">
          <Text flexShrink="0">Callers hear first:</Text>
          <InlineWords
            label="What callers hear first on that day"
            value={draft.words}
            most={specialLimits.words}
            placeholder="nothing of its own"
            fontSize="16px"
            minW="300px"
            onChange={(words) => change({ words })}
          />
        </Flex>
        {problem && (
          <Text role="alert" fontSize="13px" fontWeight="500" lineHeight="1.4">
            {problem}
          </Text>
        )}
        <Flex gap="2" mt="2" align="center" wrap="wrap">
          <Button size="sm" type="submit" colorPalette="petrol">
            Keep it
          </Button>
          <Button size="sm" variant="outline" onClick={onClose}>
            Leave it as it was
          </Button>
          {!isNew && (
            <Button size="sm" variant="ghost" ml="auto" onClick={giveAnswer}>
              Let something of its own answer
            </Button>
          )}
        </Flex>
      </form>
    </Box>
  );
}

type Mode = 'allDay' | 'part' | 'times';

function modeOf(hours: SpecialHours): Mode {
  if (hours.type === 'times') return 'times';
  return hours.startMin === 0 && hours.endMin === minutesOfDay ? 'allDay' : 'part';
}

function startOf(mode: Mode): SpecialHours {
  if (mode === 'times') return { type: 'times', spans: [] };
  return mode === 'part' ? { type: 'closed', startMin: 840, endMin: 960 } : closedAllDay;
}

/** The times typed as they are kept, or what is wrong with them. */
function hoursOf(mode: Mode, times: readonly DayTime[], { periods }: Hours): SpecialHours | string {
  if (mode === 'part') {
    const [only, ...more] = times;
    if (!only || more.length > 0 || only.endMin > minutesOfDay) {
      return 'Say from when to when it is closed, within the day: 14:00–16:00.';
    }
    return { type: 'closed', startMin: only.startMin, endMin: only.endMin };
  }
  const [open] = periods;
  if (!open) return 'These hours have no period yet. Add one to the week first.';
  return { type: 'times', spans: times.map(({ startMin, endMin }) => ({ periodId: open.id, startMin, endMin })) };
}

function timesText(hours: SpecialHours): string {
  return showDayTimes(hours.type === 'times' ? hours.spans : [hours]);
}

/** On which days, in the middle of a sentence. */
function WhenField({ when, onChange }: { readonly when: When; readonly onChange: (when: When) => void }) {
  return (
    <>
      <InlineSelect
        label="How often it comes"
        value={when.type}
        choices={[
          { value: 'once', label: 'once, on' },
          { value: 'yearly', label: 'every year on' },
          { value: 'nthWeekday', label: 'every year on the' },
          { value: 'easter', label: 'every year with Easter,' },
        ]}
        onChange={(type) => onChange(whenOf(type as When['type'], when))}
      />{' '}
      <WhenParts when={when} onChange={onChange} />
    </>
  );
}

function WhenParts({ when, onChange }: { readonly when: When; readonly onChange: (when: When) => void }) {
  switch (when.type) {
    case 'once':
      return (
        <>
          <DateField
            label="First day"
            value={when.from}
            onChange={(from) => onChange({ ...when, from, to: when.to < from ? from : when.to })}
          />{' '}
          to <DateField label="Last day" value={when.to} onChange={(to) => onChange({ ...when, to })} />
        </>
      );
    case 'yearly':
      return (
        <>
          <InlineNumber
            label="Day of the month"
            value={when.day}
            least={1}
            most={31}
            onChange={(day) => onChange({ ...when, day })}
          />{' '}
          <InlineSelect
            label="Month"
            value={String(when.month)}
            choices={monthChoices}
            onChange={(month) => onChange({ ...when, month: Number(month) })}
          />
          , for <DaysField when={when} onChange={onChange} />
        </>
      );
    case 'nthWeekday':
      return (
        <>
          <InlineSelect
            label="Which of the month"
            value={String(when.nth)}
            choices={nthChoices}
            onChange={(nth) => onChange({ ...when, nth: Number(nth) as Nth })}
          />{' '}
          <InlineSelect
            label="Weekday"
            value={String(when.weekday)}
            choices={weekdayChoices}
            onChange={(weekday) => onChange({ ...when, weekday: Number(weekday) as Weekday })}
          />{' '}
          of{' '}
          <InlineSelect
            label="Month"
            value={String(when.month)}
            choices={monthChoices}
            onChange={(month) => onChange({ ...when, month: Number(month) })}
          />
          , <ShiftField when={when} onChange={onChange} />, for <DaysField when={when} onChange={onChange} />
        </>
      );
    case 'easter':
      return (
        <>
          <ShiftField when={when} onChange={onChange} />{' '}
          <InlineSelect
            label="Whose Easter"
            value={when.church}
            choices={[
              { value: 'western', label: 'Easter Sunday' },
              { value: 'eastern', label: 'Orthodox Easter Sunday' },
            ]}
            onChange={(church) => onChange({ ...when, church: church as 'western' })}
          />
          , for <DaysField when={when} onChange={onChange} />
        </>
      );
  }
}

type Repeating = Exclude<When, { type: 'once' }>;
type Shifted = Extract<When, { readonly plusDays: number }>;

function DaysField({ when, onChange }: { readonly when: Repeating; readonly onChange: (when: When) => void }) {
  return (
    <>
      <InlineNumber
        label="How many days"
        value={when.days}
        least={1}
        most={specialLimits.days}
        onChange={(days) => onChange({ ...when, days })}
      />{' '}
      {when.days === 1 ? 'day' : 'days'}
    </>
  );
}

/** The day itself, or so many days after or before it. */
function ShiftField({ when, onChange }: { readonly when: Shifted; readonly onChange: (when: When) => void }) {
  const { plusDays } = when;
  const count = Math.abs(plusDays);
  const side = plusDays === 0 ? 'itself' : plusDays > 0 ? 'after' : 'before';
  const set = (many: number, where: string): void => {
    const size = where === 'itself' ? 0 : Math.max(1, many);
    onChange({ ...when, plusDays: where === 'before' ? -size : size });
  };
  return (
    <>
      {count > 0 && (
        <>
          <InlineNumber
            label="How many days away"
            value={count}
            least={1}
            most={60}
            onChange={(many) => set(many, side)}
          />{' '}
        </>
      )}
      <InlineSelect
        label="On the day itself, after or before it"
        value={side}
        choices={[
          { value: 'itself', label: 'on the very day' },
          { value: 'after', label: count === 1 ? 'day after' : 'days after' },
          { value: 'before', label: count === 1 ? 'day before' : 'days before' },
        ]}
        onChange={(where) => set(count, where)}
      />
    </>
  );
}

/** The same day told in another way, as far as it can be. */
function whenOf(type: When['type'], when: When): When {
  const today = new Date().toISOString().slice(0, 10);
  const day = when.type === 'once' ? when.from : today;
  const month = when.type === 'yearly' || when.type === 'nthWeekday' ? when.month : Number(day.slice(5, 7));
  const days = when.type === 'once' ? 1 : when.days;
  switch (type) {
    case 'once':
      return { type, from: day, to: day };
    case 'yearly':
      return { type, month, day: when.type === 'yearly' ? when.day : Number(day.slice(8)), days };
    case 'nthWeekday':
      return { type, nth: 1, weekday: 1, month, plusDays: 0, days };
    case 'easter':
      return { type, church: 'western', plusDays: 0, days };
  }
}
