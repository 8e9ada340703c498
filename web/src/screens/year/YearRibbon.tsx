import { Box, chakra, Flex, Grid, Text } from '@chakra-ui/react';
import {
  dayNumber,
  dayPlan,
  daysInMonth,
  firstDay,
  minutesOfDay,
  monthDayOf,
  occurrences,
  seasonDays,
  type DayNumber,
  type Hours,
  type MonthDay,
} from '@locutor/core/hours';
import { Fragment, type KeyboardEvent } from 'react';
import { layered, textureOf } from '../../parts/textures';
import { showMinutes } from '../../parts/time';
import { monthChoices, showDay } from '../hours/specialWords';

interface Props {
  readonly hours: Hours;
  readonly year: number;
  readonly today: DayNumber;
  readonly chosen: DayNumber;
  readonly onChoose: (day: DayNumber) => void;
}

const keyMoves: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowRight: 1 };

/** A year: a row a month, a column a day, each day from midnight at the top to midnight at the foot. */
export function YearRibbon({ hours, year, today, chosen, onChoose }: Props) {
  const onKey = (event: KeyboardEvent): void => {
    const day = dayAfterKey(event.key, chosen, year);
    if (day === undefined) return;
    event.preventDefault();
    onChoose(day);
    event.currentTarget.querySelector<HTMLElement>(`[data-day="${day}"]`)?.focus();
  };
  return (
    <Grid
      role="group"
      aria-label={`Days of ${year}`}
      templateColumns="64px repeat(31, minmax(11px, 22px)) minmax(150px, 1fr)"
      gapX="1px"
      gapY="3px"
      onKeyDown={onKey}
    >
      <Box aria-hidden />
      {Array.from({ length: 31 }, (_, index) => (
        <Text key={index} aria-hidden fontSize="10.5px" fontFamily="mono" color="quiet" textAlign="center">
          {index === 0 || (index + 1) % 5 === 0 ? index + 1 : ''}
        </Text>
      ))}
      <Box aria-hidden />
      {monthChoices.map(({ label }, index) => {
        const month = index + 1;
        const days = daysInMonth(year, month);
        return (
          <Fragment key={label}>
            <Text fontSize="12px" alignSelf="center">
              {label}
            </Text>
            {Array.from({ length: 31 }, (_, each) =>
              each < days ? (
                <Day
                  key={each}
                  hours={hours}
                  day={dayNumber(year, month, each + 1)}
                  chosen={chosen}
                  today={today}
                  onChoose={onChoose}
                />
              ) : (
                <Box key={each} />
              ),
            )}
            <Text fontSize="11.5px" lineHeight="1.3" color="quiet" pl="2" alignSelf="center">
              {namesIn(hours, year, month).join(' · ')}
            </Text>
          </Fragment>
        );
      })}
    </Grid>
  );
}

function Day({ hours, day, chosen, today, onChoose }: Omit<Props, 'year'> & { readonly day: DayNumber }) {
  const { spans, special, week } = dayPlan(hours, day);
  const isNewWeek = hours.datedWeeks.some((each) => firstDay(each) === day);
  const runsOn = dayPlan(hours, day - 1)
    .spans.filter(({ endMin }) => endMin > minutesOfDay)
    .map((span) => ({ ...span, startMin: 0, endMin: span.endMin - minutesOfDay }));
  const times = spans.map(({ periodId, startMin, endMin }) => {
    const name = hours.periods.find(({ id }) => id === periodId)?.name ?? '';
    return `${name} ${showMinutes(startMin)} to ${showMinutes(endMin)}`;
  });
  const label = [showDay(day), special?.name, times.join(', ') || 'closed'].filter(Boolean).join(': ');
  return (
    <chakra.button
      type="button"
      data-day={day}
      tabIndex={day === chosen ? 0 : -1}
      aria-label={label}
      aria-pressed={day === chosen}
      title={label}
      position="relative"
      h="34px"
      overflow="hidden"
      bg={week.type === 'season' ? 'sunk' : 'sheet'}
      borderWidth="1px"
      borderColor={special ? 'ink' : 'hairline'}
      borderBottomWidth={special ? '3px' : '1px'}
      borderLeftWidth={isNewWeek ? '3px' : '1px'}
      borderLeftColor={isNewWeek ? 'petrol.solid' : undefined}
      borderRadius="2px"
      cursor="pointer"
      outline={day === chosen ? '2px solid' : day === today ? '1px dashed' : 'none'}
      outlineColor={day === chosen ? 'petrol.solid' : 'ink'}
      zIndex={day === chosen ? '1' : 'auto'}
      onClick={() => onChoose(day)}
    >
      {layered(hours.periods, [...runsOn, ...spans]).map(({ periodId, startMin, endMin }) => (
        <Box
          key={`${periodId} ${startMin}`}
          position="absolute"
          left="0"
          right="0"
          top={`${(startMin / minutesOfDay) * 100}%`}
          h={`${((Math.min(endMin, minutesOfDay) - startMin) / minutesOfDay) * 100}%`}
          {...textureOf(hours.periods, periodId)}
        />
      ))}
    </chakra.button>
  );
}

