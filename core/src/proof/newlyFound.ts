import { proof, type Finding } from './proof';
import { placeKey, type Consequence, type ProofSubject } from './rule';

/** What callers put up with, or never notice: no reason to ask whether somebody is sure. */
const borne: ReadonlySet<Consequence> = new Set(['waits', 'office']);

/**
 * What would break for callers once something around an attendant is otherwise, and is not broken now: faults, and cautions
 * by which they are lost, misled, brought to the wrong place or not heard; the worst first. What was wrong in that place by
 * the same rule before is no news.
 */
export function newlyFound(now: ProofSubject, then: ProofSubject): readonly Finding[] {
  const known = new Set(proof(now).map(ruleAndPlace));
  return proof(then).filter((finding) => breaks(finding) && !known.has(ruleAndPlace(finding)));
}

function breaks({ grade, consequence }: Finding): boolean {
  return grade === 'fault' || (grade === 'caution' && !borne.has(consequence));
}

const ruleAndPlace = ({ rule, at }: Finding): string => `${rule} ${placeKey(at)}`;
