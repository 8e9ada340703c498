import { callerListId } from '../directory';
import { hours as boatyardHours, lunch, open, zone } from '../testing/boatyard';
import { closedAllDay, instantOf, specialDateId, unusedRules, type Hours, type OrderedRule, type SpecialDate } from '.';

const now = instantOf('2026-11-24T09:00', zone);
const party: SpecialDate = {
  id: specialDateId.create('party'),
  name: 'Party',
  when: { type: 'once', from: '2026-12-18', to: '2026-12-18' },
  moved: 'stays',
  hours: closedAllDay,
  words: '',
};
const whileOpen: OrderedRule = { type: 'period', periodId: open.id };
const atLunch: OrderedRule = { type: 'period', periodId: lunch.id };
const anySpecial: OrderedRule = { type: 'special', specialId: null };
const ofParty: OrderedRule = { type: 'special', specialId: party.id };
const friends: OrderedRule = { type: 'callers', callerListId: callerListId.create('friends') };
const withLunch: Hours = {
  ...boatyardHours,
  week: [...boatyardHours.week, { periodId: lunch.id, day: 1, startMin: 720, endMin: 750 }],
  special: [party],
};

describe('rules that never answer', () => {
  const unused = (rules: readonly OrderedRule[], hours = withLunch) =>
    unusedRules(rules, hours, zone, now).map(({ rule, why }) => [rule, why]);

  it('are none where each has its time', () => {
    expect(unused([friends, ofParty, atLunch, whileOpen])).toEqual([]);
    expect(unused([anySpecial, atLunch, whileOpen])).toEqual([]);
  });

  it('are those that others always come before', () => {
    expect(unused([whileOpen, atLunch])).toEqual([[atLunch, 'alwaysBeaten']]);
    expect(unused([anySpecial, ofParty, whileOpen])).toEqual([[ofParty, 'alwaysBeaten']]);
    expect(unused([ofParty, anySpecial, whileOpen])).toEqual([[anySpecial, 'alwaysBeaten']]);
  });

  it('are those of periods that have no time, and of dates that are over', () => {
    expect(unused([atLunch, whileOpen], boatyardHours)).toEqual([[atLunch, 'neverApplies']]);
    const over: Hours = {
      ...withLunch,
      special: [{ ...party, when: { type: 'once', from: '2026-01-02', to: '2026-01-02' } }],
    };
    expect(unused([ofParty, whileOpen], over)).toEqual([[ofParty, 'neverApplies']]);
  });

  it('are never lists: somebody of them may always call', () => {
    expect(unused([friends], { ...boatyardHours, week: [] })).toEqual([]);
  });
});
