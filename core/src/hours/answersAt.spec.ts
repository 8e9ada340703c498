import { hours, lunch, nuisance, open, slipHolders, zone } from '../testing/boatyard';
import {
  answersAt,
  answerSpans,
  explainAnswer,
  isSameAnswer,
  nextChange,
  nextTurn,
  type Answer,
  type OrderedRule,
} from './answersAt';
import type { Hours } from './hours';
import { seasonId, specialDateId } from './ids';
import type { SpecialDate } from './specialDate';
import type { Switch } from './switch';
import { instantOf } from './timeZone';

const at = (reading: string): number => instantOf(reading, zone);
const monday = at('2026-11-23T10:00');
const sunday = at('2026-11-22T10:00');
const hourMs = 3_600_000;

const period = (periodId = open.id): OrderedRule => ({ type: 'period', periodId });
const callers = (list = slipHolders): OrderedRule => ({ type: 'callers', callerListId: list.id });
const special = (specialId: SpecialDate['id'] | null = null): OrderedRule => ({ type: 'special', specialId });
const lists = (...all: readonly { readonly id: typeof slipHolders.id }[]) => ({
  callerLists: new Set(all.map(({ id }) => id)),
});

const regatta: SpecialDate = {
  id: specialDateId.create('regatta'),
  name: 'Town regatta',
  when: { type: 'once', from: '2026-11-23', to: '2026-11-23' },
  moved: 'stays',
  hours: { type: 'closed', startMin: 0, endMin: 1440 },
  words: '',
};
const inventory: SpecialDate = {
  ...regatta,
  id: specialDateId.create('inventory'),
  name: 'Inventory',
  when: { type: 'once', from: '2026-11-24', to: '2026-11-24' },
};
const withLunch: Hours = {
  ...hours,
  week: [...hours.week, { periodId: lunch.id, day: 1, startMin: 600, endMin: 660 }],
};
const onRegatta: Hours = { ...hours, special: [regatta, inventory] };
const closedNow: Switch = {
  to: { type: 'closed' },
  fromMs: monday - hourMs,
  untilMs: monday + hourMs,
  words: '',
  by: 'Noor',
};

describe('what answers at an instant', () => {
  const type = (rules: readonly OrderedRule[], of: Hours = hours, more = {}): string =>
    answersAt(rules, of, zone, monday, more).type;

  it('is the first rule of those that apply', () => {
    expect(answersAt([period(lunch.id), period()], withLunch, zone, monday)).toMatchObject({ periodId: lunch.id });
    expect(answersAt([period(), period(lunch.id)], withLunch, zone, monday)).toMatchObject({ periodId: open.id });
    expect(answersAt([callers(), period()], hours, zone, monday, lists(slipHolders))).toEqual({
      type: 'callers',
      callerListId: slipHolders.id,
    });
    expect(type([period(), callers()], hours, lists(slipHolders))).toBe('period');
  });

  it('tells by which stretch of the day a period answers', () => {
    expect(answersAt([period()], hours, zone, monday)).toMatchObject({ span: { startMin: 480, endMin: 1050 } });
  });

  it('is a list’s only for callers who are in it', () => {
    expect(type([callers()])).toBe('otherwise');
    expect(type([callers()], hours, lists(nuisance))).toBe('otherwise');
    expect(answersAt([callers(nuisance), callers()], hours, zone, monday, lists(slipHolders, nuisance))).toMatchObject({
      callerListId: nuisance.id,
    });
  });

  it('is a special date’s own rule, or that of any, whichever comes first', () => {
    const answer = (...rules: OrderedRule[]): Answer => answersAt(rules, onRegatta, zone, monday);
    expect(answer(special(regatta.id), special())).toEqual({
      type: 'special',
      specialId: regatta.id,
      ruleOf: regatta.id,
    });
    expect(answer(special(), special(regatta.id))).toEqual({ type: 'special', specialId: regatta.id, ruleOf: null });
    expect(answer(special(inventory.id)).type).toBe('otherwise');
    expect(answer(period()).type).toBe('otherwise');
    expect(type([special()])).toBe('otherwise');
  });

  it('is the switch’s while it is on, from its first ms up to its last', () => {
    const isOn = (atMs: number): boolean =>
      answersAt([period()], hours, zone, atMs, { switched: closedNow }).type === 'switch';
    expect([monday - hourMs - 1, monday - hourMs, monday + hourMs - 1, monday + hourMs].map(isOn)).toEqual([
      ...[false, true, true, false],
    ]);
    expect(answersAt([], hours, zone, monday, { switched: closedNow })).toEqual({
      type: 'switch',
      to: { type: 'closed' },
      untilMs: closedNow.untilMs,
    });
    expect(type([period()], hours, { switched: null })).toBe('period');
  });
});

