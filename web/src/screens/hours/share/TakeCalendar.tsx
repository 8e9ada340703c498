import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import {
  describeCalendarProblem,
  describeNotRead,
  takeCalendar,
  type ReadCalendar,
  type ReadSpecial,
  type ReadTimes,
} from '@locutor/core/formats';
import {
  datedWeekId,
  describeWhen,
  periodId,
  readDate,
  showDay,
  specialDateId,
  wallTime,
  weekdayName,
  weekdays,
  type DayNumber,
  type Hours,
} from '@locutor/core/hours';
import { useState } from 'react';
import { wordsOf } from '../../../api/client';
import { useDraftTools } from '../../../draft/DraftProvider';
import { InlineSelect } from '../../../parts/InlineSelect';
import { newId } from '../../../parts/newId';
import { tellDone } from '../../../parts/notices';
import { showMinutes } from '../../../parts/time';
import { useNow } from '../../../parts/useNow';
import { readAside } from '../../../workers/reading';
import { readTextFile } from '../../directory/readTextFile';

interface Props {
  readonly hours: Hours;
  readonly onChange: (next: Hours) => Promise<boolean>;
  readonly onClose: () => void;
}

interface PreviewProps {
  readonly found: ReadCalendar;
  readonly today: DayNumber;
}

const newPeriod = 'new';

/** A calendar of another program, looked at before anything changes, and taken as far as is chosen. */
export function TakeCalendar({ hours, onChange, onClose }: Props) {
  const { line } = useDraftTools();
  const today = wallTime(line.timeZone, useNow(60_000)).day;
  const [found, setFound] = useState<ReadCalendar | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const take = async (file: File | undefined): Promise<void> => {
    setFound(null);
    setProblem(null);
    if (!file) return;
    try {
      const content = await readTextFile(file);
      if (!content.ok) return setProblem(content.says);
      const read = await readAside('calendar', { text: content.text, zone: line.timeZone, today });
      if (read.ok) setFound(read.value);
      else setProblem(read.problems.map(describeCalendarProblem).join(' '));
    } catch (error) {
      setProblem(wordsOf(error));
    }
  };
  return (
    <Box
      role="region"
      aria-label="Take in a calendar"
      bg="sheet"
      borderWidth="1px"
      borderColor="hairline"
      borderRadius="md"
      p="3"
      my="3"
    >
      <Text asChild display="block" mb="1">
        <label htmlFor="calendar-file">
          A calendar file (.ics) with your opening times or holidays. Nothing changes before you say so.
        </label>
      </Text>
      <input
        id="calendar-file"
        type="file"
        accept=".ics,text/calendar"
        onChange={(event) => void take(event.currentTarget.files?.[0])}
      />
      {problem && (
        <Text role="alert" mt="2" fontWeight="500">
          {problem} Your hours are as they were.
        </Text>
      )}
      {found ? (
        <Preview hours={hours} found={found} today={today} onChange={onChange} onClose={onClose} />
      ) : (
        <Button size="sm" variant="ghost" mt="2" display="block" onClick={onClose}>
          Close
        </Button>
      )}
    </Box>
  );
}

