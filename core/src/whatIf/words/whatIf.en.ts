import { showAmount, type Currency } from '../../cost';
import { showTime, weekdayName, type Weekday } from '../../hours';
import type { Names } from '../../line';
import type { Change } from '../change';
import type { Compared, PlanFigures, Tried } from '../tryPlan';

/** What a plan is, as the beginning of a sentence: "With one more member in Parts on Saturdays". */
export function describePlan(isDraft: boolean, changes: readonly Change[], names: Names): string {
  const parts = [...(isDraft ? ['with the draft'] : []), ...changes.map((change) => describeChange(change, names))];
  const [first = 'as it is', ...rest] = parts;
  const all = [first, ...rest].reduce((said, part, index, every) =>
    index === every.length - 1 && every.length > 1 ? `${said} and ${part}` : `${said}, ${part}`,
  );
  return all.charAt(0).toUpperCase() + all.slice(1);
}

function describeChange(change: Change, names: Names): string {
  const nameOf = (id: string): string => names[id] ?? 'somebody who is gone';
  return `${said(change, nameOf)}${onDays(change.on)}`;
}

function said(change: Change, named: (id: string) => string): string {
  const nameOf = (id: string | null): string => (id === null ? 'some group or queue' : named(id));
  switch (change.type) {
    case 'calls':
      return change.percent < 0 ? `with ${-change.percent}% fewer calls` : `with ${change.percent}% more calls`;
    case 'moreMembers':
      return `with ${change.who ? nameOf(change.who) : 'one more member'} in ${nameOf(change.of)}`;
    case 'fewerMembers':
      return `without ${change.who ? nameOf(change.who) : 'somebody'} in ${nameOf(change.of)}`;
    case 'away':
      return `with ${change.who ? nameOf(change.who) : 'somebody'} away`;
    case 'seconds':
      return secondsSaid(change, nameOf(change.of));
    case 'mostCallers':
      return `with at most ${change.to} callers waiting in ${nameOf(change.of)}`;
    case 'queueForGroup':
      return `with a queue instead of the group ${nameOf(change.of)}`;
    case 'open':
      return `open from ${showTime(change.fromMin)} to ${showTime(change.toMin)}`;
  }
}

function secondsSaid({ what, to }: Extract<Change, { type: 'seconds' }>, name: string): string {
  switch (what) {
    case 'memberSeconds':
      return `with each member of ${name} rung for ${to} s`;
    case 'restSeconds':
      return `with ${to} s of rest after calls of ${name}`;
    case 'longestWaitSeconds':
      return `with callers waiting in ${name} for at most ${to} s`;
  }
}

function onDays(on: readonly Weekday[]): string {
  if (on.length === 0 || on.length === 7) return '';
  const days = [...on].sort((one, other) => one - other).map((day) => `${weekdayName(day)}s`);
  if (days.join() === 'Mondays,Tuesdays,Wednesdays,Thursdays,Fridays') return ' on weekdays';
  const last = days.at(-1) ?? '';
  return ` on ${days.length > 1 ? `${days.slice(0, -1).join(', ')} and ${last}` : last}`;
}

const tenths = [
  ...['hardly any', 'one in ten', 'two in ten', 'three in ten', 'four in ten', 'half', 'six in ten', 'seven in ten'],
  ...['eight in ten', 'nine in ten', 'nearly all'],
] as const;

function inTenths(share: number): string {
  return tenths[Math.round(10 * Math.min(1, Math.max(0, share)))] ?? '';
}

/** The sentence that a manager would tell the owner. */
export function describeTried(tried: Tried, plan: string, only: Weekday | null, currency: Currency | null): string {
  const figures = tried.byWeekday.find(({ weekday }) => weekday === only) ?? tried;
  if (figures.calls.before.mean === 0 && figures.calls.after.mean === 0) {
    return 'Nobody called on these days, so there is nothing to try a plan on. Choose days with calls.';
  }
  const when = only && !plan.includes(`${weekdayName(only)}s`) ? ` on ${weekdayName(only)}s` : '';
  const parts = [...withinSaid(figures, tried.withinS), ...sharesSaid(figures)];
  const what = parts.length > 0 ? parts.join(', and ') : 'nothing changes for callers that could be told from chance';
  return `${plan}, ${what}${when}; ${costSaid(tried, currency)}.`;
}

/** How soon callers are answered: those who wait in a queue first, whom most plans are for. */
function withinSaid({ within, waitedWithin }: PlanFigures, withinS: number): readonly string[] {
  if (waitedWithin && isSure(waitedWithin)) {
    const [was, is] = instead(waitedWithin);
    return [`${is} of those who wait in a queue are answered within ${withinS} s instead of ${was}`];
  }
  if (!isSure(within) || Math.abs(within.change.mean) < 0.02) return [];
  const [was, is] = instead(within);
  return [`${is} of those who reach somebody do so within ${withinS} s instead of ${was}`];
}

/** In tenths, where those differ; else in percent. */
function instead({ before, after }: Compared): readonly [string, string] {
  const [was, is] = [inTenths(before.mean), inTenths(after.mean)];
  return was === is ? [percent(before.mean), percent(after.mean)] : [was, is];
}

function sharesSaid({ reached, message }: PlanFigures): readonly string[] {
  if (isSure(reached)) {
    return [`${percent(reached.after.mean)} of callers reach somebody instead of ${percent(reached.before.mean)}`];
  }
  if (!isSure(message)) return [];
  return [`${percent(message.after.mean)} leave a message instead of ${percent(message.before.mean)}`];
}

/** Whether a change is more than chance, and enough to speak of. */
function isSure({ change }: Compared): boolean {
  const { low, high } = change.between;
  return (low > 0 || high < 0) && Math.abs(change.mean) >= 0.005;
}

function costSaid({ cost, days }: Tried, currency: Currency | null): string {
  if (!cost || currency === null) return 'what it costs is not known without a rate card';
  const { mean, between } = cost.change;
  const cent = 10_000;
  const isNothing = (between.low <= 0 && between.high >= 0) || Math.abs(mean) < cent;
  if (isNothing) return 'it costs nothing more';
  const amount = showAmount(Math.abs(mean), currency, 'en');
  return `its calls cost ${amount} ${mean > 0 ? 'more' : 'less'} in ${days === 7 ? 'a week' : `${days} days`}`;
}

function percent(share: number): string {
  const rounded = Math.round(100 * share);
  if (rounded === 0 && share > 0) return 'under 1%';
  return rounded === 100 && share < 1 ? 'over 99%' : `${rounded}%`;
}
