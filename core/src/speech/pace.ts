import { tuningLimits } from '../line';
import { estimateMs } from './timing';

/** Nobody hears less than that. */
const noticed = 8;

/**
 * The pace at which a voice goes with recordings beside it, in percent of its usual one; null where that is about its own,
 * or nothing is recorded.
 *
 * @param ownPace the pace at which the voice speaks now, in percent
 */
export function paceBeside(
  recorded: readonly { readonly text: string; readonly lengthMs: number }[],
  ownPace: number,
): number | null {
  const spokenMs = recorded.reduce((sum, { text }) => sum + estimateMs(text), 0);
  const heardMs = recorded.reduce((sum, { lengthMs }) => sum + lengthMs, 0);
  if (heardMs === 0 || spokenMs === 0) return null;
  const { least, most } = tuningLimits.pace;
  const pace = Math.round(Math.min(most, Math.max(least, (100 * spokenMs) / heardMs)) / 5) * 5;
  return Math.abs(pace - ownPace) < noticed ? null : pace;
}