function Preview({ hours, found, today, onChange, onClose }: Props & PreviewProps) {
  const { week, datedWeeks, special, notCarried } = found;
  const hasWeek = week.length + datedWeeks.length > 0;
  const [withWeek, setWithWeek] = useState(hasWeek);
  const [left, setLeft] = useState<ReadonlySet<ReadSpecial>>(new Set());
  const names = [
    ...new Set(
      [...week, ...datedWeeks.flatMap((each) => each.week), ...special.flatMap(({ times }) => times)].map(
        ({ period }) => period,
      ),
    ),
  ];
  const [periods, setPeriods] = useState<Readonly<Record<string, string>>>(() =>
    Object.fromEntries(names.map((name) => [name, usualPeriod(name, names, hours)])),
  );
  const chosen = special.filter((each) => !left.has(each));
  const keep = async (): Promise<void> => {
    const periodOf = (name: string) => hours.periods.find(({ id }) => id === periods[name])?.id ?? null;
    const weeks = withWeek ? { week, datedWeeks } : { week: [], datedWeeks: [] };
    const next = takeCalendar(
      hours,
      { ...weeks, special: chosen, periodOf },
      { period: () => newId(periodId), special: () => newId(specialDateId), week: () => newId(datedWeekId) },
      today,
    );
    if (!(await onChange(next))) return;
    tellDone('The calendar was taken in.', () => void onChange(hours));
    onClose();
  };
  const toggle = (each: ReadSpecial): void => {
    const next = new Set(left);
    if (!next.delete(each)) next.add(each);
    setLeft(next);
  };
  return (
    <Box mt="3">
      {names.map((name) => (
        <Text key={name}>
          Events called “{name}” are{' '}
          <InlineSelect
            label={`What events called ${name} are`}
            value={periods[name] ?? newPeriod}
            choices={[
              ...hours.periods.map(({ id, name: label }) => ({ value: id as string, label })),
              { value: newPeriod, label: 'a new period' },
            ]}
            onChange={(value) => setPeriods({ ...periods, [name]: value })}
          />
          .
        </Text>
      ))}
      {hasWeek && (
        <>
          <Flex asChild gap="2" align="baseline" mt="2" fontWeight="600" cursor="pointer">
            <label>
              <input type="checkbox" checked={withWeek} onChange={() => setWithWeek(!withWeek)} />
              {datedWeeks.length > 0
                ? 'Its weeks, in place of those that you have'
                : 'Its week, in place of the one that you have'}
            </label>
          </Flex>
          <DaysOfWeek week={week} />
          {datedWeeks.map((each) => (
            <Box key={each.from} mt="1">
              <Text pl="6" fontSize="13px" fontWeight="500">
                From {showDay(readDate(each.from) ?? 0)}
              </Text>
              <DaysOfWeek week={each.week} />
            </Box>
          ))}
        </>
      )}
      {special.length > 0 && (
        <>
          <Heading as="h3" fontSize="14px" fontWeight="600" mt="2">
            Its special dates
          </Heading>
          <Box as="ul" listStyleType="none" maxH="260px" overflowY="auto">
            {special.map((each, index) => (
              <Flex as="li" key={index} gap="2" align="baseline" py="0.5">
                <Flex as="label" gap="2" align="baseline" cursor="pointer" w="240px" flexShrink="0">
                  <input type="checkbox" checked={!left.has(each)} onChange={() => toggle(each)} />
                  {each.name}
                </Flex>
                <Text fontSize="13px" color="quiet">
                  {describeWhen(each.when)}: {timesWords(each.times)}
                </Text>
              </Flex>
            ))}
          </Box>
        </>
      )}
      {notCarried.length > 0 && (
        <>
          <Heading as="h3" fontSize="14px" fontWeight="600" mt="2">
            Not taken, or not as it is there
          </Heading>
          <Box as="ul" aria-label="Not taken" listStyleType="disc" pl="5" fontSize="13px" maxH="160px" overflowY="auto">
            {notCarried.map((each) => (
              <li key={`${each.name} ${each.why}`}>{describeNotRead(each)}</li>
            ))}
          </Box>
        </>
      )}
      <Flex gap="2" mt="3">
        <Button size="sm" colorPalette="petrol" disabled={!withWeek && chosen.length === 0} onClick={() => void keep()}>
          {keepWords(withWeek, chosen.length)}
        </Button>
        <Button size="sm" variant="ghost" onClick={onClose}>
          Leave the hours as they are
        </Button>
      </Flex>
    </Box>
  );
}

function DaysOfWeek({ week }: Pick<ReadCalendar, 'week'>) {
  return (
    <Box as="ul" pl="6" fontSize="13px" listStyleType="none">
      {weekdays.map((day) => (
        <li key={day}>
          {weekdayName(day)}: {timesWords(week.filter((span) => span.day === day))}
        </li>
      ))}
    </Box>
  );
}

function keepWords(withWeek: boolean, dates: number): string {
  const datesWords = dates === 1 ? 'one date' : `${dates} dates`;
  if (!withWeek) return `Take ${datesWords}`;
  return dates === 0 ? 'Take the week' : `Take the week and ${datesWords}`;
}

/** The period that events of a name most likely are: of that name; the first where there is but one name. */
function usualPeriod(name: string, names: readonly string[], { periods }: Hours): string {
  const same = periods.find((period) => period.name.toLowerCase() === name.toLowerCase());
  return same?.id ?? (names.length === 1 ? periods[0]?.id : undefined) ?? newPeriod;
}

function timesWords(times: readonly ReadTimes[]): string {
  if (times.length === 0) return 'closed';
  return times
    .map(({ period, startMin, endMin }) => `${period} ${showMinutes(startMin)} to ${showMinutes(endMin)}`)
    .join(', ');
}
