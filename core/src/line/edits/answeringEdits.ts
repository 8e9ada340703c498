import type { AnsweringRule, Attendant } from '../attendant';
import { isRuleAt, slotOfRule, type RuleSlot } from '../slot';
import type { AddRule, MoveRule, RemoveRule } from './edit';
import { movedTo } from './sheetEdits';

/**
 * Adds a rule to the answering order, where such rules usually stand: callers first, then special dates, those named
 * before any other, then periods. @throws Error when there is one for the same period or list. */
export function addRule(attendant: Attendant, { rule }: AddRule): Attendant {
  const { rules } = attendant.answering;
  if (findRule(attendant, slotOfRule(rule))) throw new Error('The answering order has such a rule already');
  const at = rules.findIndex((each) => rankOf(each) >= rankOf(rule));
  const index = at < 0 ? rules.length : at;
  return withRules(attendant, [...rules.slice(0, index), rule, ...rules.slice(index)]);
}

function rankOf(rule: AnsweringRule): number {
  switch (rule.type) {
    case 'callers':
      return 0;
    case 'special':
      return rule.specialId ? 1 : 2;
    case 'period':
      return 3;
  }
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