/** What begins in a month: "15 Summer begins", "26 Thanksgiving", "24 to 31 Christmas to New Year". */
function namesIn(hours: Hours, year: number, month: number): readonly string[] {
  const [first, last] = [dayNumber(year, month, 1), dayNumber(year, month, daysInMonth(year, month))];
  const on = (at: DayNumber, says: string) =>
    at >= first && at <= last ? [{ day: monthDayOf(at).day, says: `${monthDayOf(at).day}\u00a0${says}` }] : [];
  const seasons = hours.seasons.flatMap((season) =>
    // Over the end of the year it ends in the year after the one in which it begins.
    [year - 1, year].flatMap((begun) => {
      const days = seasonDays(season, begun);
      return days ? [...on(days.from, `${season.name} begins`), ...on(days.to, `${season.name} ends`)] : [];
    }),
  );
  const weeks = hours.datedWeeks.flatMap((each) => on(firstDay(each), `${each.name} from here on`));
  const dates = occurrences(hours, first, last).map(({ date, from, to }) => {
    const [begin, end] = [Math.max(from, first), Math.min(to, last)].map((day) => monthDayOf(day)) as [
      MonthDay,
      MonthDay,
    ];
    const days = begin.day === end.day ? String(begin.day) : `${begin.day}\u00a0to\u00a0${end.day}`;
    return { day: begin.day, says: `${days}\u00a0${date.name}` };
  });
  return [...weeks, ...seasons, ...dates].sort((one, other) => one.day - other.day).map(({ says }) => says);
}

/** The day a key leads to: the one beside it, or the same day of the month above or below. */
function dayAfterKey(key: string, chosen: DayNumber, year: number): DayNumber | undefined {
  const { month, day } = monthDayOf(chosen);
  const step = keyMoves[key];
  const wanted = step === undefined ? sameDayOf(month + (monthMoves[key] ?? NaN)) : chosen + step;
  return wanted >= dayNumber(year, 1, 1) && wanted <= dayNumber(year, 12, 31) ? wanted : undefined;

  function sameDayOf(other: number): DayNumber {
    return other >= 1 && other <= 12 ? dayNumber(year, other, Math.min(day, daysInMonth(year, other))) : NaN;
  }
}

const monthMoves: Readonly<Record<string, number>> = { ArrowUp: -1, ArrowDown: 1 };

/** What the textures and marks of the ribbon mean. */
export function RibbonKey({ hours }: { readonly hours: Hours }) {
  return (
    <Flex gap="4" wrap="wrap" fontSize="12px" color="quiet" align="center">
      {hours.periods.map(({ id, name }) => (
        <Flex key={id} align="center" gap="1.5">
          <Box w="14px" h="14px" borderWidth="1px" borderColor="hairline" {...textureOf(hours.periods, id)} /> {name}
        </Flex>
      ))}
      <Flex align="center" gap="1.5">
        <Box w="14px" h="14px" borderWidth="1px" borderBottomWidth="3px" borderColor="ink" /> special date
      </Flex>
      {hours.datedWeeks.length > 0 && (
        <Flex align="center" gap="1.5">
          <Box
            w="14px"
            h="14px"
            borderWidth="1px"
            borderLeftWidth="3px"
            borderColor="hairline"
            borderLeftColor="petrol.solid"
          />{' '}
          another week from here on
        </Flex>
      )}
      {hours.seasons.length > 0 && (
        <Flex align="center" gap="1.5">
          <Box w="14px" h="14px" bg="sunk" borderWidth="1px" borderColor="hairline" /> in a season
        </Flex>
      )}
    </Flex>
  );
}
