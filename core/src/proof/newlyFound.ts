import { proof, type Finding } from './proof';
import { placeKey, type ProofSubject } from './rule';

/**
 * What callers would meet once something around an attendant is otherwise, and do not meet now: faults and cautions, the
 * worst first. What was wrong in that place by the same rule before is no news, and what only the office notices is left
 * out.
 */
export function newlyFound(now: ProofSubject, then: ProofSubject): readonly Finding[] {
  const known = new Set(proof(now).map(ruleAndPlace));
  return proof(then).filter(
    (finding) => finding.grade !== 'tip' && finding.consequence !== 'office' && !known.has(ruleAndPlace(finding)),
  );
}

const ruleAndPlace = ({ rule, at }: Finding): string => `${rule} ${placeKey(at)}`;
