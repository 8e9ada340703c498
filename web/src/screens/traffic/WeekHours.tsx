import { Box, chakra, Text } from '@chakra-ui/react';
import type { WeekHour } from '@locutor/core/hours';
import { useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { showMinutes } from '../../parts/time';

/** What a cell needs to be reached with the arrow keys: it is spread over the link or button in it. */
export interface CellFocus {
  readonly 'data-at': string;
  readonly tabIndex: 0 | -1;
}

interface Props {
  readonly title: string;
  readonly first: number;
  readonly last: number;
  /** Where the keyboard begins. */
  readonly start: WeekHour;
  /** Hours that are underlined. */
  readonly underlined?: ReadonlySet<WeekHour>;
  readonly cell: (at: WeekHour, focus: CellFocus) => ReactNode;
}

const weekdayNames = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;

/** The hours of the week as a table, a day a row; gone through with the arrow keys. */
export function WeekHours({ title, first, last, start, underlined, cell }: Props) {
  const columns = Array.from({ length: last - first + 1 }, (_, index) => first + index);
  const table = useRef<HTMLTableElement>(null);
  const [current, setCurrent] = useState(start);
  const move = (event: KeyboardEvent): void => {
    const [down, right] = steps[event.key] ?? [0, 0];
    if (down === 0 && right === 0) return;
    event.preventDefault();
    // From where the focus is, however it came there.
    const here = Number((event.target as HTMLElement).closest<HTMLElement>('[data-at]')?.dataset.at ?? current);
    const day = Math.min(6, Math.max(0, Math.floor(here / 24) + down));
    const hour = Math.min(last, Math.max(first, (here % 24) + right));
    setCurrent(day * 24 + hour);
    table.current?.querySelector<HTMLElement>(`[data-at="${day * 24 + hour}"]`)?.focus();
  };
  return (
    <Box>
      <Text asChild fontWeight="600" fontSize="15px" mb="2">
        <h2>{title}</h2>
      </Text>
      <Box overflowX="auto" pb="1">
        <chakra.table
          ref={table}
          aria-label={title}
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
            {weekdayNames.map((name, day) => (
              <tr key={name}>
                <chakra.th scope="row" fontWeight="400" textAlign="left" pr="2" whiteSpace="nowrap" fontSize="13px">
                  {name}
                </chakra.th>
                {columns.map((hour) => {
                  const at = day * 24 + hour;
                  return (
                    <chakra.td
                      key={hour}
                      p="0"
                      borderBottomWidth="2px"
                      borderColor={underlined?.has(at) ? 'ink' : 'transparent'}
                    >
                      {cell(at, { 'data-at': String(at), tabIndex: at === current ? 0 : -1 })}
                    </chakra.td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </chakra.table>
      </Box>
    </Box>
  );
}

const steps: Readonly<Record<string, readonly [number, number]>> = {
  ArrowDown: [1, 0],
  ArrowUp: [-1, 0],
  ArrowRight: [0, 1],
  ArrowLeft: [0, -1],
};

function shortHour(hour: number): string {
  return showMinutes(hour * 60).replace(/:00/, '');
}
