import { isHeardByItself } from '../heardBoxes';
import type { Found, Rule } from '../rule';
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
      .map(({ id }): Found => ({ at: { type: 'row', id } }));
  },
};
