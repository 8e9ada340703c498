import { answersAt, type OrderedRule } from './answersAt';
import type { Hours } from './hours';
import { nextBoundary, runningAt } from './running';
import type { TimeZone } from './timeZone';

/** Why a rule never answers: what it is about does not come, or other rules always come before it. */
export interface UnusedRule {
  readonly rule: OrderedRule;
  readonly why: 'neverApplies' | 'alwaysBeaten';
}

const yearsAhead = 2;
const dayMs = 86_400_000;

/** Rules that answer nobody in the two years from an instant on. Lists are not among them: somebody may always call. */
export function unusedRules(
  rules: readonly OrderedRule[],
  hours: Hours,
  zone: TimeZone,
  fromMs: number,
): readonly UnusedRule[] {
  const candidates = new Set(rules.filter(({ type }) => type !== 'callers'));
  const applied = new Set<OrderedRule>();
  const endMs = fromMs + yearsAhead * 366 * dayMs;
  for (let at = fromMs; at < endMs && candidates.size > 0; at = nextBoundary(hours, zone, at)) {
    const answer = answersAt(rules, hours, zone, at);
    const { spans, special } = runningAt(hours, zone, at);
    for (const rule of candidates) {
      if (rule.type === 'period' && spans.some(({ periodId }) => periodId === rule.periodId)) applied.add(rule);
      if (rule.type === 'special' && special && (rule.specialId ?? special.id) === special.id) applied.add(rule);
      const isWinner =
        (rule.type === 'period' && answer.type === 'period' && answer.periodId === rule.periodId) ||
        (rule.type === 'special' && answer.type === 'special' && answer.ruleOf === rule.specialId);
      if (isWinner) candidates.delete(rule);
    }
  }
  return [...candidates].map((rule) => ({ rule, why: applied.has(rule) ? 'alwaysBeaten' : 'neverApplies' }));
}
