import type { BoxId, PersonId } from '../../directory';
import { pathAt } from '../../line';
import { isHeardByItself } from '../heardBoxes';
import type { Found, ProofSubject, Rule } from '../rule';
import { stepsOf } from '../steps';

/** A box that takes messages, and that nobody owns, is told of or can dial. */
export const boxUnheard: Rule<'boxUnheard'> = {
  name: 'boxUnheard',
  grade: 'caution',
  consequence: 'unheard',
  find: (subject) => {
    const used = new Set(
      stepsOf(subject, 'takeMessage')
        .filter(({ step }) => !step.tell || step.tell.length === 0)
        .map(({ step }) => step.boxId),
    );
    return subject.boxes
      .filter((box) => used.has(box.id) && !isHeardByItself(box))
      .map(({ id }): Found => {
        const ownerId = ownerFor(subject, id);
        return { at: { type: 'row', id }, ...(ownerId && { rowFix: { type: 'box', id, changes: { ownerId } } }) };
      });
  },
};

/** The one person who is rung before messages are left in it; else who operates the line, where that is a person. */
function ownerFor(subject: ProofSubject, boxId: BoxId): PersonId | null {
  const rung = stepsOf(subject, 'takeMessage')
    .filter(({ step }) => step.boxId === boxId)
    .flatMap(({ slot, stepIndex }) => (pathAt(subject.attendant, slot) ?? []).slice(0, stepIndex))
    .flatMap((step) => (step.type === 'ring' ? [step.personId] : []));
  const [only, ...others] = new Set(rung);
  const { operatorId } = subject.line;
  const chosen = only && others.length === 0 ? only : operatorId;
  return subject.people.find(({ id }) => id === chosen)?.id ?? null;
}
