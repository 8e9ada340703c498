import { Box, chakra, Flex } from '@chakra-ui/react';
import { openWeekHours, type Hours, type WeekHour } from '@locutor/core/hours';
import { sayHourOf, type HourCell, type WhenFigures } from '@locutor/core/traffic';
import { Link } from 'react-router';
import { userDial } from '../../parts/time';
import { WeekHours, type CellFocus } from './WeekHours';

interface Props {
  readonly figures: WhenFigures;
  readonly hours: Hours;
  /** The days that are counted. */
  readonly days: readonly number[];
  /** The span and line, as an address asks for them. */
  readonly asked: Readonly<Record<string, string>>;
}

const Cell = chakra(Link);

/** Each hour of the week: the darker the more calls; below it how many of them were lost. The open hours are underlined. */
export function HoursGrid({ figures, hours, days, asked }: Props) {
  const open = openWeekHours(hours, days);
  const [first, last] = shownHours(figures, open);
  const most = Math.max(...figures.hours.map(({ each }) => each));
  const { busiest } = figures;
  return (
    <Box>
      <WeekHours
        title="Calls in each hour of the week"
        first={first}
        last={last}
        start={busiest ? (busiest.weekday - 1) * 24 + busiest.hour : first}
        underlined={open}
        cell={(at, focus) => {
          const cell = figures.hours[at];
          return cell && <OneHour cell={cell} most={most} asked={asked} focus={focus} />;
        }}
      />
      <Legend />
    </Box>
  );
}

interface OneHourProps {
  readonly cell: HourCell;
  readonly most: number;
  readonly asked: Props['asked'];
  readonly focus: CellFocus;
}

function OneHour({ cell, most, asked, focus }: OneHourProps) {
  const { weekday, hour, calls, lost, each } = cell;
  const strength = strengthOf(most > 0 ? Math.sqrt(each / most) : 0);
  const says = `${sayHourOf(cell, userDial)}: ${calls} ${calls === 1 ? 'call' : 'calls'}, ${each.toFixed(1)} each time; ${lost} lost`;
  const params = new URLSearchParams({ ...asked, weekday: String(weekday), hour: String(hour) });
  return (
    <Cell
      to={`/traffic/calls?${params.toString()}`}
      {...focus}
      title={says}
      aria-label={says}
      display="flex"
      flexDirection="column"
      justifyContent="space-between"
      h="36px"
      borderRadius="2px"
      overflow="hidden"
      css={{
        background: `color-mix(in srgb, var(--chakra-colors-petrol-solid) ${strength}%, var(--chakra-colors-sunk))`,
      }}
      color={strength > 50 ? 'petrol.contrast' : 'ink'}
      fontFamily="mono"
      fontSize="12px"
      textAlign="center"
    >
      <Box pt="1.5" aria-hidden>
        {shown(each)}
      </Box>
      {lost > 0 && (
        <Box
          aria-hidden
          h="6px"
          css={{
            width: `${Math.max(8, (100 * lost) / calls)}%`,
            background:
              'repeating-linear-gradient(45deg, var(--chakra-colors-paper) 0 2px, var(--chakra-colors-ink) 2px 4px)',
          }}
        />
      )}
    </Cell>
  );
}

/** How much of the hue, in percent: nothing between half and most of it, on which neither ink nor paper could be read. */
function strengthOf(share: number): number {
  if (share === 0) return 0;
  return share < 0.6 ? Math.round(8 + 70 * share) : Math.round(75 + 50 * (share - 0.6));
}

function Legend() {
  return (
    <Flex gap="5" wrap="wrap" mt="1.5" fontSize="12.5px" color="quiet">
      <span>A number is how many calls come in such an hour.</span>
      <Flex align="center" gap="1.5">
        <Box
          w="26px"
          h="6px"
          css={{
            background:
              'repeating-linear-gradient(45deg, var(--chakra-colors-paper) 0 2px, var(--chakra-colors-ink) 2px 4px)',
          }}
        />
        the part of them that was lost
      </Flex>
      <Flex align="center" gap="1.5">
        <Box w="26px" borderBottomWidth="2px" borderColor="ink" />
        open, on most such days
      </Flex>
      <span>Open one to see its calls.</span>
    </Flex>
  );
}

/** Whole calls, halves of few, and nothing for none. */
function shown(each: number): string {
  if (each === 0) return '';
  if (each < 0.25) return '·';
  return each < 2
    ? String(Math.round(each * 2) / 2)
        .replace('0.5', '½')
        .replace('.5', '½')
    : String(Math.round(each));
}

/** From the first hour in which anybody called, or it is open, to the last. */
function shownHours({ hours: cells }: WhenFigures, open: ReadonlySet<WeekHour>): readonly [number, number] {
  const used = cells.filter(({ calls }, at) => calls > 0 || open.has(at)).map(({ hour }) => hour);
  return used.length > 0 ? [Math.min(...used), Math.max(...used)] : [8, 17];
}
