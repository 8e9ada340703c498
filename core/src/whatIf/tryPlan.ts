import type { CallScript } from '../call';
import { weekdayOf, weekdays, type DayNumber, type DayRange, type Weekday } from '../hours';
import type { Who } from '../traffic';
import { chanceOf } from './chance';
import { plannedOn, type Change, type DayPlan } from './change';
import { RunCounter, noSums, type Charges, type RunSums, type Sums } from './figures';
import { learnHabits, type Habits } from './habits';
import type { LoggedCaller } from './loggedCaller';
import { meanOf, type Mean } from './meanOf';
import { callersOf, DayClock, playDay, type PlayedCall } from './playDay';

/** A trial of another plan on the callers of the log. */
export interface Trial {
  /** What calls go by now. */
  readonly script: CallScript;
  /** What they would go by before the changes: the draft, or the same. */
  readonly other: CallScript;
  readonly changes: readonly Change[];
  /** Of the span, all of the line. */
  readonly callers: readonly LoggedCaller[];
  readonly span: DayRange;
  readonly withinS: number;
  readonly charges: Charges | null;
  readonly runs: number;
  readonly seed: number;
}

/** A figure as it is, as it would be, and by how much they differ, in pairs of runs with the same callers. */
export interface Compared {
  readonly before: Mean;
  readonly after: Mean;
  readonly change: Mean;
}

/** Of the calls of a weekday, or of all. */
export interface PlanFigures {
  readonly calls: Compared;
  /** Shares of all calls, from 0 to 1. */
  readonly reached: Compared;
  readonly message: Compared;
  readonly missed: Compared;
  readonly gaveUp: Compared;
  /** Of those who were reached, how many within the seconds. */
  readonly within: Compared;
  /** Until somebody answered, in ms, on the average of those who were reached. */
  readonly toPersonMs: Compared;
  /** Of those who waited in a queue, how many were answered within the seconds of waiting; null where nobody waits. */
  readonly waitedWithin: Compared | null;
  /** In queues, in ms, on the average of those who waited; null where nobody does. */
  readonly waitedMs: Compared | null;
}

export interface BusyPerson {
  readonly who: Who;
  /** Talk in their busiest hour of the week as it is, or would be, whichever is more; a share of that hour. */
  readonly hour: number;
  readonly inHour: Compared;
  /** On a day, in ms. */
  readonly aDayMs: Compared;
}

export interface Tried extends PlanFigures {
  readonly runs: number;
  readonly days: number;
  readonly withinS: number;
  readonly byWeekday: readonly (PlanFigures & { readonly weekday: Weekday })[];
  /** A run's calls without rents; null without a rate card. In millionths of the currency. */
  readonly cost: Compared | null;
  readonly busy: readonly BusyPerson[];
  /** Menus to which nobody of the log has been: their keys are taken to be chosen alike. */
  readonly unknownMenus: readonly string[];
  readonly habits: Pick<Habits, 'callers' | 'inAnyQueue' | 'whileRinging'>;
}

export const mostRuns = 500;
export const usualRuns = 50;
/** A run is the last four weeks of the span, or all of a shorter one. */
const mostDays = 28;

/**
 * Runs the call machine and the exchange on the callers of the log, as it is and as it would be, run after run: each of the last
 * four weeks' days gets the callers of a day of the same weekday of the span, drawn anew in each run; both plans get the same
 * callers. Yields after each run how many are done, so that it can be stopped; the same seed gives the same result.
 */
export function* tryPlan(trial: Trial): Generator<number, Tried, undefined> {
  const habits = learnHabits(trial.callers);
  const days = daysOf(trial.span);
  const byDay = new Map<DayNumber, LoggedCaller[]>();
  for (const caller of trial.callers) {
    const of = byDay.get(caller.day);
    if (of) of.push(caller);
    else byDay.set(caller.day, [caller]);
  }
  const logged = loggedDays(trial, byDay);
  const zone = trial.script.lines.find(({ id }) => id === trial.script.lineId)?.timeZone ?? 'UTC';
  const clock = new DayClock(zone);
  const plans = new Map(weekdays.map((weekday) => [weekday, plansOn(trial, weekday)]));
  const [before, after]: [RunSums[], RunSums[]] = [[], []];
  for (let run = 0; run < trial.runs; run += 1) {
    const counters = [0, 1].map(
      () => new RunCounter(trial.withinS * 1000, trial.charges, days[0] ?? 0, trial.script.lineId),
    );
    for (const day of days) {
      const like = logged.get(weekdayOf(day)) ?? [];
      const drawn = like[Math.floor(chanceOf(trial.seed, run, day) * like.length)];
      const callers = (drawn !== undefined && byDay.get(drawn)) || [];
      const { now, then } = plans.get(weekdayOf(day)) ?? plansOn(trial, weekdayOf(day));
      const seed = Math.floor(chanceOf(trial.seed, run, day, 'callers') * 0xffff_ffff);
      const play = (plan: DayPlan): readonly PlayedCall[] =>
        playDay(plan, callersOf(day, callers, clock, seed, plan.callsShare), habits, trial.script);
      const was = play(now);
      counters[0]?.add(day, was);
      counters[1]?.add(day, then === now ? was : play(then));
    }
    counters.forEach((counter, index) => (index === 0 ? before : after).push(counter.sums()));
    yield run + 1;
  }
  return { ...figuresOf(trial, before, after, days.length), unknownMenus: unknownMenus(trial, habits), habits };
}

