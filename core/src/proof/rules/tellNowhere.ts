import { isHeardByItself } from '../heardBoxes';
import type { Tell } from '../../directory';
import { withStep } from '../mend';
import { peopleById } from '../people';
import type { Found, ProofSubject, Rule } from '../rule';
import { stepsOf } from '../steps';

/** A message that is announced by e-mail or text to somebody who has no address or mobile for it. */
export const tellNowhere: Rule<'tellNowhere'> = {
  name: 'tellNowhere',
  grade: 'caution',
  consequence: 'unheard',
  find: (subject) => {
    const steps = stepsOf(subject, 'takeMessage');
    const used = new Set(steps.filter(({ step }) => !step.tell).map(({ step }) => step.boxId));
    const ofBoxes = subject.boxes
      .filter(({ id }) => used.has(id))
      .flatMap((box) =>
        unreachable(subject, box.tell).map((facts): Found => {
          const tell = box.tell.filter((each) => unreachable(subject, [each]).length === 0);
          const isHeard = isHeardByItself({ ...box, tell });
          const rowFix = { type: 'box', id: box.id, changes: { tell } } as const;
          return { at: { type: 'row', id: box.id }, facts, ...(isHeard && { rowFix }) };
        }),
      );
    const ofSteps = steps.flatMap(({ step, slot, stepIndex }) =>
      unreachable(subject, step.tell ?? []).map(({ name, by }): Found => {
        const left = (step.tell ?? []).filter((tell) => unreachable(subject, [tell]).length === 0);
        const fix = withStep(subject, slot, stepIndex, { ...step, tell: left.length > 0 ? left : null });
        return { at: { type: 'path', slot, stepIndex }, facts: { name, by }, ...fix };
      }),
    );
    return [...ofBoxes, ...ofSteps];
  },
};

function unreachable(
  { people }: ProofSubject,
  tell: readonly Tell[],
): readonly { readonly name: string; readonly by: 'text' | 'email' }[] {
  return tell.flatMap(({ personId, by }) => {
    const person = peopleById(people).get(personId);
    const address = by === 'text' ? person?.mobile : person?.email;
    return address ? [] : [{ name: person?.name ?? 'somebody who has left', by: by === 'text' ? by : 'email' }];
  });
}
