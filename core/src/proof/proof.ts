import { placeKey, type Consequence, type Found, type Grade, type ProofSubject } from './rule';
import { rules, type RuleName } from './rules';

/** Something wrong with a draft, as data. */
export interface Finding extends Found {
  readonly rule: RuleName;
  readonly grade: Grade;
  readonly consequence: Consequence;
  /** Tells findings apart, and knows one again: the same rule, the same place, the same facts. */
  readonly key: string;
}

/** Somebody's yes to a caution, or a tip that was silenced. */
export interface Accepted {
  /** The key of the finding. */
  readonly key: string;
}

/**
 * Reads an attendant: in the order of the rules, what loses a caller first. Rules remember what they reckoned from
 * parts that did not change, so that reading again after an edit is quick.
 */
export function proof(subject: ProofSubject): readonly Finding[] {
  return rules.flatMap(({ name, grade, consequence, find }) =>
    find(subject).map((found): Finding => ({ rule: name, grade, consequence, key: keyOf(name, found), ...found })),
  );
}

function keyOf(rule: RuleName, { at, facts }: Found): string {
  const known = Object.values(facts ?? {}).join(' ');
  return [rule, placeKey(at), known].filter((part) => part !== '').join(' | ');
}

/** The findings that stop going on air. */
export function faultsIn(findings: readonly Finding[]): readonly Finding[] {
  return findings.filter(({ grade }) => grade === 'fault');
}

/** Cautions that nobody has said yes to. */
export function unansweredIn(findings: readonly Finding[], accepted: readonly Accepted[]): readonly Finding[] {
  const keys = new Set(accepted.map(({ key }) => key));
  return findings.filter(({ grade, key }) => grade === 'caution' && !keys.has(key));
}

/** What is still to be looked at: all but cautions and tips that were settled. */
export function openIn(findings: readonly Finding[], accepted: readonly Accepted[]): readonly Finding[] {
  const keys = new Set(accepted.map(({ key }) => key));
  return findings.filter(({ grade, key }) => grade === 'fault' || !keys.has(key));
}
