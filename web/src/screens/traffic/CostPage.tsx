import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { describeCost, monthOf, one, showAmount, type Cost, type Currency, type PartCost } from '@locutor/core/cost';
import type { Names } from '@locutor/core/line';
import { said, saidChoice, type TableCell } from '@locutor/core/traffic';
import { Link } from 'react-router';
import { useCost, useSettings, type Settings } from '../../api/resources';
import { useSheetNames } from '../../live/useSheetNames';
import { choiceWords } from './choiceWords';
import { callsBehind, type BehindAsked } from './behind';
import { FiguresTable } from './FiguresTable';
import { MonthsChart } from './MonthsChart';
import { SaveCsv } from './SaveCsv';
import { SpanBar } from './SpanBar';
import { TrafficPage } from './TrafficPage';
import { useNamesThen } from './useNamesThen';
import { spanAsked, useSpan } from './useSpan';

/** What calls cost by the rate card: this month so far and at its end, month by month, by line and by key. */
export function CostPage() {
  const looked = useSpan();
  const names = { ...useNamesThen(), ...useSheetNames() };
  const { data: settings } = useSettings();
  const { data, error } = useCost(spanAsked(looked));
  const cost = data?.cost;
  return (
    <TrafficPage
      actions={cost && settings && <SaveCsv name="cost" rows={() => cellsOf(cost, settings.rates.currency, names)} />}
    >
      <SpanBar {...looked} />
      {error && <Text role="alert">The cost could not be reckoned. {String(error.message)}</Text>}
      {!data && !error && <Text color="quiet">Reckoning …</Text>}
      {cost === null && <NoCard />}
      {cost && settings && (
        <Figures cost={cost} settings={settings} names={names} today={looked.today} asked={spanAsked(looked)} />
      )}
    </TrafficPage>
  );
}

function NoCard() {
  return (
    <Box maxW="620px">
      <Text fontSize="18px" mb="2">
        What your provider charges is not known yet.
      </Text>
      <Text color="quiet" mb="3">
        Type the prices of a number, of a minute, and of calls put through to outside phones, and this page tells what
        each month, line and key costs, and what the month will come to.
      </Text>
      <Button asChild size="sm" colorPalette="petrol">
        <Link to="/settings">Add a rate card in Settings</Link>
      </Button>
    </Box>
  );
}

interface FiguresProps {
  readonly cost: Cost;
  readonly settings: Settings;
  readonly names: Names;
  readonly today: number;
  readonly asked: BehindAsked;
}

function Figures({ cost, settings: { rates, budget }, names, today, asked }: FiguresProps) {
  const { currency } = rates;
  const show = (amount: number): string => showAmount(amount, currency);
  const { thisMonth, forecast, months, byLine, byKey, dearest } = cost;
  const row = ({ calls, in: into, out }: PartCost) => [
    calls.toLocaleString(),
    show(into),
    show(out),
    calls > 0 ? show((into + out) / calls) : '–',
    show(into + out),
  ];
  const head = ['Calls', 'To the line', 'To outside phones', 'Each', 'Together'];
  return (
    <>
      <Text fontSize="18px" lineHeight="1.5" maxW="820px" mb="5" aria-live="polite">
        {describeCost(thisMonth, { currency, budget, forecast })}
      </Text>
      <MonthsChart
        months={months}
        currency={currency}
        budget={budget}
        forecast={months.some(({ month }) => month === monthOf(today)) ? forecast : null}
        now={monthOf(today)}
      />
      <Flex gap="8" wrap="wrap" mt="7" align="start">
        {byLine.length > 1 && (
          <Box flex="1 1 420px" maxW="680px">
            <FiguresTable
              title="By line"
              head={['Line', ...head]}
              rows={byLine.map((part) => ({
                key: part.lineId,
                name: names[part.lineId] ?? 'a deleted line',
                figures: row(part),
              }))}
            />
          </Box>
        )}
        <Box flex="1 1 420px" maxW="680px">
          <FiguresTable
            title="By what callers did first"
            head={['Sheet and key', ...head]}
            rows={byKey.map((part) => ({
              key: `${part.sheetId} ${part.choice}`,
              name: `${names[part.sheetId] ?? 'a deleted sheet'}: ${choiceWords(part.choice)}`,
              figures: row(part),
              to: callsBehind({ ...asked, sheetId: part.sheetId, choice: part.choice, first: 'yes' }),
            }))}
          />
        </Box>
      </Flex>
      {dearest.length > 0 && (
        <>
          <Text asChild fontWeight="600" fontSize="15px" mt="7" mb="1">
            <h2>The dearest calls of these days</h2>
          </Text>
          <Flex gap="4" wrap="wrap">
            {dearest.map(({ callId, cost: amount }) => (
              <Text key={callId} asChild color="petrol.fg" textDecoration="underline">
                <Link to={`/traffic/calls/${callId}`}>{show(amount)}</Link>
              </Text>
            ))}
          </Flex>
        </>
      )}
      <Text mt="5" color="quiet" fontSize="13px" maxW="820px">
        Included minutes go to those who called first in a month. Rents are in the months, not in lines and keys. All
        amounts hold tax. Prices, budget and who is told stand in{' '}
        <Text asChild textDecoration="underline">
          <Link to="/settings">Settings</Link>
        </Text>
        .
      </Text>
    </>
  );
}

function cellsOf({ months, byLine, byKey }: Cost, currency: Currency, names: Names): readonly (readonly TableCell[])[] {
  const money = (amount: number): string => (amount / one).toFixed(6);
  const part = ({ calls, in: into, out }: PartCost): string[] => [String(calls), money(into), money(out)];
  const head = [said('calls'), said('to the line ({})', currency), said('to outside phones ({})', currency)];
  return [
    [
      ...[said('month'), ...head, said('rents ({})', currency), said('total ({})', currency)],
      ...[said('seconds to the line'), said('of them included'), said('seconds to outside phones')],
    ],
    ...months.map((month) => [
      month.month,
      ...part(month),
      money(month.rent),
      money(month.total),
      ...[month.inSeconds, month.includedSeconds, month.outSeconds].map(String),
    ]),
    [],
    [said('line'), ...head],
    ...byLine.map((each) => [names[each.lineId] ?? said('a deleted line'), ...part(each)]),
    [],
    [said('sheet'), said('key'), ...head],
    ...byKey.map((each) => [names[each.sheetId] ?? said('a deleted sheet'), saidChoice(each.choice), ...part(each)]),
  ];
}
