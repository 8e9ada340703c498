import { readKeypad, type NamePart, type Person } from '../../directory';
import { remember } from '../remember';
import type { Found, ProofSubject, Rule } from '../rule';
import { stepsOf } from '../steps';

/** People whom callers who spell a name cannot tell apart by its first three letters. */
export const keypadCollision: Rule<'keypadCollision'> = {
  name: 'keypadCollision',
  grade: 'tip',
  consequence: 'wrongPlace',
  find: (subject) =>
    searchedBy(subject).flatMap(({ by, at }) =>
      reportOf(subject.people, by).collisions.map(({ keys, people }): Found => ({
        at,
        facts: { keys, people: namesOf(subject, people) },
      })),
    ),
};

/** By which parts of their names people are searched for, and where first. */
export function searchedBy(subject: ProofSubject): readonly { readonly by: NamePart; readonly at: Found['at'] }[] {
  const first = new Map<NamePart, Found['at']>();
  for (const { step, slot, stepIndex } of stepsOf(subject, 'searchByName')) {
    if (!first.has(step.by)) first.set(step.by, { type: 'path', slot, stepIndex });
  }
  return [...first].map(([by, at]) => ({ by, at }));
}

export const reportOf = remember((people: readonly Person[], by: NamePart) => readKeypad(people, by));

function namesOf({ people }: ProofSubject, ids: readonly string[]): string {
  return ids.map((id) => people.find((person) => person.id === id)?.name ?? '').join(', ');
}
