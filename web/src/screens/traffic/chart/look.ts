import { ink, quiet } from './fills';

const tick = { fill: quiet, fontSize: 12 };

/** What all charts of Traffic have in common. */
export const chartLook = {
  grid: { stroke: 'var(--chakra-colors-hairline)' },
  /** The axis that names things. */
  names: { tick, tickLine: false, stroke: quiet },
  /** The axis that measures. */
  measure: { tick, tickLine: false, axisLine: false },
  tooltip: {
    cursor: { fill: 'var(--chakra-colors-sunk)' },
    contentStyle: {
      background: 'var(--chakra-colors-sheet)',
      borderColor: 'var(--chakra-colors-hairline)',
      color: ink,
    },
  },
} as const;
