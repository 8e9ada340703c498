import type { Found, Grade, ProofSubject } from './rule';
import { rules, type RuleName } from './rules';

/** Something wrong with a draft, as data. */
export interface Finding extends Found {
  readonly rule: RuleName;
  readonly grade: Grade;
}

/** Reads an attendant: faults first, then what is worth a look. */
export function proof(subject: ProofSubject): readonly Finding[] {
  return rules.flatMap(({ name, grade, find }) =>
    find(subject).map((found): Finding => ({ rule: name, grade, ...found })),
  );
}

/** The findings that stop going on air. */
export function faultsIn(findings: readonly Finding[]): readonly Finding[] {
  return findings.filter(({ grade }) => grade === 'fault');
}