describe('the explanation of an answer', () => {
  const verdicts = (...[rules, of = hours, atMs = monday, more = {}]: Parameters<typeof explain>): readonly string[] =>
    explain(rules, of, atMs, more).verdicts.map(({ is }) => is);
  const explain = (rules: readonly OrderedRule[], of: Hours = hours, atMs = monday, more = {}) =>
    explainAnswer(rules, of, zone, atMs, more);

  it('says of each rule whether it wins, is beaten or does not apply, and of “otherwise” last', () => {
    expect(verdicts([callers(), period(lunch.id), period()], withLunch)).toEqual([
      ...['doesNotApply', 'wins', 'beaten', 'beaten'],
    ]);
    expect(verdicts([period(lunch.id), period()], hours, sunday)).toEqual(['doesNotApply', 'doesNotApply', 'wins']);
    expect(verdicts([callers(), period()], hours, monday, lists(slipHolders))).toEqual(['wins', 'beaten', 'beaten']);
    expect(verdicts([])).toEqual(['wins']);
  });

  it('names the rule of each verdict, and none for “otherwise”', () => {
    const rules = [callers(), period()];
    expect(explain(rules).verdicts.map(({ rule }) => rule)).toEqual([...rules, null]);
  });

  it('gives the same answer as is given without it, and what runs', () => {
    for (const week of [hours, withLunch, onRegatta]) {
      for (const atMs of [monday, sunday, at('2026-11-24T10:00')]) {
        const rules = [special(regatta.id), period(lunch.id), period(), special()];
        expect(explain(rules, week, atMs).answer).toEqual(answersAt(rules, week, zone, atMs));
      }
    }
    expect(
      explain([period()], withLunch)
        .running.spans.map(({ periodId }) => periodId)
        .sort(),
    ).toEqual([lunch.id, open.id].sort());
  });

  it('has the switch beat them all, “otherwise” too, while it is on', () => {
    expect(explain([period()], hours, monday, { switched: closedNow }).answer.type).toBe('switch');
    expect(verdicts([period(), callers()], hours, monday, { switched: closedNow })).toEqual([
      ...['beaten', 'doesNotApply', 'beaten'],
    ]);
    expect(verdicts([period()], hours, monday + 2 * hourMs, { switched: closedNow })).toEqual(['wins', 'beaten']);
  });
});

describe('two answers', () => {
  const span = { periodId: open.id, startMin: 480, endMin: 1050 } as never;
  const all: readonly Answer[] = [
    { type: 'period', periodId: open.id, span },
    { type: 'period', periodId: lunch.id, span },
    { type: 'callers', callerListId: slipHolders.id },
    { type: 'callers', callerListId: nuisance.id },
    { type: 'special', specialId: regatta.id, ruleOf: null },
    { type: 'special', specialId: regatta.id, ruleOf: regatta.id },
    { type: 'special', specialId: inventory.id, ruleOf: null },
    { type: 'switch', to: { type: 'closed' }, untilMs: 1 },
    { type: 'switch', to: { type: 'closed' }, untilMs: 2 },
    { type: 'otherwise' },
  ];

  it('are the same only where they are of the same line, and of the same special date', () => {
    all.forEach((one, index) =>
      all.forEach((other, place) =>
        expect([index, place, isSameAnswer(one, other)]).toEqual([index, place, index === place]),
      ),
    );
  });

  it('are the same where a period answers by another stretch of the day', () => {
    const later = { type: 'period', periodId: open.id, span: { startMin: 0, endMin: 1 } as never } as const;
    expect(isSameAnswer(all[0] as Answer, later)).toBe(true);
  });
});

