import { Box, Text } from '@chakra-ui/react';
import { showAmount, type Currency } from '@locutor/core/cost';
import { writeCsv } from '@locutor/core/formats';
import { weekdayName, type Weekday } from '@locutor/core/hours';
import type { Names } from '@locutor/core/line';
import { saySeconds } from '@locutor/core/traffic';
import type { Compared, Mean, PlanFigures, Tried } from '@locutor/core/whatIf';
import { targetNameOf } from '../answeredWords';
import { FiguresTable } from '../FiguresTable';
import { SaveCsv } from '../SaveCsv';

interface Props {
  readonly tried: Tried;
  readonly only: Weekday | null;
  readonly names: Names;
  readonly currency: Currency;
}

interface Row {
  readonly name: string;
  readonly of: Compared;
  readonly show: (value: number) => string;
}

const head = ['', 'As it is', 'As it would be', 'Difference'];

/** Before and after, with how sure each figure is. */
export function TriedFigures({ tried, only, names, currency }: Props) {
  const ofDay = tried.byWeekday.find(({ weekday }) => weekday === only);
  const money = (amount: number): string => showAmount(amount, currency);
  const all: readonly Row[] = [
    ...rowsOf(tried, tried.withinS),
    ...(tried.cost ? [{ name: 'Cost of the calls', of: tried.cost, show: money }] : []),
  ];
  const csv = (): string =>
    writeCsv([
      ['figure', 'before', 'from', 'to', 'after', 'from', 'to', 'difference', 'from', 'to'],
      ...all.map(({ name, of }) => [name, ...[of.before, of.after, of.change].flatMap(numbers)]),
    ]);
  return (
    <Box maxW="820px" mb="7">
      <FiguresTable title={`${tried.days} days, tried ${tried.runs} times`} head={head} rows={all.map(tableRow)} />
      <Box mt="2">
        <SaveCsv name="what if" csv={csv} />
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
                show: percent,
              }),
            )}
          />
        </Box>
      )}
      <Text color="quiet" fontSize="13px" mt="3">
        In brackets: between what the figure lies with 95% certainty, the log taken as it is. Differences are of the
        same callers under both plans.
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
    { name: 'Calls', of: figures.calls, show: (count) => Math.round(count).toLocaleString() },
    { name: 'Reach somebody', of: figures.reached, show: percent },
    { name: `… of them within ${withinS} s`, of: figures.within, show: percent },
    { name: 'Until somebody answers, on average', of: figures.toPersonMs, show: seconds },
    { name: 'Give up', of: figures.gaveUp, show: percent },
    { name: 'Missed', of: figures.missed, show: percent },
    { name: 'Leave a message', of: figures.message, show: percent },
    ...(figures.waitedWithin
      ? [
          {
            name: `Of those who wait in a queue, answered within ${withinS} s`,
            of: figures.waitedWithin,
            show: percent,
          },
        ]
      : []),
    ...(figures.waitedMs ? [{ name: 'Wait in a queue, on average', of: figures.waitedMs, show: seconds }] : []),
  ];
}

function tableRow({ name, of, show }: Row) {
  const { before, after, change } = of;
  const between = ({ between: { low, high } }: Mean): string =>
    low === high ? '' : ` (${show(Math.max(0, low))}–${show(high)})`;
  const isSure = change.between.low > 0 || change.between.high < 0;
  const sign = change.mean > 0 ? '+' : change.mean < 0 ? '−' : '';
  const difference = isSure ? `${sign}${show(Math.abs(change.mean))}` : 'none to tell';
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
  const of = 100 * share;
  return of > 0 && of < 9.95 ? `${of.toFixed(1)}%` : `${Math.round(of)}%`;
}
