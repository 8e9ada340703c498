import { Box, Flex, Text } from '@chakra-ui/react';
import {
  one,
  sayMonth,
  showAmount,
  type Budget,
  type Currency,
  type Forecast,
  type MonthCost,
} from '@locutor/core/cost';
import { Bar, BarChart, CartesianGrid, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { FiguresTable } from './FiguresTable';

interface Props {
  readonly months: readonly MonthCost[];
  readonly currency: Currency;
  readonly budget: Budget | null;
  /** Of the month that is not over; null where it is not among them. */
  readonly forecast: Forecast | null;
  /** The month that is not over. */
  readonly now: string;
}

const quiet = 'var(--chakra-colors-quiet)';
const ink = 'var(--chakra-colors-ink)';
const petrol = 'var(--chakra-colors-petrol-solid)';
const pale = 'var(--chakra-colors-petrol-emphasized)';
const parts = [
  { key: 'rent', name: 'numbers', fill: pale },
  { key: 'in', name: 'calls to the lines', fill: petrol },
  { key: 'out', name: 'to outside phones', fill: 'url(#months-out)' },
  { key: 'rest', name: 'most likely still to come', fill: 'url(#months-rest)' },
] as const;

/** What each month cost, and what the one that is not over will. */
export function MonthsChart({ months, currency, budget, forecast, now }: Props) {
  const show = (amount: number): string => showAmount(amount, currency);
  const data = months.map((month) => ({
    label: sayMonth(month.month).replace(/(\w{3})\w* (\d+)/, '$1 $2'),
    rent: month.rent / one,
    in: month.in / one,
    out: month.out / one,
    rest: forecast && month.month === now ? Math.max(0, forecast.likely - month.total) / one : 0,
  }));
  const shown = parts.filter(({ key }) => data.some((month) => month[key] > 0));
  return (
    <Box maxW="820px">
      <Text asChild fontWeight="600" fontSize="15px" mb="2">
        <h2>What each month cost</h2>
      </Text>
      <Flex gap="4" wrap="wrap" fontSize="12.5px" color="quiet" mb="1">
        {shown.map(({ key, name, fill }) => (
          <Flex key={key} align="center" gap="1.5">
            <svg width="14" height="12" aria-hidden>
              <Patterns />
              <rect width="14" height="12" fill={fill} stroke={petrol} />
            </svg>
            {name}
          </Flex>
        ))}
        {budget && (
          <Flex align="center" gap="1.5">
            <Box w="22px" borderTopWidth="1.5px" borderStyle="dashed" borderColor="ink" />
            budget of {show(budget.amount)}
          </Flex>
        )}
      </Flex>
      <Box h="220px" role="figure" aria-label="What each month cost, as a chart; the same figures follow as a table">
        <ResponsiveContainer width="100%" height="100%">
          <BarChart data={data} margin={{ top: 14, right: 4, bottom: 0, left: 8 }} barCategoryGap="24%" maxBarSize={72}>
            <defs>
              <Patterns />
            </defs>
            <CartesianGrid vertical={false} stroke="var(--chakra-colors-hairline)" />
            <XAxis
              dataKey="label"
              tick={{ fill: quiet, fontSize: 12 }}
              tickLine={false}
              stroke={quiet}
              minTickGap={12}
            />
            <YAxis
              tick={{ fill: quiet, fontSize: 12 }}
              tickLine={false}
              axisLine={false}
              tickFormatter={(value) => show(Number(value) * one).replace(/[.,]00(?=\D|$)/, '')}
            />
            <Tooltip
              cursor={{ fill: 'var(--chakra-colors-sunk)' }}
              formatter={(value) => show(Number(value) * one)}
              contentStyle={{
                background: 'var(--chakra-colors-sheet)',
                borderColor: 'var(--chakra-colors-hairline)',
                color: ink,
              }}
            />
            {shown.map(({ key, name, fill }) => (
              <Bar
                key={key}
                dataKey={key}
                name={name}
                stackId="cost"
                fill={fill}
                stroke={petrol}
                isAnimationActive={false}
              />
            ))}
            {budget && (
              <ReferenceLine y={budget.amount / one} stroke={ink} strokeDasharray="5 4" ifOverflow="extendDomain" />
            )}
          </BarChart>
        </ResponsiveContainer>
      </Box>
      <details>
        <Text asChild fontSize="13px" color="quiet" cursor="pointer">
          <summary>The figures as a table</summary>
        </Text>
        <FiguresTable
          title="What each month cost, as figures"
          head={['Month', 'Calls', 'Numbers', 'To the lines', 'To outside phones', 'Together', 'Minutes', 'Included']}
          rows={months.map((month) => ({
            key: month.month,
            name: sayMonth(month.month),
            figures: [
              month.calls.toLocaleString(),
              ...[month.rent, month.in, month.out, month.total].map(show),
              ...[month.inSeconds, month.includedSeconds].map((seconds) => Math.round(seconds / 60).toLocaleString()),
            ],
          }))}
        />
      </details>
    </Box>
  );
}

function Patterns() {
  return (
    <>
      <pattern id="months-out" width="6" height="6" patternUnits="userSpaceOnUse">
        <rect width="6" height="6" fill="var(--chakra-colors-sheet)" />
        <circle cx="3" cy="3" r="1.4" fill={petrol} />
      </pattern>
      <pattern id="months-rest" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="6" height="6" fill="var(--chakra-colors-sheet)" />
        <rect width="1.2" height="6" fill={petrol} />
      </pattern>
    </>
  );
}
