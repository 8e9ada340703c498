import type { Key, SheetId, Unpressed } from '../line';
import { openWeekHours, type DayRange, type Hours } from '../hours';
import type { AnsweredFigures } from './answered';
import { cameTo, changesBetween, type FateChange } from './came';
import { shareInterval } from './intervals';
import type { SheetPresses } from './pressed';
import type { WhenSums } from './sums';
import { whenFigures, type HourCell } from './when';

/** Something of the last four weeks that a manager would want to know. */
export type Worth =
  /** More, or fewer, are lost than in the four weeks before; surely so. */
  | { readonly type: 'lostChanged'; readonly change: FateChange }
  /** In an hour of the week far more are lost than in others. */
  | { readonly type: 'worstHour'; readonly hour: Pick<HourCell, 'weekday' | 'hour' | 'calls' | 'lost'> }
  /** Calls come while it is closed. */
  | { readonly type: 'whileClosed'; readonly calls: number; readonly of: number }
  /** Callers hang up in a menu. */
  | { readonly type: 'hangUps'; readonly sheetId: SheetId; readonly hungUp: number; readonly visits: number }
  | { readonly type: 'wrongKeys'; readonly sheetId: SheetId; readonly wrong: number; readonly visits: number }
  | { readonly type: 'slow'; readonly medianMs: number; readonly nineTenthsMs: number }
  | { readonly type: 'moreCalls'; readonly calls: number; readonly before: number }
  | { readonly type: 'unpressed'; readonly sheetId: SheetId; readonly key: Key; readonly days: number };

/** What the last four weeks came to, and the four before. */
export interface Recent {
  readonly span: DayRange;
  readonly recent: WhenSums;
  readonly before: WhenSums;
  readonly pressed: readonly SheetPresses[];
  readonly answered: AnsweredFigures;
}

/** What is seen of fewer calls may be chance. */
const leastCalls = 40;
const mostTold = 3;

/** The three things most worth knowing, those first that most callers feel. */
export function worthKnowing(facts: Recent, hours: Hours, unpressed: Unpressed | null): readonly Worth[] {
  const found = [
    ...lostChanged(facts),
    ...worstHour(facts),
    ...hangUps(facts),
    ...wrongKeys(facts),
    ...slow(facts),
    ...whileClosed(facts, hours),
    ...moreCalls(facts),
    ...unused(unpressed),
  ];
  return found
    .sort((one, other) => other.felt - one.felt)
    .slice(0, mostTold)
    .map(({ worth }) => worth);
}

/** `felt` is about how many callers of the four weeks have something of it. */
interface Weighed {
  readonly worth: Worth;
  readonly felt: number;
}

function lostChanged({ recent, before }: Recent): readonly Weighed[] {
  const [is, was] = [cameTo(recent), cameTo(before)];
  if (is.calls < leastCalls || was.calls < leastCalls) return [];
  const change = changesBetween(was, is).find(({ fate }) => fate === 'lost');
  if (!change || change.isUnsure) return [];
  return [{ worth: { type: 'lostChanged', change }, felt: 2 * is.calls * Math.abs(change.after - change.before) }];
}

function worstHour({ recent, span }: Recent): readonly Weighed[] {
  const figures = whenFigures(recent, span, span.to);
  const { worst } = figures;
  if (!worst || worst.lost < 4 || figures.calls < leastCalls) return [];
  const rest = (figures.lost - worst.lost) / Math.max(1, figures.calls - worst.calls);
  // More than chance would have it, with a share like that of all other hours.
  if (shareInterval(worst.lost, worst.calls).low <= rest) return [];
  return [{ worth: { type: 'worstHour', hour: worst }, felt: 2 * (worst.lost - rest * worst.calls) }];
}

function whileClosed({ recent, span }: Recent, hours: Hours): readonly Weighed[] {
  const figures = whenFigures(recent, span, span.to);
  const days = Array.from({ length: span.to - span.from + 1 }, (_, index) => span.from + index);
  const open = openWeekHours(hours, days);
  if (figures.calls < leastCalls || open.size === 0 || open.size === 168) return [];
  const calls = figures.hours.reduce((sum, cell, at) => sum + (open.has(at) ? 0 : cell.calls), 0);
  if (calls < 0.15 * figures.calls) return [];
  return [{ worth: { type: 'whileClosed', calls, of: figures.calls }, felt: calls / 4 }];
}

function hangUps({ pressed }: Recent): readonly Weighed[] {
  return pressed.flatMap(({ sheetId, visits, choices }): Weighed[] => {
    const hungUp = choices.find(({ choice }) => choice === 'hungUp')?.visits ?? 0;
    if (visits < leastCalls || hungUp < 0.12 * visits) return [];
    return [{ worth: { type: 'hangUps', sheetId, hungUp, visits }, felt: hungUp }];
  });
}

function wrongKeys({ pressed }: Recent): readonly Weighed[] {
  return pressed.flatMap(({ sheetId, visits, choices }): Weighed[] => {
    const wrong = choices.find(({ choice }) => choice === 'wrongKeys')?.visits ?? 0;
    if (visits < leastCalls || wrong < 0.05 * visits) return [];
    return [{ worth: { type: 'wrongKeys', sheetId, wrong, visits }, felt: wrong }];
  });
}

/** Half of all callers wait for longer than a minute. */
const slowMs = 60_000;

function slow({ answered }: Recent): readonly Weighed[] {
  const { medianMs, nineTenthsMs, reached } = answered;
  if (medianMs === null || nineTenthsMs === null || reached < leastCalls || medianMs < slowMs) return [];
  return [{ worth: { type: 'slow', medianMs, nineTenthsMs }, felt: reached / 4 }];
}

function moreCalls({ recent, before }: Recent): readonly Weighed[] {
  const [is, was] = [cameTo(recent).calls, cameTo(before).calls];
  if (Math.min(is, was) < leastCalls) return [];
  const times = is / was;
  if (times > 0.75 && times < 1.33) return [];
  return [{ worth: { type: 'moreCalls', calls: is, before: was }, felt: Math.abs(is - was) / 4 }];
}

function unused(unpressed: Unpressed | null): readonly Weighed[] {
  const [first] = unpressed?.keys ?? [];
  if (!unpressed || !first) return [];
  return [{ worth: { type: 'unpressed', ...first, days: unpressed.days }, felt: 1 }];
}
