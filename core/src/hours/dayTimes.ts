import { right, wrong, type Result } from '../result';
import { minutesOfDay, type WeekSpan } from './week';
import { readTime, showTime, type TimeProblem } from './timeText';

export type DayTime = Pick<WeekSpan, 'startMin' | 'endMin'>;

export type DayTimesProblem = TimeProblem | { readonly type: 'notARange'; readonly text: string };

const noon = 720;

/**
 * Reads the times of one day as people type them: "8-12, 1pm-5:30", "22:00-2:00" (over midnight), "" for none.
 * "8-5" is taken as eight to five in the afternoon. Times that touch or overlap are joined.
 */
export function readDayTimes(text: string): Result<readonly DayTime[], DayTimesProblem> {
  const times: DayTime[] = [];
  for (const part of text.split(/[,;&]|\band\b/i)) {
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
  const ends = text.split(/\s*(?:-|–|—|\bto\b|\buntil\b)\s*/i);
  const [first, second] = ends;
  if (ends.length !== 2 || !first || !second) return wrong({ type: 'notARange', text: text.trim() });
  const start = readTime(first);
  if (!start.ok) return start;
  const end = readTime(second);
  if (!end.ok) return end;
  if (start.value === minutesOfDay) return wrong({ type: 'noSuchTime', text: first });
  return right({ startMin: start.value, endMin: endAfter(start.value, end.value, saysHalf(second)) });
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
