import type { FindingPlace, Grade, ProofSubject } from './rule';
import { rules, type RuleName } from './rules';

/** Something wrong with a draft, as data. */
export interface Finding {
  readonly rule: RuleName;
  readonly grade: Grade;
  readonly at: FindingPlace;
}

/** Reads an attendant for faults. */
export function proof(subject: ProofSubject): readonly Finding[] {
  return rules.flatMap((rule) => rule.find(subject).map((at): Finding => ({ rule: rule.name, grade: rule.grade, at })));
}
