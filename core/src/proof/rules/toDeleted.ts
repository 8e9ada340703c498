import { isUnchosen, placedPaths, refersTo, type Edit, type PlacedStep, type Step } from '../../line';
import { withoutStep, withStep } from '../mend';
import { atSlot, type Found, type ProofSubject, type Rule } from '../rule';
import { remember, rememberBy } from '../remember';
import { stepsWhere } from '../steps';

/** A step to something that is no longer there, or an answer for a list of callers that was deleted. */
export const toDeleted: Rule<'toDeleted'> = {
  name: 'toDeleted',
  grade: 'fault',
  consequence: 'lost',
  find: (subject) => {
    const isThere = knownIn(subject);
    const rules = [...placedPaths(subject.attendant).values()].flatMap(({ slot }): Found[] =>
      slot.type === 'callers' && !isThere(slot.callerListId)
        ? [{ at: atSlot(slot), fix: { type: 'removeRule', rule: slot } }]
        : [],
    );
    const isFound = (step: Step): boolean => referredBy(step).some((id) => !isThere(id) && !isUnchosen(id));
    return [...rules, ...stepsWhere(subject, isFound, (placed) => fixFor(subject, placed, isFound))];
  },
};

const referredBy = rememberBy(refersTo);

function knownIn(subject: ProofSubject): (id: string) => boolean {
  const { people, groups, queues, boxes, contacts, greetings, lines, callerLists, allHours, attendant } = subject;
  const known = idsOf(people, groups, queues, boxes, contacts, greetings, lines, callerLists, allHours);
  const own = new Set<string>([...attendant.sheets, ...attendant.paths].map(({ id }) => id));
  return (id) => known.has(id) || own.has(id);
}

const idsOf = remember(
  (...lists: readonly (readonly { readonly id: string }[])[]): ReadonlySet<string> =>
    new Set(lists.flatMap((list) => list.map(({ id }) => id))),
);

/** Where only what is heard while it rings is gone, the ringback tone takes its place; other steps are taken out. */
function fixFor(
  subject: ProofSubject,
  { step, slot, stepIndex }: PlacedStep,
  isFound: (step: Step) => boolean,
): { readonly fix?: Edit } {
  if ('hear' in step && !isFound({ ...step, hear: { type: 'ringback' } })) {
    return withStep(subject, slot, stepIndex, { ...step, hear: { type: 'ringback' } });
  }
  if (step.type === 'takeMessage' && step.tell && !isFound({ ...step, tell: null })) {
    return withStep(subject, slot, stepIndex, { ...step, tell: null });
  }
  return withoutStep(subject, slot, stepIndex);
}
