import { groupId } from '../../directory';
import { peopleById } from '../people';
import type { ProofSubject, Rule } from '../rule';
import { stepsWhere } from '../steps';

/** A step that rings the operator of a line for which nobody is named, or a group with nobody in it. */
export const noOperator: Rule<'noOperator'> = {
  name: 'noOperator',
  grade: 'caution',
  consequence: 'lost',
  find: (subject) => (isNamed(subject) ? [] : stepsWhere(subject, ({ type }) => type === 'ringOperator')),
};

function isNamed({ line: { operatorId }, groups, people }: ProofSubject): boolean {
  if (operatorId === null) return false;
  if (!groupId.is(operatorId)) return peopleById(people).has(operatorId);
  return groups.some(({ id, members }) => id === operatorId && members.length > 0);
}
