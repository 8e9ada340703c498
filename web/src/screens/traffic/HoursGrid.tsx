import { Box, chakra, Flex, Text } from '@chakra-ui/react';
import type { Hours } from '@locutor/core/hours';
import { sayHourOf, type HourCell, type WhenFigures } from '@locutor/core/traffic';
import { useRef, useState, type KeyboardEvent } from 'react';
import { Link } from 'react-router';
import { showMinutes } from '../../parts/time';

interface Props {
  readonly figures: WhenFigures;
  readonly hours: Hours;
  /** The span and line, as an address asks for them. */
  readonly asked: Readonly<Record<string, string>>;
}

const weekdayNames = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;
const Cell = chakra(Link);

/** Each hour of the week: the darker the more calls; below it how many of them were lost. The open hours are underlined. */
export function HoursGrid({ figures, hours, asked }: Props) {
  const [first, last] = shownHours(figures, hours);
  const columns = Array.from({ length: last - first + 1 }, (_, index) => first + index);
  const most = Math.max(...figures.hours.map(({ each }) => each));
  const table = useRef<HTMLTableElement>(null);
  const [at, setAt] = useState<readonly [number, number]>([
    figures.busiest?.weekday ?? 1,
    figures.busiest?.hour ?? first,
  ]);
  const move = (event: KeyboardEvent): void => {
    const [down, right] = steps[event.key] ?? [0, 0];
    if (down === 0 && right === 0) return;
    event.preventDefault();
    const weekday = Math.min(7, Math.max(1, at[0] + down));
    const hour = Math.min(last, Math.max(first, at[1] + right));
    setAt([weekday, hour]);
    table.current?.querySelector<HTMLElement>(`[data-at="${weekday}-${hour}"]`)?.focus();
  };
  return (
    <Box>
      <Text asChild fontWeight="600" fontSize="15px" mb="2">
        <h2>Calls in each hour of the week</h2>
      </Text>
      <Box overflowX="auto" pb="1">
        <chakra.table
          ref={table}
          aria-label="Calls in each hour of the week"
          css={{ borderCollapse: 'separate', borderSpacing: '2px', tableLayout: 'fixed' }}
          w="100%"
          maxW="1080px"
          minW={`${90 + 34 * columns.length}px`}
          onKeyDown={move}
        >
          <thead>
            <tr>
              <chakra.th w="88px">
                <chakra.span srOnly>Day</chakra.span>
              </chakra.th>
              {columns.map((hour) => (
                <chakra.th
                  key={hour}
                  scope="col"
                  fontWeight="400"
                  fontSize="12px"
                  color="quiet"
                  textAlign="left"
                  whiteSpace="nowrap"
                  overflow="visible"
                >
                  {hour % 2 === first % 2 ? shortHour(hour) : ''}
                  <chakra.span srOnly>{hour % 2 === first % 2 ? '' : shortHour(hour)}</chakra.span>
                </chakra.th>
              ))}
            </tr>
          </thead>
          <tbody>
            {weekdayNames.map((name, index) => (
              <tr key={name}>
                <chakra.th scope="row" fontWeight="400" textAlign="left" pr="2" whiteSpace="nowrap" fontSize="13px">
                  {name}
                </chakra.th>
                {columns.map((hour) => {
                  const cell = figures.hours[index * 24 + hour];
                  return (
                    <chakra.td
                      key={hour}
                      p="0"
                      borderBottomWidth="2px"
                      borderColor={isOpen(hours, index + 1, hour) ? 'ink' : 'transparent'}
                    >
                      {cell && (
                        <OneHour
                          cell={cell}
                          most={most}
                          asked={asked}
                          isCurrent={at[0] === index + 1 && at[1] === hour}
                        />
                      )}
                    </chakra.td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </chakra.table>
      </Box>
      <Legend />
    </Box>
  );
}

const steps: Readonly<Record<string, readonly [number, number]>> = {
  ArrowDown: [1, 0],
  ArrowUp: [-1, 0],
  ArrowRight: [0, 1],
  ArrowLeft: [0, -1],
};

interface OneHourProps {
  readonly cell: HourCell;
  readonly most: number;
  readonly asked: Props['asked'];
  readonly isCurrent: boolean;
}

function OneHour({ cell, most, asked, isCurrent }: OneHourProps) {
  const { weekday, hour, calls, lost, each } = cell;
  const strength = strengthOf(most > 0 ? Math.sqrt(each / most) : 0);
  const says = `${sayHourOf(cell)}: ${calls} ${calls === 1 ? 'call' : 'calls'}, ${each.toFixed(1)} each time; ${lost} lost`;
  const params = new URLSearchParams({ ...asked, weekday: String(weekday), hour: String(hour) });
  return (
    <Cell
      to={`/traffic/calls?${params.toString()}`}
      data-at={`${weekday}-${hour}`}
      tabIndex={isCurrent ? 0 : -1}
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
        open by the regular week
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
function shownHours({ hours: cells }: WhenFigures, hours: Hours): readonly [number, number] {
  const used = cells
    .filter(({ calls, weekday, hour }) => calls > 0 || isOpen(hours, weekday, hour))
    .map(({ hour }) => hour);
  return used.length > 0 ? [Math.min(...used), Math.max(...used)] : [8, 17];
}

/** Whether it is open at some time of the hour, in the regular week: its first period is the one that is called open. */
function isOpen({ periods, week }: Hours, weekday: number, hour: number): boolean {
  const [open] = periods;
  return week.some(({ periodId, day, startMin, endMin }) => {
    if (periodId !== open?.id) return false;
    const begins = (day - 1) * 1440 + startMin;
    const ends = (day - 1) * 1440 + endMin;
    // Over midnight from Sunday it runs on into Monday.
    return [0, 10_080].some((weekLater) => {
      const from = (weekday - 1) * 1440 + hour * 60 + weekLater;
      return begins < from + 60 && ends > from;
    });
  });
}

function shortHour(hour: number): string {
  return showMinutes(hour * 60).replace(/:00/, '');
}
