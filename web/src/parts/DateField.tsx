import { DatePicker, Input, parseDate, Portal, Text } from '@chakra-ui/react';
import { dayNumber, readDate, type DayNumber } from '@locutor/core/hours';
import { CalendarDays, ChevronLeft, ChevronRight } from 'lucide-react';
import { useState } from 'react';
import { showLongDay } from './time';
import { readTypedDay, type TypedDay } from './typedDay';

interface Props {
  readonly label: string;
  /** As in 2026-11-24; empty where there is none. */
  readonly value: string;
  readonly onChange: (value: string) => void;
  /** It may be emptied. One that may not stays as it was. */
  readonly canBeNone?: boolean;
  /** What stands in it while there is none. */
  readonly none?: string;
  /** Whether the day is said in words beside it; yes unless words are near anyway. */
  readonly inWords?: boolean;
}

/** A day, typed in the user's own format or picked from a calendar. */
export function DateField({ label, value, onChange, canBeNone = false, none = 'always', inWords = true }: Props) {
  const day = readDate(value);
  /** What is being typed; null while nothing is. */
  const [typed, setTyped] = useState<string | null>(null);
  const [isUnread, setUnread] = useState(false);
  const settle = (): void => {
    if (typed === null) return;
    const read = readTypedDay(typed, new Date().getFullYear());
    const isEmptied = typed.trim() === '' && canBeNone;
    setUnread(!read && !isEmptied);
    if (!read && !isEmptied) return;
    setTyped(null);
    onChange(read ? isoOf(read) : '');
  };
  const leaveAsItWas = (): void => {
    setTyped(null);
    setUnread(false);
  };
  return (
    <>
      <DatePicker.Root
        size="sm"
        display="inline-flex"
        w="auto"
        locale={new Intl.DateTimeFormat().resolvedOptions().locale}
        value={day === undefined ? [] : [parseDate(value)]}
        onValueChange={({ value: [picked] }) => {
          leaveAsItWas();
          if (picked) onChange(isoOf(picked));
        }}
        positioning={{ placement: 'bottom-start' }}
        lazyMount
        unmountOnExit
      >
        <DatePicker.Control>
          <Input
            size="sm"
            aria-label={label}
            aria-invalid={isUnread || undefined}
            w="124px"
            h="28px"
            pe="7"
            bg="paper"
            placeholder={canBeNone ? none : undefined}
            value={typed ?? (day === undefined ? '' : showTyped(day))}
            onChange={({ currentTarget }) => {
              setTyped(currentTarget.value);
              setUnread(false);
            }}
            onBlur={settle}
            onKeyDown={(event) => {
              if (event.key === 'Enter' && typed !== null) {
                // What is typed is read first; a form is sent by the next one.
                event.preventDefault();
                settle();
              }
              if (event.key === 'Escape' && typed !== null) {
                event.stopPropagation();
                leaveAsItWas();
              }
            }}
          />
          <DatePicker.IndicatorGroup>
            <DatePicker.Trigger aria-label={`${label}: calendar`} color="quiet">
              <CalendarDays size={14} aria-hidden />
            </DatePicker.Trigger>
          </DatePicker.IndicatorGroup>
        </DatePicker.Control>
        <Portal>
          <DatePicker.Positioner>
            <DatePicker.Content
              colorPalette="petrol"
              bg="sheet"
              borderWidth="1px"
              borderColor="hairline"
              boxShadow="none"
            >
              {(['day', 'month', 'year'] as const).map((view) => (
                <DatePicker.View key={view} view={view}>
                  <DatePicker.ViewControl>
                    <DatePicker.PrevTrigger>
                      <ChevronLeft size={16} aria-hidden />
                    </DatePicker.PrevTrigger>
                    <DatePicker.ViewTrigger>
                      <DatePicker.RangeText />
                    </DatePicker.ViewTrigger>
                    <DatePicker.NextTrigger>
                      <ChevronRight size={16} aria-hidden />
                    </DatePicker.NextTrigger>
                  </DatePicker.ViewControl>
                  {view === 'day' ? (
                    <DatePicker.DayTable />
                  ) : view === 'month' ? (
                    <DatePicker.MonthTable />
                  ) : (
                    <DatePicker.YearTable />
                  )}
                </DatePicker.View>
              ))}
            </DatePicker.Content>
          </DatePicker.Positioner>
        </Portal>
      </DatePicker.Root>
      {isUnread ? (
        <Text as="span" role="alert" fontSize="13px" ms="1.5">
          That is no day. Type it as {showTyped(exampleDay)}.
        </Text>
      ) : (
        inWords &&
        day !== undefined && (
          <Text as="span" color="quiet" fontSize="13px" ms="1.5">
            {showLongDay(day)}
          </Text>
        )
      )}
    </>
  );
}

function isoOf({ year, month, day }: TypedDay): string {
  return `${String(year).padStart(4, '0')}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`;
}

/** In numbers, in the user's own order. */
function showTyped(day: DayNumber): string {
  return new Intl.DateTimeFormat(undefined, { timeZone: 'UTC' }).format(day * 86_400_000);
}

/** A day on which month and day cannot be taken for each other. */
const exampleDay = dayNumber(2027, 12, 24);
