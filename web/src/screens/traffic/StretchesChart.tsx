import { Box, Text } from '@chakra-ui/react';
import type { AnsweredFigures } from '@locutor/core/traffic';
import { useNavigate } from 'react-router';
import { Bar, BarChart, CartesianGrid, LabelList, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { callsBehind, type BehindAsked } from './behind';
import { FiguresTable } from './FiguresTable';

const quiet = 'var(--chakra-colors-quiet)';

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
  const says = data.map(({ label, calls }) => `${label}: ${calls}`).join('; ');
  return (
    <Box maxW="820px">
      <Text asChild fontWeight="600" fontSize="15px" mb="2">
        <h2>Callers who were answered after so many seconds</h2>
      </Text>
      <Box h="210px" role="img" aria-label={says}>
        <ResponsiveContainer width="100%" height="100%">
          <BarChart
            data={data}
            margin={{ top: 18, right: 4, bottom: 0, left: -18 }}
            barCategoryGap="14%"
            accessibilityLayer={false}
          >
            <CartesianGrid vertical={false} stroke="var(--chakra-colors-hairline)" />
            <XAxis dataKey="label" tick={{ fill: quiet, fontSize: 12 }} tickLine={false} stroke={quiet} interval={0} />
            <YAxis allowDecimals={false} tick={{ fill: quiet, fontSize: 12 }} tickLine={false} axisLine={false} />
            <Bar
              dataKey="calls"
              fill="var(--chakra-colors-petrol-solid)"
              isAnimationActive={false}
              cursor="pointer"
              onClick={({ payload }) => void navigate((payload as { to: string }).to)}
            >
              <LabelList dataKey="calls" position="top" fill="var(--chakra-colors-ink)" fontSize={12} />
            </Bar>
          </BarChart>
        </ResponsiveContainer>
      </Box>
      <details>
        <Text asChild fontSize="13px" color="quiet" cursor="pointer">
          <summary>The figures as a table</summary>
        </Text>
        <FiguresTable
          title="Callers who were answered after so many seconds, as figures"
          head={['Seconds', 'Callers']}
          rows={data.map(({ label, calls, to }) => ({ key: label, name: label, figures: [String(calls)], to }))}
        />
      </details>
    </Box>
  );
}

function nameOf(from: number, to: number | null): string {
  return to === null ? `over ${from}` : `${from}–${to}`;
}
