import rruleModule from 'rrule';
import { best } from './best.mjs';

const { RRule, RRuleSet, datetime } = rruleModule;
const zone = 'America/New_York';
const year = { fromMs: Date.UTC(2027, 0, 1, 5), toMs: Date.UTC(2028, 0, 1, 5) };
const dayMs = 86_400_000;

/** What answers at an instant, by sixty rules, and a whole year of it; against a common recurrence library. */
export function benchHours(core, row) {
  const { answersAt, answerSpans } = core('hours');
  const { hours, rules } = sixtyRules();
  const instants = Array.from({ length: 200_000 }, (_, index) => year.fromMs + (index % 5000) * 6_307_000);
  let hits = 0;
  const ms = best(5, () => {
    for (const atMs of instants) if (answersAt(rules, hours, zone, atMs).type !== 'otherwise') hits += 1;
  });
  const perSecond = (instants.length / ms) * 1000;
  const theirs = recurrences(hours);
  const sample = instants.slice(0, 200);
  const theirMs = best(2, () => {
    for (const atMs of sample) hits += runsByLibrary(theirs, atMs) ? 1 : 0;
  });
  const theirPerSecond = (sample.length / theirMs) * 1000;
  row(
    'What answers at an instant, 60 rules, a second',
    Math.round(perSecond).toLocaleString('en'),
    `aim: 1,000,000; rrule asked the same: ${Math.round(theirPerSecond).toLocaleString('en')}`,
  );
  let spans = 0;
  // A copy each time, so that nothing is remembered from the time before.
  const spansMs = best(5, () => (spans = answerSpans(rules, { ...hours }, zone, year.fromMs, year.toMs).length));
  const libraryMs = best(3, () => allOfYear(recurrences(hours)));
  row(
    'A year of what answers',
    `${spansMs.toFixed(1)} ms`,
    `${spans} stretches; aim: under 5 ms; rrule expanding the same rules: ${libraryMs.toFixed(0)} ms`,
  );
  if (hits === 0) throw new Error('Nothing answered');
}

function sixtyRules() {
  const periods = Array.from({ length: 20 }, (_, index) => ({ id: `period:p${index}`, name: `Period ${index}` }));
  const week = periods.flatMap(({ id }, index) => [
    { periodId: id, day: (index % 7) + 1, startMin: 420 + 10 * index, endMin: 720 + 10 * index },
    { periodId: id, day: ((index + 3) % 7) + 1, startMin: 780, endMin: 1020 },
  ]);
  const special = Array.from({ length: 40 }, (_, index) => ({
    id: `special:s${index}`,
    name: `Date ${index}`,
    when: { type: 'yearly', month: (index % 12) + 1, day: ((index * 5) % 28) + 1, days: 1 },
    moved: 'stays',
    hours: { type: 'closed', startMin: 0, endMin: 1440 },
    words: '',
  }));
  const hours = { id: 'hours:bench', name: 'Bench', periods, week, datedWeeks: [], seasons: [], special };
  const rules = [
    ...special.map(({ id }) => ({ type: 'special', specialId: id })),
    ...periods.map(({ id }) => ({ type: 'period', periodId: id })),
  ];
  return { hours, rules };
}

/** The same as RFC 5545 rules, in local time: each with how long it lasts. */
function recurrences({ week, special }) {
  const weekdays = [RRule.MO, RRule.TU, RRule.WE, RRule.TH, RRule.FR, RRule.SA, RRule.SU];
  return [
    ...special.map(({ when }) => ({
      lastsMs: dayMs,
      rule: new RRule({
        freq: RRule.YEARLY,
        dtstart: datetime(2026, when.month, when.day),
        bymonth: when.month,
        bymonthday: when.day,
      }),
    })),
    ...week.map(({ day, startMin, endMin }) => ({
      lastsMs: (endMin - startMin) * 60_000,
      rule: new RRule({
        freq: RRule.WEEKLY,
        dtstart: datetime(2026, 1, 1, Math.floor(startMin / 60), startMin % 60),
        byweekday: weekdays[day - 1],
      }),
    })),
  ];
}

function runsByLibrary(rules, atMs) {
  const at = new Date(atMs - 5 * 3_600_000);
  return rules.some(({ rule, lastsMs }) => {
    const began = rule.before(at, true);
    return began && at.getTime() - began.getTime() < lastsMs;
  });
}

function allOfYear(rules) {
  const set = new RRuleSet();
  for (const { rule } of rules) set.rrule(rule);
  return set.between(new Date(year.fromMs), new Date(year.toMs)).length;
}
