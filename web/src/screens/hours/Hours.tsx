import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import {
  datedWeekOn,
  dayAt,
  longestPeriodName,
  periodId,
  readDate,
  setWeek,
  weekdays,
  type DatedWeek,
  type Hours as HoursSet,
  type Season,
} from '@locutor/core/hours';
import { CalendarClock, CalendarDays, CalendarPlus, Plus, Redo2, Share2, Undo2 } from 'lucide-react';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../../api/client';
import { useAllHours, useOnAir, type KeptHours } from '../../api/resources';
import { useDraft, useDraftTools } from '../../draft/DraftProvider';
import { InlineSelect } from '../../parts/InlineSelect';
import { InlineWords } from '../../parts/InlineWords';
import { newId } from '../../parts/newId';
import { tellDone, tellProblem } from '../../parts/notices';
import { ScreenHead } from '../../parts/ScreenHead';
import { useNow } from '../../parts/useNow';
import { PastSwitches } from '../../switch/PastSwitches';
import { SwitchPanel } from '../../switch/SwitchPanel';
import { AnsweringOrder } from './AnsweringOrder';
import { BreaksSaid } from './BreaksSaid';
import { ShareHours } from './share/ShareHours';
import { TakeCalendar } from './share/TakeCalendar';
import { SpecialDates } from './SpecialDates';
import { useWeek } from './useWeek';
import { WeekChoice } from './WeekChoice';
import { WeekGrid } from './WeekGrid';

/** When what answers: the regular week in periods, and the answering order. */
export default function Hours() {
  const { hours: ownHours } = useDraftTools();
  const { data: all = [] } = useAllHours();
  const [search] = useSearchParams();
  const shown = all.find(({ id }) => id === search.get('of')) ?? ownHours;
  return <HoursOf key={shown.id} kept={shown} ownId={ownHours.id} all={all} />;
}

interface Props {
  readonly kept: KeptHours;
  readonly ownId: string;
  readonly all: readonly KeptHours[];
}

function HoursOf({ kept, ownId, all }: Props) {
  const { hours, change, undo, redo } = useWeek(kept);
  const [chosen, setChosen] = useState(hours.periods[0]?.id);
  const chosenPeriod = hours.periods.some((period) => period.id === chosen) ? chosen : hours.periods[0]?.id;

  const [panel, setPanel] = useState<'share' | 'take' | null>(null);
  const { line } = useDraftTools();
  const today = dayAt(useNow(60_000), line.timeZone);
  const [search] = useSearchParams();
  const holding = datedWeekOn(hours.datedWeeks, readDate(today) ?? 0)?.id;
  const [asked, setAsked] = useState(search.get('week') ?? holding);
  const other = [...hours.datedWeeks, ...hours.seasons].find(({ id }) => id === asked);
  const shown = other ? { ...hours, week: other.week } : hours;
  const changeShown = (next: HoursSet): Promise<boolean> => {
    if (!other) return change(next);
    // A period that is removed is gone from the regular week too.
    const week = hours.week.filter(({ periodId: id }) => next.periods.some((period) => period.id === id));
    return change(setWeek({ ...next, week }, other.id, next.week));
  };

  return (
    <Box pb="8">
      <ScreenHead title="Hours">
        <Button asChild size="xs" variant="outline" bg="sheet">
          <Link to={`/hours/year?of=${hours.id}`}>
            <CalendarDays size={14} aria-hidden /> The year
          </Link>
        </Button>
        <Button asChild size="xs" variant="outline" bg="sheet">
          <Link to="/hours/ahead">
            <CalendarClock size={14} aria-hidden /> Ahead
          </Link>
        </Button>
        {(['share', 'take'] as const).map((each) => (
          <Button
            key={each}
            size="xs"
            variant={panel === each ? 'subtle' : 'outline'}
            bg={panel === each ? undefined : 'sheet'}
            aria-pressed={panel === each}
            onClick={() => setPanel(panel === each ? null : each)}
          >
            {each === 'share' ? <Share2 size={14} aria-hidden /> : <CalendarPlus size={14} aria-hidden />}
            {each === 'share' ? 'Share' : 'Take in a calendar'}
          </Button>
        ))}
        <Button size="xs" variant="ghost" disabled={!undo} onClick={() => undo?.()}>
          <Undo2 size={14} aria-hidden /> Undo in the week
        </Button>
        <Button size="xs" variant="ghost" disabled={!redo} onClick={() => redo?.()}>
          <Redo2 size={14} aria-hidden /> Redo
        </Button>
      </ScreenHead>
      <Box px="6" maxW="980px">
        <Choice kept={hours} ownId={ownId} all={all} onRename={(name) => void change({ ...hours, name })} />
        <Text color="quiet">
          {kept.id === ownId
            ? 'The week is shared by the draft and what is on air: a change here reaches callers at once. What answers is part of the draft, and reaches them when it is put on air.'
            : 'People who keep these hours are rung only while a period of them runs. A change here reaches callers at once.'}
        </Text>
        {panel === 'share' && <ShareHours hours={hours} />}
        {panel === 'take' && <TakeCalendar hours={hours} onChange={change} onClose={() => setPanel(null)} />}
        <WeekChoice
          hours={hours}
          today={readDate(today) ?? 0}
          chosen={other?.id ?? null}
          onChoose={(id) => setAsked(id ?? undefined)}
          onChange={change}
        />
        <WeekGrid
          title={titleOf(other)}
          hours={shown}
          periodId={chosenPeriod}
          onChoose={setChosen}
          onChange={changeShown}
        />
        {hours.periods.length > 1 && <BreaksSaid hours={hours} week={shown.week} onChange={change} />}
        <SpecialDates hours={hours} onChange={change} />
        {kept.id === ownId && <AnsweringOrder hours={hours} />}
        {kept.id === ownId && <SwitchNow />}
      </Box>
    </Box>
  );
}

