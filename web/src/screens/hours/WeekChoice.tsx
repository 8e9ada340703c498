import { Box, Button, Text } from '@chakra-ui/react';
import {
  datedWeekId,
  datedWeekOn,
  describeWeeks,
  firstDay,
  freeSeasonDates,
  inOrder,
  lastDayOf,
  seasonId,
  showDate,
  spansOfWeekOn,
  weekdayOf,
  weekStretches,
  type DayNumber,
  type DatedWeekId,
  type Hours,
} from '@locutor/core/hours';
import { CalendarClock, Sun } from 'lucide-react';
import { InlineSelect, type Choice } from '../../parts/InlineSelect';
import { newId } from '../../parts/newId';
import { tellProblem } from '../../parts/notices';
import { DatedWeekWords } from './DatedWeekWords';
import { SeasonWords } from './SeasonWords';
import type { ShownWeek } from './shownWeek';
import { showDay } from './specialWords';

interface Props {
  readonly hours: Hours;
  readonly today: DayNumber;
  readonly chosen: ShownWeek;
  readonly onChoose: (id: ShownWeek) => void;
  readonly onChange: (next: Hours) => Promise<boolean>;
}

const regular = 'regular';
const daysAYear = 366;

/** Which week is shown: the regular one, one that holds from a date on, or that of a season; and what can be said of it. */
export function WeekChoice({ hours, today, chosen, onChoose, onChange }: Props) {
  const { datedWeeks, seasons } = hours;
  const dated = datedWeeks.find(({ id }) => id === chosen);
  const season = seasons.find(({ id }) => id === chosen);
  const addDated = async (): Promise<void> => {
    const from = freeMonday(hours, today);
    const id = newId(datedWeekId);
    const name = freeName('New hours', datedWeeks);
    // It begins as the week that it takes the place of, of which most often little is changed.
    const week = (datedWeekOn(datedWeeks, from) ?? hours).week;
    if (await onChange({ ...hours, datedWeeks: [...datedWeeks, { id, name, from: showDate(from), week }] }))
      onChoose(id);
  };
  const addSeason = async (): Promise<void> => {
    const dates = freeSeasonDates(seasons);
    if (!dates) return tellProblem('Every day of the year is in a season already. Shorten one of them first.');
    const id = newId(seasonId);
    const added = { id, name: `Season ${seasons.length + 1}`, ...dates, week: spansOfWeekOn(hours, today) };
    if (await onChange({ ...hours, seasons: [...seasons, added] })) onChoose(id);
  };
  const choices = choicesOf(hours, today);
  return (
    <Box mt="3" lineHeight="2">
      {choices.length > 1 && (
        <>
          The week{' '}
          <InlineSelect
            label="Which week is shown"
            value={chosen ?? regular}
            choices={choices}
            onChange={(id) => onChoose([...datedWeeks, ...seasons].find((each) => each.id === id)?.id ?? null)}
          />
        </>
      )}
      {dated && <DatedWeekWords hours={hours} dated={dated} onChoose={onChoose} onChange={onChange} />}
      {season && <SeasonWords hours={hours} season={season} onChoose={onChoose} onChange={onChange} />}{' '}
      <Button size="xs" variant="ghost" colorPalette="petrol" onClick={() => void addDated()}>
        <CalendarClock size={13} aria-hidden /> Other hours from a date on
      </Button>
      <Button size="xs" variant="ghost" colorPalette="petrol" onClick={() => void addSeason()}>
        <Sun size={13} aria-hidden /> Season with a week of its own
      </Button>
      {choices.length > 1 && (
        <Text color="quiet" fontSize="13px" lineHeight="1.5">
          The year ahead: {describeWeeks(weekStretches(hours, { from: today, to: today + daysAYear }), showDay)}.
        </Text>
      )}
    </Box>
  );
}

function choicesOf(hours: Hours, today: DayNumber): readonly Choice[] {
  const holding = datedWeekOn(hours.datedWeeks, today)?.id ?? null;
  const now = (id: DatedWeekId | null): string => (id === holding && hours.datedWeeks.length > 0 ? ' (now)' : '');
  const until = lastDayOf(hours, null);
  const first = until === undefined ? 'of the rest of the year' : `until ${showDay(until)}${now(null)}`;
  return [
    { value: regular, label: first },
    ...inOrder(hours.datedWeeks).map((each) => ({
      value: each.id,
      label: `from ${showDay(firstDay(each))}: ${each.name}${now(each.id)}`,
    })),
    ...hours.seasons.map(({ id, name }) => ({ value: id, label: `of ${name}` })),
  ];
}

/** The first Monday from tomorrow on that no dated week begins on. */
function freeMonday({ datedWeeks }: Hours, today: DayNumber): DayNumber {
  let day = today + 8 - weekdayOf(today);
  while (datedWeeks.some((each) => firstDay(each) === day)) day += 7;
  return day;
}

function freeName(name: string, taken: readonly { readonly name: string }[]): string {
  let free = name;
  for (let number = 2; taken.some((each) => each.name === free); number += 1) free = `${name} ${number}`;
  return free;
}
