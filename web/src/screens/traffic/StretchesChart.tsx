import type { AnsweredFigures } from '@locutor/core/traffic';
import { useNavigate } from 'react-router';
import { Bar, BarChart, CartesianGrid, LabelList, XAxis, YAxis } from 'recharts';
import { callsBehind, type BehindAsked } from './behind';
import { ChartFrame } from './chart/ChartFrame';
import { ink, petrol } from './chart/fills';
import { chartLook } from './chart/look';
import { FiguresTable } from './FiguresTable';

interface Props {
  readonly figures: AnsweredFigures;
  readonly asked: BehindAsked;
}

/** How many were answered after how long. */
export function StretchesChart({ figures: { stretches }, asked }: Props) {
  const navigate = useNavigate();
  const data = stretches.map(({ untilS, calls }, index) => ({
    calls,
    to: callsBehind({
      ...asked,
      ...(index > 0 && { afterS: String(stretches[index - 1]?.untilS ?? 0) }),
      ...(untilS !== null && { untilS: String(untilS) }),
    }),
    label: nameOf(stretches[index - 1]?.untilS ?? 0, untilS),
  }));
  return (
    <ChartFrame
      title="Callers who were answered after so many seconds"
      says={data.map(({ label, calls }) => `${label}: ${calls}`).join('; ')}
      height={210}
      table={
        <FiguresTable
          title="Callers who were answered after so many seconds, as figures"
          head={['Seconds', 'Callers']}
          rows={data.map(({ label, calls, to }) => ({ key: label, name: label, figures: [String(calls)], to }))}
        />
      }
    >
      <BarChart
        data={data}
        margin={{ top: 18, right: 4, bottom: 0, left: -18 }}
        barCategoryGap="14%"
        accessibilityLayer={false}
      >
        <CartesianGrid vertical={false} {...chartLook.grid} />
        <XAxis dataKey="label" interval={0} {...chartLook.names} />
        <YAxis allowDecimals={false} {...chartLook.measure} />
        <Bar
          dataKey="calls"
          fill={petrol}
          isAnimationActive={false}
          cursor="pointer"
          onClick={({ payload }) => void navigate((payload as { to: string }).to)}
        >
          <LabelList dataKey="calls" position="top" fill={ink} fontSize={12} />
        </Bar>
      </BarChart>
    </ChartFrame>
  );
}

function nameOf(from: number, to: number | null): string {
  return to === null ? `over ${from}` : `${from}–${to}`;
}
