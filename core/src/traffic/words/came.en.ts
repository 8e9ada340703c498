import type { CameTo, FateChange } from '../came';
import { percent } from './when.en';

const fateWords = {
  reached: 'reached somebody',
  message: 'left a message',
  lost: 'hung up or reached nobody',
} as const;

/** What calls came to, in a sentence. */
export function describeCame({ calls, byFate }: CameTo): string {
  if (calls === 0) return 'Nobody called.';
  const { reached, message, served, lost } = byFate;
  const parts = [
    `${percent(reached, calls)} reached somebody`,
    `${percent(message, calls)} left a message`,
    ...(served > 0 ? [`${percent(served, calls)} heard what they called for`] : []),
  ];
  const total = `${calls.toLocaleString('en')} ${calls === 1 ? 'call' : 'calls'}`;
  return `Of ${total}, ${parts.join(', ')}, and ${percent(lost, calls)} hung up or reached nobody.`;
}

/** How much more or less, with how sure that is. */
export function describeChange({ fate, before, after, low, high, isUnsure }: FateChange): string {
  const what = fateWords[fate];
  const [was, is] = [Math.round(100 * before), Math.round(100 * after)];
  if (isUnsure) return `${is}% ${what}, ${was}% before: too few calls to tell whether that is more than chance.`;
  const more = low > 0;
  const [least, most] = more ? [low, high] : [-high, -low];
  const points = (share: number): number => Math.max(1, Math.round(100 * share));
  const by = points(least) === points(most) ? `${points(most)}` : `between ${points(least)} and ${points(most)}`;
  return `${is}% ${what}, ${was}% before: ${by} points ${more ? 'more' : 'fewer'}.`;
}
