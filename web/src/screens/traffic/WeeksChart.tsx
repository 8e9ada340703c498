import { Box, Flex, Text } from '@chakra-ui/react';
import { showDate } from '@locutor/core/hours';
import type { WeekCount, WhenFigures } from '@locutor/core/traffic';
import { useNavigate } from 'react-router';
import { Bar, BarChart, CartesianGrid, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { showShortDay } from './showDays';

interface Props {
  readonly figures: WhenFigures;
  readonly asked: Readonly<Record<string, string>>;
}

const ink = 'var(--chakra-colors-ink)';
const quiet = 'var(--chakra-colors-quiet)';
const petrol = 'var(--chakra-colors-petrol-solid)';
const pale = 'var(--chakra-colors-petrol-emphasized)';
/** From the bottom up, told apart by lightness and texture of one hue. */
const parts = [
  { key: 'reached', name: 'reached somebody', fill: petrol },
  { key: 'message', name: 'left a message', fill: pale },
  { key: 'served', name: 'wanted nobody', fill: 'url(#weeks-served)' },
  { key: 'lost', name: 'lost', fill: 'url(#weeks-lost)' },
] as const;

/** Calls week by week, by what became of them. */
export function WeeksChart({ figures: { weeks }, asked }: Props) {
  const navigate = useNavigate();
  const open = ({ monday }: WeekCount): void => {
    const params = new URLSearchParams({ ...asked, from: showDate(monday), to: showDate(monday + 6) });
    void navigate(`/traffic/calls?${params.toString()}`);
  };
  const data = weeks.map((week) => ({ ...week, label: showShortDay(week.monday) }));
  return (
    <Box maxW="1080px">
      <Text asChild fontWeight="600" fontSize="15px" mb="2">
        <h2>Calls in each week</h2>
      </Text>
      <Flex gap="4" wrap="wrap" fontSize="12.5px" color="quiet" mb="1">
        {parts.map(({ key, name, fill }) => (
          <Flex key={key} align="center" gap="1.5">
            <svg width="14" height="12" aria-hidden>
              <Patterns />
              <rect width="14" height="12" fill={fill} stroke={petrol} />
            </svg>
            {name}
          </Flex>
        ))}
        <span>weeks begin on Monday</span>
      </Flex>
      <Box h="220px" role="figure" aria-label="Calls in each week, as a chart; the same figures follow as a table">
        <ResponsiveContainer width="100%" height="100%">
          <BarChart data={data} margin={{ top: 8, right: 4, bottom: 0, left: -18 }} barCategoryGap="18%">
            <defs>
              <Patterns />
            </defs>
            <CartesianGrid vertical={false} stroke="var(--chakra-colors-hairline)" />
            <XAxis
              dataKey="label"
              tick={{ fill: quiet, fontSize: 12 }}
              tickLine={false}
              stroke={quiet}
              minTickGap={16}
            />
            <YAxis allowDecimals={false} tick={{ fill: quiet, fontSize: 12 }} tickLine={false} axisLine={false} />
            <Tooltip
              cursor={{ fill: 'var(--chakra-colors-sunk)' }}
              contentStyle={{
                background: 'var(--chakra-colors-sheet)',
                borderColor: 'var(--chakra-colors-hairline)',
                color: ink,
              }}
              labelFormatter={(label) => `Week of ${String(label)}`}
            />
            {parts.map(({ key, name, fill }) => (
              <Bar
                key={key}
                dataKey={key}
                name={name}
                stackId="calls"
                fill={fill}
                stroke={petrol}
                isAnimationActive={false}
                cursor="pointer"
                onClick={({ payload }) => open(payload as WeekCount)}
              />
            ))}
          </BarChart>
        </ResponsiveContainer>
      </Box>
      <details>
        <Text asChild fontSize="13px" color="quiet" cursor="pointer">
          <summary>The figures as a table</summary>
        </Text>
        <WeeksTable weeks={weeks} />
      </details>
    </Box>
  );
}

function Patterns() {
  return (
    <>
      <pattern id="weeks-served" width="6" height="6" patternUnits="userSpaceOnUse">
        <rect width="6" height="6" fill="var(--chakra-colors-sheet)" />
        <circle cx="3" cy="3" r="1.2" fill={petrol} />
      </pattern>
      <pattern id="weeks-lost" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="6" height="6" fill="var(--chakra-colors-sheet)" />
        <rect width="2.4" height="6" fill={ink} />
      </pattern>
    </>
  );
}

function WeeksTable({ weeks }: { readonly weeks: readonly WeekCount[] }) {
  return (
    <Box asChild fontSize="13px" mt="2" css={{ '& td, & th': { paddingInline: '10px', textAlign: 'right' } }}>
      <table aria-label="Calls in each week">
        <thead>
          <tr>
            <th>Week from</th>
            <th>Calls</th>
            {parts.map(({ key, name }) => (
              <th key={key}>{name}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {weeks.map((week) => (
            <tr key={week.monday}>
              <th scope="row">
                {showShortDay(week.monday)}
                {week.isWhole ? '' : ' (not whole)'}
              </th>
              <td>{week.calls}</td>
              {parts.map(({ key }) => (
                <td key={key}>{week[key]}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </Box>
  );
}
