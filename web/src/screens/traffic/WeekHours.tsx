import { Box, chakra, Text, useMediaQuery } from '@chakra-ui/react';
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

/** One side of the table. */
interface Side {
  readonly values: readonly number[];
  readonly name: (value: number) => string;
  /** What there is room for; all of it is read out. */
  readonly shown: (value: number) => string;
}

/** The hours of the week as a table, a day a row, on a phone a day a column; gone through with the arrow keys. */
export function WeekHours({ title, first, last, start, underlined, cell }: Props) {
  const [isNarrow] = useMediaQuery(['(max-width: 640px)'], { ssr: false });
  const table = useRef<HTMLTableElement>(null);
  const [current, setCurrent] = useState(start);
  const hours: Side = {
    values: Array.from({ length: last - first + 1 }, (_, index) => first + index),
    name: shortHour,
    shown: (hour) => (isNarrow || hour % 2 === first % 2 ? shortHour(hour) : ''),
  };
  const days: Side = {
    values: [0, 1, 2, 3, 4, 5, 6],
    name: (day) => weekdayNames[day] ?? '',
    shown: (day) => (isNarrow ? (weekdayNames[day]?.slice(0, 2) ?? '') : (weekdayNames[day] ?? '')),
  };
  const [rows, columns] = isNarrow ? [hours, days] : [days, hours];
  const atOf = (row: number, column: number): WeekHour => (isNarrow ? column * 24 + row : row * 24 + column);
  const move = (event: KeyboardEvent): void => {
    const [down, right] = steps[event.key] ?? [0, 0];
    if (down === 0 && right === 0) return;
    event.preventDefault();
    // From where the focus is, however it came there.
    const here = Number((event.target as HTMLElement).closest<HTMLElement>('[data-at]')?.dataset.at ?? current);
    const [later, further] = isNarrow ? [right, down] : [down, right];
    const day = Math.min(6, Math.max(0, Math.floor(here / 24) + later));
    const hour = Math.min(last, Math.max(first, (here % 24) + further));
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
          minW={isNarrow ? undefined : `${90 + 34 * columns.values.length}px`}
          onKeyDown={move}
        >
          <thead>
            <tr>
              <chakra.th w={isNarrow ? '52px' : '88px'}>
                <chakra.span srOnly>{isNarrow ? 'Hour' : 'Day'}</chakra.span>
              </chakra.th>
              {columns.values.map((column) => (
                <chakra.th
                  key={column}
                  scope="col"
                  fontWeight="400"
                  fontSize="12px"
                  color="quiet"
                  textAlign={isNarrow ? 'center' : 'left'}
                  whiteSpace="nowrap"
                  overflow="visible"
                >
                  <Heading side={columns} value={column} />
                </chakra.th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.values.map((row) => (
              <tr key={row}>
                <chakra.th scope="row" fontWeight="400" textAlign="left" pr="2" whiteSpace="nowrap" fontSize="13px">
                  <Heading side={rows} value={row} />
                </chakra.th>
                {columns.values.map((column) => {
                  const at = atOf(row, column);
                  return (
                    <chakra.td
                      key={column}
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

function Heading({ side, value }: { readonly side: Side; readonly value: number }) {
  const [shown, name] = [side.shown(value), side.name(value)];
  if (shown === name) return <>{name}</>;
  return (
    <>
      <span aria-hidden>{shown}</span>
      <chakra.span srOnly>{name}</chakra.span>
    </>
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
