import { readDate, unusedRules, wallInstant, type Hours, type OrderedRule, type TimeZone } from '../../hours';
import { zoneOf } from '../facts';
import { remember } from '../remember';
import { atSlot, type Rule } from '../rule';

/**
 * A rule of the answering order that answers nobody in the two years ahead. What it says was meant to be heard: nothing is
 * offered that would take it away.
 */
export const ruleUnused: Rule<'ruleUnused'> = {
  name: 'ruleUnused',
  grade: 'caution',
  consequence: 'office',
  find: ({ attendant, hours, line, today }) =>
    unused(attendant.answering.rules, hours, zoneOf(line), today).map(({ rule, why }) => ({
      at: atSlot(rule),
      facts: { why },
    })),
};

/** By what the rules are about: other paths in them change nothing. */
const unused = (() => {
  const byAbout = remember((about: string, hours: Hours, zone: TimeZone, today: string) =>
    unusedRules(JSON.parse(about) as OrderedRule[], hours, zone, wallInstant(zone, readDate(today) ?? 0, 0)),
  );
  return (rules: readonly OrderedRule[], hours: Hours, zone: TimeZone, today: string) => {
    const about = rules.map((rule): OrderedRule => {
      if (rule.type === 'period') return { type: 'period', periodId: rule.periodId };
      return rule.type === 'callers'
        ? { type: 'callers', callerListId: rule.callerListId }
        : { type: 'special', specialId: rule.specialId };
    });
    return byAbout(JSON.stringify(about), hours, zone, today);
  };
})();
