import type { AnsweringRule, Attendant } from '../attendant';
import { isRuleAt, slotOfRule, type RuleSlot } from '../slot';
import type { AddRule, MoveRule, RemoveRule } from './edit';
import { movedTo } from './sheetEdits';

/** Adds a rule at the top of the answering order. @throws Error when there is one for the same period or list. */
export function addRule(attendant: Attendant, { rule }: AddRule): Attendant {
  const { rules } = attendant.answering;
  if (findRule(attendant, slotOfRule(rule))) throw new Error('The answering order has such a rule already');
  return withRules(attendant, [rule, ...rules]);
}

export function removeRule(attendant: Attendant, { rule }: RemoveRule): Attendant {
  return withRules(
    attendant,
    attendant.answering.rules.filter((each) => !isRuleAt(each, rule)),
  );
}

/** @throws Error when there is no such rule. */
export function moveRule(attendant: Attendant, { rule, toIndex }: MoveRule): Attendant {
  const found = findRule(attendant, rule);
  if (!found) throw new Error('The answering order has no such rule');
  return withRules(attendant, movedTo(attendant.answering.rules, found, toIndex));
}

export function withRules(attendant: Attendant, rules: readonly AnsweringRule[]): Attendant {
  return { ...attendant, answering: { ...attendant.answering, rules } };
}

function findRule(attendant: Attendant, slot: RuleSlot): AnsweringRule | undefined {
  return attendant.answering.rules.find((rule) => isRuleAt(rule, slot));
}
