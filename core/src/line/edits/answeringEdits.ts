import type { Attendant } from '../attendant';
import type { AddRule, MoveRule, RemoveRule } from './edit';
import { movedTo } from './sheetEdits';

/** Adds a rule at the top of the answering order. @throws Error when the period has one already. */
export function addRule(attendant: Attendant, { periodId, path }: AddRule): Attendant {
  const { rules } = attendant.answering;
  if (rules.some((rule) => rule.periodId === periodId)) throw new Error(`Period ${periodId} has a rule already`);
  return { ...attendant, answering: { ...attendant.answering, rules: [{ periodId, path }, ...rules] } };
}

export function removeRule(attendant: Attendant, { periodId }: RemoveRule): Attendant {
  const rules = attendant.answering.rules.filter((rule) => rule.periodId !== periodId);
  return { ...attendant, answering: { ...attendant.answering, rules } };
}

/** @throws Error when the period has no rule. */
export function moveRule(attendant: Attendant, { periodId, toIndex }: MoveRule): Attendant {
  const { rules } = attendant.answering;
  const rule = rules.find((each) => each.periodId === periodId);
  if (!rule) throw new Error(`Period ${periodId} has no rule`);
  return { ...attendant, answering: { ...attendant.answering, rules: movedTo(rules, rule, toIndex) } };
}
