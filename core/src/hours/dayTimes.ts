import { right, wrong, type Result } from '../result';
import { minutesOfDay, type WeekSpan } from './week';
import { readTime, showTime, type TimeProblem } from './timeText';

export type DayTime = Pick<WeekSpan, 'startMin' | 'endMin'>;

export type DayTimesProblem = TimeProblem | { readonly type: 'notARange'; readonly text: string };

const noon = 720;

/**
 * Reads the times of one day as people type them, in English, French, Spanish and German: "8-12, 1pm-5:30",
 * "9 to 12.30", "8h-17h", "22:00-2:00" (over midnight), "24 hours", "closed" or "" for none. "8-5" is taken as eight to five
 * in the afternoon, "1-5pm" as both in the afternoon. Times that touch or overlap are joined.
 */
export function readDayTimes(text: string): Result<readonly DayTime[], DayTimesProblem> {
  const times: DayTime[] = [];
  if (never.test(text)) return right([]);
  if (always.test(text)) return right([{ startMin: 0, endMin: minutesOfDay }]);
  for (const part of text.split(/[,;&/+]|\b(?:and|und|et|y|then)\b/i)) {
    if (part.trim() === '') continue;
    const range = readRange(part);
    if (!range.ok) return range;
    times.push(range.value);
  }
  return right(joinTimes(times));
}

/** Times as they are typed, such as `8:00–12:00, 13:00–17:30`. */
export function showDayTimes(times: readonly DayTime[]): string {
  return times.map(({ startMin, endMin }) => `${showTime(startMin)}–${showTime(endMin)}`).join(', ');
}

/** Times in order, those that touch or overlap made one; none longer than a day, unless said otherwise. */
export function joinTimes(times: readonly DayTime[], longestMin: number = minutesOfDay): readonly DayTime[] {
  const joined: DayTime[] = [];
  for (const time of [...times].sort((one, other) => one.startMin - other.startMin)) {
    const last = joined.at(-1);
    if (!last || time.startMin > last.endMin) joined.push(time);
    else {
      const endMin = Math.min(Math.max(last.endMin, time.endMin), last.startMin + longestMin);
      joined[joined.length - 1] = { ...last, endMin };
    }
  }
  return joined;
}

/** Times less a stretch of time. What is left of one over midnight may begin after it: from 1440 on it is the next day's. */
export function cutTimes(times: readonly DayTime[], cut: DayTime): readonly DayTime[] {
  return times
    .flatMap((time): DayTime[] => [
      { startMin: time.startMin, endMin: Math.min(time.endMin, cut.startMin) },
      { startMin: Math.max(time.startMin, cut.endMin), endMin: time.endMin },
    ])
    .filter((time) => time.endMin > time.startMin);
}

function readRange(text: string): Result<DayTime, DayTimesProblem> {
  const ends = text
    .trim()
    .replace(/^(?:from|between|von|de|du|desde|ab)\b\s*/i, '')
    .split(/\s*(?:-|–|—|−|~|→|\b(?:to|until|till|til|through|bis|hasta)\b|(?<=[\d\sh])(?:à|a)(?=\s*\d))\s*/i);
  const [first, second] = ends;
  if (ends.length !== 2 || !first || !second) return wrong({ type: 'notARange', text: text.trim() });
  const start = readTime(withHalf(first, second));
  if (!start.ok) return start;
  const end = readTime(second);
  if (!end.ok) return end;
  if (start.value === minutesOfDay) return wrong({ type: 'noSuchTime', text: first });
  return right({ startMin: start.value, endMin: endAfter(start.value, end.value, saysHalf(second)) });
}

const never = /^\s*(?:closed|none|no|off|geschlossen|zu|fermé|cerrado|[-–—])\s*$/i;
const always =
  /^\s*(?:24\s*(?:h|hrs?|hours?|stunden|heures|horas)|24\s*\/\s*7|all\s+day|around\s+the\s+clock|rund\s+um\s+die\s+uhr|toute\s+la\s+journée|todo\s+el\s+día)\s*$/i;

/** "1-5pm" is from one in the afternoon: the half that only the end says is meant of both, where the start comes before it so. */
function withHalf(first: string, second: string): string {
  const half = /([ap])\.?\s?m?\.?$/i.exec(second.trim())?.[1];
  if (!half || saysHalf(first)) return first;
  const [start, end] = [first, second.replace(/\s*[ap]\.?\s?m?\.?$/i, '')].map((each) => readTime(each));
  if (!start?.ok || !end?.ok || start.value >= noon + 60 || start.value < 60) return first;
  return start.value % noon < end.value % noon ? `${first.trim()} ${half}m` : first;
}

/** Which end is meant: the same day's, the afternoon's ("8-5"), or, over midnight, the next day's. */
function endAfter(start: number, end: number, half: boolean): number {
  if (end > start) return end;
  const afternoon = end + noon;
  if (!half && end < noon && start < 18 * 60 && afternoon > start) return afternoon;
  return end + minutesOfDay;
}

function saysHalf(text: string): boolean {
  return /[ap]\.?m?\.?$|noon|midnight/i.test(text.trim());
}