describe('the next change', () => {
  const next = (...[rules, of = hours, atMs = monday, switched = null]: Parameters<typeof change>) =>
    change(rules, of, atMs, switched);
  const change = (rules: readonly OrderedRule[], of: Hours = hours, atMs = monday, switched: Switch | null = null) =>
    nextChange(rules, of, zone, atMs, switched);

  it('is when another line answers, not when something changes that no line is about', () => {
    expect(next([period()], withLunch)).toMatchObject({ atMs: at('2026-11-23T17:30'), answer: { type: 'otherwise' } });
    expect(next([period(lunch.id), period()], withLunch)).toMatchObject({ atMs: at('2026-11-23T11:00') });
    expect(next([period()], hours, sunday)).toMatchObject({ atMs: at('2026-11-23T08:00'), answer: { type: 'period' } });
  });

  it('never comes where nothing changes, and is not looked for where only callers’ lists answer', () => {
    expect(next([])).toBeUndefined();
    expect(next([callers(), callers(nuisance)])).toBeUndefined();
    expect(next([period()], { ...hours, week: [] })).toBeUndefined();
    expect(next([callers(), period()])?.atMs).toBe(at('2026-11-23T17:30'));
  });

  it('is looked for years ahead where there are special dates or seasons', () => {
    const leap: SpecialDate = { ...regatta, when: { type: 'once', from: '2032-03-01', to: '2032-03-01' } };
    const quiet: Hours = { ...hours, week: [] };
    expect(next([special()], { ...quiet, special: [leap] })?.atMs).toBe(at('2032-03-01T00:00'));
    const summer = {
      ...{ id: seasonId.create('summer'), name: 'Summer', week: hours.week },
      ...{ from: { month: 6, day: 1 }, to: { month: 8, day: 31 } },
    };
    expect(next([period()], { ...quiet, seasons: [summer] })?.atMs).toBe(at('2027-06-01T08:00'));
  });

  it('is when the switch begins or ends, even where nothing else ever changes', () => {
    expect(next([period()], hours, monday, closedNow)).toMatchObject({
      atMs: monday + hourMs,
      answer: { type: 'period' },
    });
    expect(next([], hours, monday, closedNow)).toMatchObject({ atMs: monday + hourMs, answer: { type: 'otherwise' } });
    const later = { ...closedNow, fromMs: monday + 600_000 };
    expect(next([period()], hours, monday, later)).toMatchObject({
      atMs: monday + 600_000,
      answer: { type: 'switch' },
    });
    expect(next([], hours, monday + 2 * hourMs, closedNow)).toBeUndefined();
  });

  it('is looked for from one boundary to the next', () => {
    expect(nextTurn(hours, zone, monday)).toBe(at('2026-11-23T17:30'));
    expect(nextTurn(hours, zone, monday, closedNow)).toBe(monday + hourMs);
    expect(nextTurn(hours, zone, monday - 2 * hourMs, closedNow)).toBe(monday - hourMs);
    expect(nextTurn(hours, zone, monday + hourMs, closedNow)).toBe(at('2026-11-23T17:30'));
  });
});

describe('what answers from one instant to another', () => {
  const spans = (fromMs: number, toMs: number, switched: Switch | null = null) =>
    answerSpans([period()], hours, zone, fromMs, toMs, switched).map(({ fromMs: from, toMs: to, answer }) => [
      ...[from, to, answer.type],
    ]);
  const [eight, half] = [at('2026-11-23T08:00'), at('2026-11-23T17:30')];

  it('is a row of stretches that meet, from the first instant to the last', () => {
    const [from, to] = [at('2026-11-23T00:00'), at('2026-11-24T00:00')];
    expect(spans(from, to)).toEqual([
      [from, eight, 'otherwise'],
      [eight, half, 'period'],
      [half, to, 'otherwise'],
    ]);
    expect(spans(monday, monday + hourMs)).toEqual([[monday, monday + hourMs, 'period']]);
  });

  it('ends where a stretch ends that ends there, and is nothing for no time at all', () => {
    expect(spans(eight, half)).toEqual([[eight, half, 'period']]);
    expect(spans(half, half)).toEqual([]);
    expect(spans(half, eight)).toEqual([]);
  });

  it('has the switch in it for as long as it is on', () => {
    expect(spans(eight, half, closedNow)).toEqual([
      [eight, monday - hourMs, 'period'],
      [monday - hourMs, monday + hourMs, 'switch'],
      [monday + hourMs, half, 'period'],
    ]);
  });
});
