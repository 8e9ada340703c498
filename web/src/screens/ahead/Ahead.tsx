import { Box, Button, Heading, Text } from '@chakra-ui/react';
import { writeAheadCalendar } from '@locutor/core/ahead';
import { monthDayOf, yearOf, type DayNumber } from '@locutor/core/hours';
import { CalendarPlus } from 'lucide-react';
import { Link } from 'react-router';
import { useDraftTools } from '../../draft/DraftProvider';
import { saveFile } from '../../parts/saveFile';
import { ScreenHead } from '../../parts/ScreenHead';
import { ChangesList } from './ChangesList';
import { useChangesAhead, type ToldChange } from './useChangesAhead';

const daysAhead = 400;

/** Everything that is known to change in the year ahead, month by month. */
export default function Ahead() {
  const { line } = useDraftTools();
  const changes = useChangesAhead(daysAhead);
  const save = (): void => {
    const all = changes.map(({ change }) => change);
    const text = writeAheadCalendar(all, line.hoursId, `${line.name}: what changes ahead`, Date.now());
    saveFile('what-changes-ahead.ics', 'text/calendar', text);
  };
  return (
    <Box pb="8">
      <ScreenHead title="What changes ahead">
        <Button asChild size="xs" variant="outline" bg="sheet">
          <Link to="/hours">Back to the hours</Link>
        </Button>
        <Button size="xs" variant="outline" bg="sheet" disabled={changes.length === 0} onClick={save}>
          <CalendarPlus size={14} aria-hidden /> Save as a calendar
        </Button>
      </ScreenHead>
      <Box px="6" maxW="900px">
        <Text color="quiet">
          Hours, special dates, what goes on air by itself, the switch, service and prices, for the coming year.
        </Text>
        {changes.length === 0 && (
          <Text mt="4">
            Nothing is known to change. Enter <Link to="/hours">other hours from a date on</Link>, a season or holidays,
            and they stand here.
          </Text>
        )}
        {byMonth(changes).map(({ month, of }) => (
          <Box as="section" key={month} aria-label={month} mt="6">
            <Heading as="h2" fontSize="15px" fontWeight="600" mb="1">
              {month}
            </Heading>
            <ChangesList changes={of} />
          </Box>
        ))}
      </Box>
    </Box>
  );
}

const monthFormat = new Intl.DateTimeFormat(undefined, { month: 'long', year: 'numeric', timeZone: 'UTC' });

function byMonth(changes: readonly ToldChange[]) {
  const months = new Map<string, ToldChange[]>();
  for (const each of changes) {
    const month = nameOfMonth(each.change.day);
    months.set(month, [...(months.get(month) ?? []), each]);
  }
  return [...months].map(([month, of]) => ({ month, of }));
}

function nameOfMonth(day: DayNumber): string {
  return monthFormat.format(Date.UTC(yearOf(day), monthDayOf(day).month - 1, 1));
}
