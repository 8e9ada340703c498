import type { Names } from '@locutor/core/line';
import type { RingEnd, WorkOf } from '@locutor/core/traffic';
import { useNavigate } from 'react-router';
import { Bar, BarChart, CartesianGrid, Tooltip, XAxis, YAxis } from 'recharts';
import { targetNameOf } from './answeredWords';
import { callsBehind, type BehindAsked } from './behind';
import { ChartFrame, type ChartPart } from './chart/ChartFrame';
import { fills, petrol, Textures } from './chart/fills';
import { chartLook } from './chart/look';

interface Props {
  readonly work: readonly WorkOf[];
  readonly names: Names;
  readonly asked: BehindAsked;
}

const parts: readonly (ChartPart & { readonly key: RingEnd })[] = [
  { key: 'answered', name: 'answered', fill: 'solid' },
  { key: 'declined', name: 'declined', fill: 'dots' },
  { key: 'letRing', name: 'let ring', fill: 'darkStripes' },
  { key: 'stopped', name: 'had no time to', fill: 'pale' },
];
const rowPx = 26;

/** How often each was rung, and how that ended; in the order in which they are given. */
export function RungChart({ work, names, asked }: Props) {
  const navigate = useNavigate();
  const data = work.map((each) => ({ ...each, name: targetNameOf(each.who, names) }));
  return (
    <ChartFrame
      title="How often each was rung, and how that ended"
      parts={parts}
      height={data.length * rowPx + 34}
      maxW="980px"
    >
      <BarChart
        data={data}
        layout="vertical"
        margin={{ top: 4, right: 12, bottom: 0, left: 0 }}
        barCategoryGap="22%"
        maxBarSize={20}
      >
        <Textures />
        <CartesianGrid horizontal={false} {...chartLook.grid} />
        <XAxis type="number" allowDecimals={false} tickFormatter={showCount} {...chartLook.measure} />
        <YAxis type="category" dataKey="name" width={172} interval={0} {...chartLook.names} />
        <Tooltip {...chartLook.tooltip} formatter={showCount} />
        {parts.map(({ key, name, fill }) => (
          <Bar
            key={key}
            dataKey={key}
            name={name}
            stackId="rung"
            fill={fills[fill]}
            stroke={petrol}
            isAnimationActive={false}
            cursor="pointer"
            onClick={({ payload }) =>
              void navigate(callsBehind({ ...asked, who: (payload as WorkOf).who, ringEnd: key }))
            }
          />
        ))}
      </BarChart>
    </ChartFrame>
  );
}

function showCount(count: unknown): string {
  return Number(count).toLocaleString();
}
