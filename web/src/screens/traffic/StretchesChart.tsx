import { Box, Text } from '@chakra-ui/react';
import type { AnsweredFigures } from '@locutor/core/traffic';
import { Bar, BarChart, CartesianGrid, LabelList, ResponsiveContainer, XAxis, YAxis } from 'recharts';

const quiet = 'var(--chakra-colors-quiet)';

/** How many were answered after how long. */
export function StretchesChart({ figures: { stretches } }: { readonly figures: AnsweredFigures }) {
  const data = stretches.map(({ untilS, calls }, index) => ({
    calls,
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
            <Bar dataKey="calls" fill="var(--chakra-colors-petrol-solid)" isAnimationActive={false}>
              <LabelList dataKey="calls" position="top" fill="var(--chakra-colors-ink)" fontSize={12} />
            </Bar>
          </BarChart>
        </ResponsiveContainer>
      </Box>
    </Box>
  );
}

function nameOf(from: number, to: number | null): string {
  return to === null ? `over ${from}` : `${from}–${to}`;
}
