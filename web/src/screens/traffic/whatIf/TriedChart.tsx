import type { PlanFigures, Compared } from '@locutor/core/whatIf';
import { percent } from '@locutor/core/traffic';
import { Bar, BarChart, CartesianGrid, ErrorBar, Tooltip, XAxis, YAxis } from 'recharts';
import { ChartFrame, type ChartPart } from '../chart/ChartFrame';
import { fills, ink, petrol, Textures } from '../chart/fills';
import { chartLook } from '../chart/look';

const parts: readonly (ChartPart & { readonly key: 'before' | 'after' })[] = [
  { key: 'before', name: 'as it is', fill: 'pale' },
  { key: 'after', name: 'as it would be', fill: 'solid' },
];
const rowPx = 48;

interface Props {
  readonly figures: PlanFigures;
  readonly withinS: number;
  /** Of which days, as "Saturdays"; of all where it is not said. */
  readonly on?: string | undefined;
}

/** What becomes of callers under both plans: shares, and between what they lie. */
export function TriedChart({ figures, withinS, on }: Props) {
  const { reached, within, gaveUp, missed, message, waitedWithin } = figures;
  const shares: readonly (readonly [string, Compared])[] = [
    ['reach somebody', reached],
    [`… within ${withinS} s, of them`, within],
    ...(waitedWithin ? [[`out of a queue within ${withinS} s`, waitedWithin] as const] : []),
    ['give up', gaveUp],
    ['are missed', missed],
    ['leave a message', message],
  ];
  const data = shares.map(([name, { before, after }]) => ({
    name,
    before: before.mean,
    after: after.mean,
    beforeSpread: spreadOf(before),
    afterSpread: spreadOf(after),
  }));
  return (
    <ChartFrame
      title={on ? `Of all who call on ${on}, how many …` : 'Of all callers, how many …'}
      parts={parts}
      legend={<span>the thin lines: between what each lies, with 95% certainty</span>}
      height={data.length * rowPx + 34}
    >
      <BarChart data={data} layout="vertical" margin={{ top: 4, right: 20, bottom: 0, left: 0 }} barCategoryGap="24%">
        <Textures />
        <CartesianGrid horizontal={false} {...chartLook.grid} />
        <XAxis
          type="number"
          domain={[0, 1]}
          ticks={[0, 0.25, 0.5, 0.75, 1]}
          tickFormatter={(share) => percent(Number(share), 1)}
          {...chartLook.measure}
        />
        <YAxis type="category" dataKey="name" width={190} interval={0} {...chartLook.names} />
        <Tooltip {...chartLook.tooltip} formatter={(share) => percent(Number(share), 1)} />
        {parts.map(({ key, name, fill }) => (
          <Bar key={key} dataKey={key} name={name} fill={fills[fill]} stroke={petrol} isAnimationActive={false}>
            <ErrorBar dataKey={`${key}Spread`} direction="x" width={4} stroke={ink} />
          </Bar>
        ))}
      </BarChart>
    </ChartFrame>
  );
}

/** How far down and how far up from the mean. */
function spreadOf({ mean, between: { low, high } }: Compared['before']): readonly [number, number] {
  return [Math.max(0, mean - Math.max(0, low)), Math.max(0, Math.min(1, high) - mean)];
}
