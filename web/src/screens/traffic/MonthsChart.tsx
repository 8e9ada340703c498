import { Box, Flex } from '@chakra-ui/react';
import {
  one,
  sayMonth,
  showAmount,
  type Budget,
  type Currency,
  type Forecast,
  type MonthCost,
} from '@locutor/core/cost';
import { Bar, BarChart, CartesianGrid, ReferenceLine, Tooltip, XAxis, YAxis } from 'recharts';
import { ChartFrame } from './chart/ChartFrame';
import { fills, ink, petrol, Textures } from './chart/fills';
import { chartLook } from './chart/look';
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

const parts = [
  { key: 'rent', name: 'numbers', fill: 'pale' },
  { key: 'in', name: 'calls to the lines', fill: 'solid' },
  { key: 'out', name: 'to outside phones', fill: 'dots' },
  { key: 'rest', name: 'most likely still to come', fill: 'stripes' },
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
    <ChartFrame
      title="What each month cost"
      parts={shown}
      legend={
        budget && (
          <Flex align="center" gap="1.5">
            <Box w="22px" borderTopWidth="1.5px" borderStyle="dashed" borderColor="ink" />
            budget of {show(budget.amount)}
          </Flex>
        )
      }
      height={220}
      table={<MonthsTable months={months} show={show} />}
    >
      <BarChart data={data} margin={{ top: 14, right: 4, bottom: 0, left: 8 }} barCategoryGap="24%" maxBarSize={72}>
        <Textures />
        <CartesianGrid vertical={false} {...chartLook.grid} />
        <XAxis dataKey="label" minTickGap={12} {...chartLook.names} />
        <YAxis
          {...chartLook.measure}
          tickFormatter={(value) => show(Number(value) * one).replace(/[.,]00(?=\D|$)/, '')}
        />
        <Tooltip {...chartLook.tooltip} formatter={(value) => show(Number(value) * one)} />
        {shown.map(({ key, name, fill }) => (
          <Bar
            key={key}
            dataKey={key}
            name={name}
            stackId="cost"
            fill={fills[fill]}
            stroke={petrol}
            isAnimationActive={false}
          />
        ))}
        {budget && (
          <ReferenceLine y={budget.amount / one} stroke={ink} strokeDasharray="5 4" ifOverflow="extendDomain" />
        )}
      </BarChart>
    </ChartFrame>
  );
}

function MonthsTable({ months, show }: Pick<Props, 'months'> & { readonly show: (amount: number) => string }) {
  return (
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
  );
}