/** Whose week it is that is shown. */
function titleOf(other: DatedWeek | Season | undefined): string {
  if (!other) return 'The regular week';
  return typeof other.from === 'string' ? `The week of ${other.name}` : `The week in ${other.name}`;
}

/** The switch, beside the hours that it goes before. */
function SwitchNow() {
  const { line, attendant, switched } = useDraft();
  const shown = useOnAir(line)?.attendant ?? attendant;
  const now = useNow(15_000, switched?.fromMs);
  return (
    <Box as="section" aria-labelledby="switch-title" mt="8">
      <Heading as="h2" id="switch-title" fontSize="15px" fontWeight="600">
        The switch
      </Heading>
      <Text color="quiet" mb="2">
        For now, whatever the hours say. It goes before everything but blocked callers, and ends by itself.
      </Text>
      <SwitchPanel attendant={shown} now={now} />
      <PastSwitches attendant={shown} now={now} />
    </Box>
  );
}

/** Which set of hours is shown: the line's own, or others that people keep. */
function Choice({ kept, ownId, all, onRename }: Props & { readonly onRename: (name: string) => void }) {
  const { mutate } = useSWRConfig();
  const [, setSearch] = useSearchParams();
  const add = async (): Promise<void> => {
    const open = { id: newId(periodId), name: 'Working' };
    const week = weekdays.slice(0, 5).map((day) => ({ periodId: open.id, day, startMin: 480, endMin: 1020 }));
    try {
      const body = { name: `Hours ${all.length + 1}`, periods: [open], week };
      const added = await api<KeptHours>('/api/hours', { method: 'POST', body });
      await mutate('/api/hours');
      setSearch({ of: added.id });
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  const remove = async (): Promise<void> => {
    try {
      await api(`/api/hours/${kept.id}`, { method: 'DELETE' });
      setSearch({});
      await mutate('/api/hours');
      tellDone(`The hours ${kept.name} were deleted.`);
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  return (
    <Flex align="center" gap="2" mb="1" wrap="wrap">
      Showing
      <InlineSelect
        label="Which hours are shown"
        value={kept.id}
        choices={all.map(({ id, name }) => ({ value: id, label: id === ownId ? `${name} (this line)` : name }))}
        onChange={(id) => setSearch(id === ownId ? {} : { of: id })}
      />
      {kept.id !== ownId && <HoursName name={kept.name} onRename={onRename} />}
      {kept.id !== ownId && (
        <Button size="xs" variant="ghost" onClick={() => void remove()}>
          Delete these hours
        </Button>
      )}
      <Button size="xs" variant="ghost" colorPalette="petrol" onClick={() => void add()}>
        <Plus size={13} aria-hidden /> Other hours, for people
      </Button>
    </Flex>
  );
}

/** The name of other hours, kept when the field is left. */
function HoursName({ name, onRename }: { readonly name: string; readonly onRename: (name: string) => void }) {
  const [typed, setTyped] = useState<string | null>(null);
  const keep = (): void => {
    if (typed?.trim() && typed.trim() !== name) onRename(typed.trim());
    setTyped(null);
  };
  return (
    <Box as="span" onBlur={keep}>
      called{' '}
      <InlineWords
        label="Name of these hours"
        value={typed ?? name}
        most={longestPeriodName}
        fontSize="15px"
        minW="120px"
        onChange={setTyped}
      />
    </Box>
  );
}
