import { Box, Flex, Text } from '@chakra-ui/react';
import type { Names } from '@locutor/core/line';
import {
  describeAnswered,
  said,
  saidChoice,
  saySeconds,
  type AnsweredFigures,
  type AnswerTimes,
  type TableCell,
} from '@locutor/core/traffic';
import { Link } from 'react-router';
import { useAnswered } from '../../api/resources';
import { useSheetNames } from '../../live/useSheetNames';
import { InlineNumber } from '../../parts/InlineNumber';
import { hourCell, showMinutes } from '../../parts/time';
import { targetNameOf } from './answeredWords';
import { choiceWords } from './choiceWords';
import { callsBehind, type BehindAsked } from './behind';
import { FiguresTable, type FiguresRow } from './FiguresTable';
import { Counting } from './Counting';
import { SaveCsv } from './SaveCsv';
import { SpanBar } from './SpanBar';
import { StretchesChart } from './StretchesChart';
import { TrafficPage } from './TrafficPage';
import { useAddress } from './useAddress';
import { useNamesThen } from './useNamesThen';
import { spanAsked, useSpan } from './useSpan';

const usualWithinS = 20;

/** How long it takes until somebody answers: of all, by who brings the call, by what was pressed, by hour. */
export function Answered() {
  const looked = useSpan();
  const [address, change] = useAddress();
  const names = { ...useNamesThen(), ...useSheetNames() };
  const withinS = Math.min(600, Math.max(1, Math.round(Number(address.get('within')) || usualWithinS)));
  const asked = spanAsked(looked);
  const { data: figures, error } = useAnswered({ ...asked, within: String(withinS) });
  const tables = figures ? tablesOf(figures, names, asked) : [];
  return (
    <TrafficPage
      actions={figures && figures.reached > 0 && <SaveCsv name="answered" rows={() => cellsOf(figures, tables)} />}
    >
      <SpanBar {...looked} />
      {error && <Text role="alert">The calls could not be counted. {String(error.message)}</Text>}
      {!figures && !error && <Counting />}
      {figures && (
        <Text fontSize="18px" lineHeight="1.5" maxW="820px" mb="3" aria-live="polite">
          {describeAnswered(figures)}
        </Text>
      )}
      {figures && figures.reached > 0 && (
        <>
          <Text mb="5">
            Callers are to be answered within{' '}
            <InlineNumber
              label="Within how many seconds"
              value={withinS}
              least={1}
              most={600}
              onChange={(seconds) => change({ within: String(seconds) })}
            />{' '}
            s. The time counts from when the line picks up, greeting and menus included.
          </Text>
          <StretchesChart figures={figures} asked={asked} />
          <Flex gap="8" wrap="wrap" mt="7" align="start">
            {tables.map((table) => (
              <TimesTable key={table.title} {...table} withinS={figures.withinS} />
            ))}
          </Flex>
          <Text asChild fontWeight="600" fontSize="15px" mt="7" mb="1">
            <h2>The longest waits until somebody answered</h2>
          </Text>
          <Flex gap="4" wrap="wrap">
            {figures.longest.map(({ callId, toPersonMs }) => (
              <Text key={callId} asChild color="petrol.fg" textDecoration="underline">
                <Link to={`/traffic/calls/${callId}`}>{saySeconds(toPersonMs)}</Link>
              </Text>
            ))}
          </Flex>
        </>
      )}
    </TrafficPage>
  );
}

/** Who was lost cannot be told everywhere. */
type Times = Omit<AnswerTimes, 'lost'> & Partial<Pick<AnswerTimes, 'lost'>>;

interface Table {
  readonly title: string;
  readonly head: string;
  /** Of the columns that name the rows in a spreadsheet. */
  readonly said: readonly TableCell[];
  readonly rows: readonly (Times &
    Pick<FiguresRow, 'key' | 'name' | 'to'> & { readonly cells: readonly TableCell[] })[];
}

function tablesOf({ byWay, byKey, byHour }: AnsweredFigures, names: Names, asked: BehindAsked): readonly Table[] {
  return [
    {
      title: 'By who was rung',
      head: 'Group, queue or person',
      said: [said('group, queue or person')],
      rows: byWay.map(({ to, ...each }) => ({
        ...{ ...each, key: to, name: targetNameOf(to, names), cells: [targetNameOf(to, names)] },
        to: callsBehind({
          ...asked,
          ...(/^(group|queue):/.test(to) ? { through: to } : { who: to, ringEnd: 'answered' }),
        }),
      })),
    },
    {
      title: 'By what callers did first',
      head: 'Sheet and key',
      said: [said('sheet'), said('key')],
      rows: byKey.map((each) => ({
        ...each,
        key: `${each.sheetId} ${each.choice}`,
        name: `${names[each.sheetId] ?? 'a deleted sheet'}: ${choiceWords(each.choice)}`,
        cells: [names[each.sheetId] ?? said('a deleted sheet'), saidChoice(each.choice)],
        to: callsBehind({ ...asked, sheetId: each.sheetId, choice: each.choice, first: 'yes' }),
      })),
    },
    {
      title: 'By hour of the day',
      head: 'From',
      said: [said('hour')],
      rows: byHour.map((each) => ({
        ...{ ...each, key: String(each.hour), name: showMinutes(each.hour * 60), cells: [hourCell(each.hour)] },
        to: callsBehind({ ...asked, hour: String(each.hour) }),
      })),
    },
  ];
}

function TimesTable({ title, head, rows, withinS }: Table & { readonly withinS: number }) {
  const tellsLost = rows.some(({ lost }) => lost !== undefined);
  const columns = ['Answered', 'Half within', '9 in 10 within', `Within ${withinS} s`, ...(tellsLost ? ['Lost'] : [])];
  return (
    <Box flex="1 1 420px" maxW="640px">
      <FiguresTable
        title={title}
        head={[head, ...columns]}
        rows={rows.map((row) => ({ key: row.key, name: row.name, to: row.to, figures: figuresOf(row) }))}
      />
    </Box>
  );
}

/** In the order of the columns; a dash where there is nothing to tell. */
function figuresOf({ reached, medianMs, nineTenthsMs, within, lost }: Times): readonly string[] {
  return [
    String(reached),
    medianMs === null ? '–' : saySeconds(medianMs),
    nineTenthsMs === null ? '–' : saySeconds(nineTenthsMs),
    reached === 0 ? '–' : `${Math.round((100 * within) / reached)}%`,
    ...(lost === undefined ? [] : [String(lost)]),
  ];
}

function cellsOf({ withinS }: AnsweredFigures, tables: readonly Table[]): readonly (readonly TableCell[])[] {
  const seconds = (ms: number | null): string => (ms === null ? '' : (ms / 1000).toFixed(1));
  return tables.flatMap(({ said: of, rows }): readonly (readonly TableCell[])[] => [
    [...of, said('answered'), said('median (s)'), said('90% (s)'), said('within {} s', withinS), said('lost')],
    ...rows.map(({ cells, reached, medianMs, nineTenthsMs, within, lost }) => [
      ...cells,
      ...[
        String(reached),
        seconds(medianMs),
        seconds(nineTenthsMs),
        String(within),
        lost === undefined ? '' : String(lost),
      ],
    ]),
    [],
  ]);
}
