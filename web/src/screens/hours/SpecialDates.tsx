import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import {
  closedAllDay,
  describeWhen,
  needsNoHolidays,
  occurrences,
  overlaps,
  removeSpecialDate,
  setSpecialDate,
  showDate,
  specialDateId,
  wallTime,
  type DayRange,
  type Hours,
  type Occurrence,
  type SpecialDate,
} from '@locutor/core/hours';
import { CalendarPlus, Pencil, Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useDraftTools } from '../../draft/DraftProvider';
import { newId } from '../../parts/newId';
import { tellDone } from '../../parts/notices';
import { SmallButton } from '../../parts/SmallButton';
import { useNow } from '../../parts/useNow';
import { HolidayPicker } from './HolidayPicker';
import { NextYearHolidays } from './NextYearHolidays';
import { SpecialDateForm } from './SpecialDateForm';
import { specialHoursWords, showDays } from './specialWords';

interface Props {
  readonly hours: Hours;
  readonly onChange: (next: Hours) => Promise<boolean>;
}

const daysAhead = 731;
const quarterDays = 92;

/** Days that are not as the week says: the next two years of them, each changed where it stands. */
export function SpecialDates({ hours, onChange }: Props) {
  const { line } = useDraftTools();
  const today = wallTime(line.timeZone, useNow(60_000)).day;
  const [editing, setEditing] = useState<SpecialDate | null>(null);
  const [isPicking, setPicking] = useState(false);
  const coming = occurrences(hours, today, today + daysAhead);
  const past = hours.special.filter(({ id }) => !coming.some(({ date }) => date.id === id));
  const hasSoon = coming.some(({ from }) => from <= today + quarterDays);

  const keep = async (date: SpecialDate): Promise<void> => {
    if (await onChange(setSpecialDate(hours, date))) setEditing(null);
  };
  const remove = async (date: SpecialDate): Promise<void> => {
    const before = hours;
    if (!(await onChange(removeSpecialDate(hours, date.id)))) return;
    tellDone(`${date.name} is as any other day again.`, () => void onChange(before));
  };
  const begin = (): void => {
    const day = showDate(today + 1);
    const when = { type: 'once', from: day, to: day } as const;
    setEditing({ id: newId(specialDateId), name: '', when, moved: 'stays', hours: closedAllDay, words: '' });
  };

  return (
    <Box as="section" aria-labelledby="special-dates" mt="7">
      <Flex align="center" gap="2" wrap="wrap">
        <Heading as="h2" id="special-dates" fontSize="15px" fontWeight="600" flex="1">
          Special dates
        </Heading>
        <Button size="xs" variant="ghost" colorPalette="petrol" onClick={() => setPicking(!isPicking)}>
          <CalendarPlus size={13} aria-hidden /> Pick public holidays
        </Button>
        <Button size="xs" variant="ghost" colorPalette="petrol" onClick={begin}>
          <Plus size={13} aria-hidden /> A date
        </Button>
      </Flex>
      <Text color="quiet" fontSize="13px">
        They come before the week. An evening that runs past midnight is still finished.
      </Text>
      <NextYearHolidays hours={hours} today={today} onChange={onChange} />
      {!hasSoon && !needsNoHolidays(hours, today) && (
        <Text role="status" mt="2" fontSize="13px" fontWeight="500">
          Nothing is entered for the next three months. Pick the public holidays you keep, or add a date.
        </Text>
      )}
      {isPicking && <HolidayPicker hours={hours} today={today} onChange={onChange} onClose={() => setPicking(false)} />}
      {editing && !hours.special.some(({ id }) => id === editing.id) && (
        <SpecialDateForm hours={hours} date={editing} onKeep={keep} onClose={() => setEditing(null)} />
      )}
      <Overlaps hours={hours} today={today} />
      <Box as="ol" listStyleType="none" mt="2" borderTopWidth="1px" borderColor="hairline">
        {coming.map((each) => {
          const isOpen = editing?.id === each.date.id && isFirst(each, coming);
          return (
            <Box as="li" key={`${each.date.id} ${each.from}`} borderBottomWidth="1px" borderColor="hairline">
              <DateRow
                days={each}
                date={each.date}
                hours={hours}
                onEdit={() => setEditing(isOpen ? null : each.date)}
                onRemove={() => void remove(each.date)}
              />
              {isOpen && (
                <SpecialDateForm hours={hours} date={each.date} onKeep={keep} onClose={() => setEditing(null)} />
              )}
            </Box>
          );
        })}
      </Box>
      {past.length > 0 && (
        <Box asChild mt="2">
          <details>
            <Box as="summary" cursor="pointer" color="quiet" fontSize="13px">
              {past.length === 1 ? 'One date is over' : `${past.length} dates are over`}
            </Box>
            {past.map((date) => (
              <Box key={date.id}>
                <DateRow
                  days={null}
                  date={date}
                  hours={hours}
                  onEdit={() => setEditing(editing?.id === date.id ? null : date)}
                  onRemove={() => void remove(date)}
                />
                {editing?.id === date.id && (
                  <SpecialDateForm hours={hours} date={date} onKeep={keep} onClose={() => setEditing(null)} />
                )}
              </Box>
            ))}
          </details>
        </Box>
      )}
    </Box>
  );
}

/** What comes every year is edited where it comes first. */
function isFirst(each: Occurrence, all: readonly Occurrence[]): boolean {
  return all.find(({ date }) => date.id === each.date.id) === each;
}

interface RowProps {
  /** The days it falls on; null for one that is over. */
  readonly days: DayRange | null;
  readonly date: SpecialDate;
  readonly hours: Hours;
  readonly onEdit: () => void;
  readonly onRemove: () => void;
}

function DateRow({ days, date, hours, onEdit, onRemove }: RowProps) {
  return (
    <Flex gap="3" align="baseline" py="1">
      <Text w="200px" flexShrink="0" fontSize="13px">
        {days ? showDays(days) : describeWhen(date.when)}
      </Text>
      <Box flex="1" minW="0">
        <Text as="span" fontWeight="500">
          {date.name}
        </Text>{' '}
        <Text as="span" color="quiet" fontSize="13px">
          {specialHoursWords(date.hours, hours)}
          {date.when.type !== 'once' && `, ${describeWhen(date.when)}`}
        </Text>
      </Box>
      <Flex flexShrink="0" color="quiet">
        <SmallButton label={`Change ${date.name}`} icon={<Pencil size={14} />} onClick={onEdit} />
        <SmallButton label={`Remove ${date.name}`} icon={<Trash2 size={14} />} onClick={onRemove} />
      </Flex>
    </Flex>
  );
}

/** Dates that fall together: which of them holds is said, so that nobody has to guess. */
function Overlaps({ hours, today }: { readonly hours: Hours; readonly today: number }) {
  const pairs = overlaps(hours, today, today + daysAhead);
  if (pairs.length === 0) return null;
  return (
    <Box role="status" mt="2" p="2" bg="sunk" borderRadius="md" fontSize="13px">
      {pairs.slice(0, 5).map(({ one, other }) => (
        <Text key={`${one.date.id} ${other.date.id} ${one.from}`}>
          {one.date.name} and {other.date.name} share {showDays({ from: other.from, to: Math.min(one.to, other.to) })}.
          A date entered for that year holds before one of every year, a shorter before a longer.
        </Text>
      ))}
    </Box>
  );
}