function plansOn(trial: Trial, weekday: Weekday): { readonly now: DayPlan; readonly then: DayPlan } {
  const now = plannedOn(trial.script, [], weekday);
  const then = plannedOn(trial.other, trial.changes, weekday);
  const isSame = then.script === now.script && then.away.length === 0 && then.callsShare === 1;
  return { now, then: isSame ? now : then };
}

function daysOf({ from, to }: DayRange): readonly DayNumber[] {
  const first = Math.max(from, to - mostDays + 1);
  return Array.from({ length: Math.max(0, to - first + 1) }, (_, index) => first + index);
}

/** The days of the span between the first and the last call of the log in it, by weekday. */
function loggedDays(
  { span }: Trial,
  byDay: ReadonlyMap<DayNumber, readonly LoggedCaller[]>,
): ReadonlyMap<Weekday, readonly DayNumber[]> {
  const all = [...byDay.keys()].filter((day) => day >= span.from && day <= span.to);
  const [first, last] = [Math.min(...all), Math.max(...all)];
  const days = new Map<Weekday, DayNumber[]>(weekdays.map((weekday) => [weekday, []]));
  for (let day = first; day <= last; day += 1) days.get(weekdayOf(day))?.push(day);
  return days;
}

function unknownMenus({ other }: Trial, { visits }: Habits): readonly string[] {
  return other.lines
    .filter(({ id }) => id === other.lineId)
    .flatMap(({ attendant }) => attendant.sheets)
    .filter((sheet) => sheet.type === 'menu' && !visits.has(sheet.id))
    .map(({ name }) => name);
}

function figuresOf(
  { withinS, runs }: Trial,
  before: readonly RunSums[],
  after: readonly RunSums[],
  days: number,
): Omit<Tried, 'unknownMenus' | 'habits'> {
  const costs = (sums: readonly RunSums[]): readonly number[] => sums.flatMap(({ cost }) => cost ?? []);
  return {
    runs,
    days,
    withinS,
    ...planFigures(
      before.map(({ all }) => all),
      after.map(({ all }) => all),
    ),
    byWeekday: weekdays.map((weekday) => ({
      weekday,
      ...planFigures(
        before.map(({ byWeekday }) => byWeekday.get(weekday) ?? noSums()),
        after.map(({ byWeekday }) => byWeekday.get(weekday) ?? noSums()),
      ),
    })),
    cost: costs(before).length > 0 ? compared(costs(before), costs(after)) : null,
    busy: busyOf(before, after, days),
  };
}

function planFigures(before: readonly Sums[], after: readonly Sums[]): PlanFigures {
  const of = (figure: (sums: Sums) => number): Compared => compared(before.map(figure), after.map(figure));
  const share = (part: (sums: Sums) => number): Compared => of((sums) => ratio(part(sums), sums.calls));
  const waits = [...before, ...after].some((sums) => sums.waits > 0);
  return {
    calls: of(({ calls }) => calls),
    reached: share(({ reached }) => reached),
    message: share(({ message }) => message),
    missed: share(({ missed }) => missed),
    gaveUp: share(({ gaveUpInQueue, gaveUpRinging, gaveUpInMenu }) => gaveUpInQueue + gaveUpRinging + gaveUpInMenu),
    within: of(({ within, reached }) => ratio(within, reached)),
    toPersonMs: of(({ toPersonMs, reached }) => ratio(toPersonMs, reached)),
    waitedWithin: waits ? of(({ waitedWithin, waits: count }) => ratio(waitedWithin, count)) : null,
    waitedMs: waits ? of(({ waitedMs, waits: count }) => ratio(waitedMs, count)) : null,
  };
}

function compared(before: readonly number[], after: readonly number[]): Compared {
  return {
    before: meanOf(before),
    after: meanOf(after),
    change: meanOf(after.map((value, index) => value - (before[index] ?? 0))),
  };
}

/** Of nothing there is no share: 0. */
function ratio(part: number, all: number): number {
  return all > 0 ? part / all : 0;
}

const hourMs = 3_600_000;

function busyOf(before: readonly RunSums[], after: readonly RunSums[], days: number): readonly BusyPerson[] {
  const everybody = new Set([...before, ...after].flatMap(({ talked }) => [...talked.keys()]));
  const weeks = days / 7;
  return [...everybody]
    .map((who): BusyPerson => {
      const total = (sums: readonly RunSums[], hour: number): number =>
        sums.reduce((sum, { talked }) => sum + (talked.get(who)?.get(hour) ?? 0), 0);
      const hours = new Set([...before, ...after].flatMap(({ talked }) => [...(talked.get(who)?.keys() ?? [])]));
      const most = (hour: number): number => Math.max(total(before, hour), total(after, hour));
      const hour = [...hours].reduce((best, each) => (most(each) > most(best) ? each : best), [...hours][0] ?? 0);
      const inHour = (sums: readonly RunSums[]): readonly number[] =>
        sums.map(({ talked }) => (talked.get(who)?.get(hour) ?? 0) / hourMs / Math.max(1, weeks));
      const aDay = (sums: readonly RunSums[]): readonly number[] =>
        sums.map(({ talked }) => [...(talked.get(who)?.values() ?? [])].reduce((sum, ms) => sum + ms, 0) / days);
      return {
        who,
        hour,
        inHour: compared(inHour(before), inHour(after)),
        aDayMs: compared(aDay(before), aDay(after)),
      };
    })
    .sort((one, other) => other.aDayMs.before.mean - one.aDayMs.before.mean);
}
