import { showDate } from '@locutor/core/hours';
import type { WeekCount, WhenFigures } from '@locutor/core/traffic';
import { useNavigate } from 'react-router';
import { Bar, BarChart, CartesianGrid, Tooltip, XAxis, YAxis } from 'recharts';
import { ChartFrame } from './chart/ChartFrame';
import { fills, petrol, Textures } from './chart/fills';
import { chartLook } from './chart/look';
import { FiguresTable } from './FiguresTable';
import { showShortDay } from './showDays';

interface Props {
  readonly figures: WhenFigures;
  readonly asked: Readonly<Record<string, string>>;
}

/** From the bottom up. */
const parts = [
  { key: 'reached', name: 'reached somebody', fill: 'solid' },
  { key: 'message', name: 'left a message', fill: 'pale' },
  { key: 'served', name: 'wanted nobody', fill: 'dots' },
  { key: 'lost', name: 'lost', fill: 'darkStripes' },
] as const;

/** Calls week by week, by what became of them. */
export function WeeksChart({ figures: { weeks }, asked }: Props) {
  const navigate = useNavigate();
  const callsOf = ({ monday }: WeekCount): string =>
    `/traffic/calls?${new URLSearchParams({ ...asked, from: showDate(monday), to: showDate(monday + 6) }).toString()}`;
  const data = weeks.map((week) => ({ ...week, label: showShortDay(week.monday) }));
  return (
    <ChartFrame
      title="Calls in each week"
      parts={parts}
      legend={<span>weeks begin on Monday</span>}
      height={220}
      maxW="1080px"
      table={
        <FiguresTable
          title="Calls in each week, as figures"
          head={['Week from', 'Calls', ...parts.map(({ name }) => name)]}
          rows={weeks.map((week) => ({
            key: String(week.monday),
            name: `${showShortDay(week.monday)}${week.isWhole ? '' : ' (not whole)'}`,
            figures: [week.calls, ...parts.map(({ key }) => week[key])].map((count) => count.toLocaleString()),
            to: callsOf(week),
          }))}
        />
      }
    >
      <BarChart data={data} margin={{ top: 8, right: 4, bottom: 0, left: -18 }} barCategoryGap="18%">
        <Textures />
        <CartesianGrid vertical={false} {...chartLook.grid} />
        <XAxis dataKey="label" minTickGap={16} {...chartLook.names} />
        <YAxis allowDecimals={false} {...chartLook.measure} />
        <Tooltip {...chartLook.tooltip} labelFormatter={(label) => `Week of ${String(label)}`} />
        {parts.map(({ key, name, fill }) => (
          <Bar
            key={key}
            dataKey={key}
            name={name}
            stackId="calls"
            fill={fills[fill]}
            stroke={petrol}
            isAnimationActive={false}
            cursor="pointer"
            onClick={({ payload }) => void navigate(callsOf(payload as WeekCount))}
          />
        ))}
      </BarChart>
    </ChartFrame>
  );
}
