import type { AnsweredFigures } from '../answered';
import { percent } from './when.en';

/** Fewer than this tell nothing of the others. */
const fewCalls = 10;

/** How long it took until somebody answered, in a sentence or two. */
export function describeAnswered(figures: AnsweredFigures): string {
  const { calls, reached, lost, medianMs, nineTenthsMs, within, withinS } = figures;
  if (calls === 0) return 'Nobody called.';
  const others =
    lost === 0
      ? ''
      : ` ${lost.toLocaleString('en')} ${lost === 1 ? 'caller' : 'callers'} reached nobody and left no message.`;
  if (reached === 0 || medianMs === null || nineTenthsMs === null) return `Nobody was reached.${others}`;
  if (reached < fewCalls) {
    return `${reached} ${reached === 1 ? 'caller' : 'callers'} reached somebody: too few to tell how long it usually takes.${others}`;
  }
  return `Half of the callers who reached somebody waited less than ${saySeconds(medianMs)}, nine in ten less than ${saySeconds(nineTenthsMs)}; ${percent(within, reached)} were answered within ${withinS} s of the line picking up.${others}`;
}

/** "22 s", "1 min 5 s"; rounded up, since it is said to be less. */
export function saySeconds(ms: number): string {
  const seconds = Math.ceil(ms / 1000);
  if (seconds < 60) return `${seconds} s`;
  const rest = seconds % 60;
  return rest === 0 ? `${Math.floor(seconds / 60)} min` : `${Math.floor(seconds / 60)} min ${rest} s`;
}
