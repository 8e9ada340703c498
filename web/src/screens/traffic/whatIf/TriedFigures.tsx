import { Box, Text } from '@chakra-ui/react';
import { showAmount, type Currency } from '@locutor/core/cost';
import { weekdayName, type Weekday } from '@locutor/core/hours';
import type { Names } from '@locutor/core/line';
import { said, saySeconds, type TableCell } from '@locutor/core/traffic';
import type { Compared, Mean, PlanFigures, Tried } from '@locutor/core/whatIf';
import { targetNameOf } from '../answeredWords';
import { FiguresTable } from '../FiguresTable';
import { SaveCsv } from '../SaveCsv';
import { TriedChart } from './TriedChart';

interface Props {
  readonly tried: Tried;
  readonly only: Weekday | null;
  readonly names: Names;
  readonly currency: Currency;
}

interface Row {
  readonly name: string;
  /** The same in a spreadsheet; of none unless it is written there. */
  readonly cell: TableCell;
  readonly of: Compared;
  readonly show: (value: number) => string;
  /** How the difference is told; as the value itself unless said otherwise. */
  readonly showChange?: (value: number) => string;
}

const head = ['', 'As it is', 'As it would be', 'Difference'];

/** Before and after, with how sure each figure is. */
export function TriedFigures({ tried, only, names, currency }: Props) {
  const ofDay = tried.byWeekday.find(({ weekday }) => weekday === only);
  const money = (amount: number): string => showAmount(amount, currency);
  const all: readonly Row[] = [
    ...rowsOf(tried, tried.withinS),
    ...(tried.cost
      ? [{ name: 'Cost of the calls', cell: said('cost of the calls'), of: tried.cost, show: money }]
      : []),
  ];
  const ends = [said('from'), said('to')];
  const spreadsheet = (): readonly (readonly TableCell[])[] => [
    [said('figure'), said('before'), ...ends, said('after'), ...ends, said('difference'), ...ends],
    ...all.map(({ cell, of }) => [cell, ...[of.before, of.after, of.change].flatMap(numbers)]),
  ];
  return (
    <Box maxW="820px" mb="7">
      <Box mb="6">
        <TriedChart
          figures={ofDay ?? tried}
          withinS={tried.withinS}
          on={ofDay && only ? `${weekdayName(only)}s` : undefined}
        />
      </Box>
      <FiguresTable title={`${tried.days} days, tried ${tried.runs} times`} head={head} rows={all.map(tableRow)} />
      <Box mt="2">
        <SaveCsv name="what if" rows={spreadsheet} />
      </Box>
      {ofDay && only && (
        <Box mt="6">
          <FiguresTable
            title={`${weekdayName(only)}s alone`}
            head={head}
            rows={rowsOf(ofDay, tried.withinS).map(tableRow)}
          />
        </Box>
      )}
      {tried.busy.length > 0 && (
        <Box mt="6">
          <FiguresTable
            title="How busy each is: the part of their busiest hour of the week in which they talk"
            head={head}
            rows={tried.busy.map(({ who, hour, inHour }) =>
              tableRow({
                name: `${who.startsWith('person:whatif') ? 'Somebody new' : targetNameOf(who, names)}, ${weekdayName(Math.floor(hour / 24) + 1)}s`,
                of: inHour,
                ...share,
              }),
            )}
          />
        </Box>
      )}
      <Text color="quiet" fontSize="13px" mt="3">
        In brackets: between what the figure lies with 95% certainty, the log taken as it is. Differences are of the
        same callers under both plans; those of shares are told in points of a hundred.
        {tried.unknownMenus.length > 0 &&
          ` Nobody has been to ${tried.unknownMenus.join(', ')} yet: its keys are taken to be chosen alike.`}
        {tried.habits.whileRinging.weibull === null &&
          ' Too few gave up while it rang to tell how patient callers are: they are taken to wait.'}
        {tried.waitedMs &&
          tried.habits.inAnyQueue.weibull === null &&
          ' Too few gave up in a queue to tell how long callers would wait there: they are taken to wait.'}
      </Text>
    </Box>
  );
}

function rowsOf(figures: PlanFigures, withinS: number): readonly Row[] {
  const seconds = (ms: number): string => saySeconds(Math.round(ms));
  return [
    { name: 'Calls', cell: said('calls'), of: figures.calls, show: (count) => Math.round(count).toLocaleString() },
    { name: 'Reach somebody', cell: said('reach somebody'), of: figures.reached, ...share },
    { name: `… of them within ${withinS} s`, cell: said('of them within {} s', withinS), of: figures.within, ...share },
    {
      ...{ name: 'Until somebody answers, on average', cell: said('seconds until somebody answers') },
      of: figures.toPersonMs,
      show: seconds,
    },
    { name: 'Give up', cell: said('give up'), of: figures.gaveUp, ...share },
    { name: 'Missed', cell: said('missed'), of: figures.missed, ...share },
    { name: 'Leave a message', cell: said('leave a message'), of: figures.message, ...share },
    ...(figures.waitedWithin
      ? [
          {
            name: `Of those who wait in a queue, answered within ${withinS} s`,
            cell: said('of those in a queue within {} s', withinS),
            of: figures.waitedWithin,
            ...share,
          },
        ]
      : []),
    ...(figures.waitedMs
      ? [{ name: 'Wait in a queue, on average', cell: said('seconds in a queue'), of: figures.waitedMs, show: seconds }]
      : []),
  ];
}

function tableRow({ name, of, show, showChange = show }: Omit<Row, 'cell'>) {
  const { before, after, change } = of;
  const between = ({ between: { low, high } }: Mean): string =>
    low === high ? '' : ` (${show(Math.max(0, low))}–${show(high)})`;
  const isSure = change.between.low > 0 || change.between.high < 0;
  const sign = change.mean > 0 ? '+' : change.mean < 0 ? '−' : '';
  const difference = isSure ? `${sign}${showChange(Math.abs(change.mean))}` : 'none to tell';
  return {
    key: name,
    name,
    figures: [`${show(before.mean)}${between(before)}`, `${show(after.mean)}${between(after)}`, difference],
  };
}

function numbers({ mean, between }: Mean): readonly string[] {
  return [mean, between.low, between.high].map((value) => String(Number(value.toPrecision(6))));
}

function percent(share: number): string {
  return `${inHundred(share)}%`;
}

/** Shares differ by points: from 40% to 44% it is 4 points, and not 4%. */
function points(share: number): string {
  return `${inHundred(share)} ${inHundred(share) === '1' ? 'point' : 'points'}`;
}

function inHundred(share: number): string {
  const of = 100 * share;
  return of > 0 && of < 9.95 ? of.toFixed(1).replace(/\.0$/, '') : String(Math.round(of));
}

const share = { show: percent, showChange: points } as const;
