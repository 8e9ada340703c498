import { callsOf, type Calls } from '../calls';
import { rememberBy } from '../remember';
import type { Found, Rule } from '../rule';
import { ringsReached, someoneWorks, type ReachedRing } from '../staffAt';

/** A step that rings people of whom nobody works at any time at which a call comes to it. */
export const nobodyWorking: Rule<'nobodyWorking'> = {
  name: 'nobodyWorking',
  grade: 'caution',
  consequence: 'lost',
  find: (subject) => inVain(callsOf(subject)),
};

const inVain = rememberBy((calls: Calls): readonly Found[] =>
  ringsReached(calls)
    .filter(({ step, when }) => !someoneWorks(calls.parts, step, momentsOf(when)))
    .map(({ slot, stepIndex }) => ({ at: { type: 'path', slot, stepIndex } })),
);

/** That somebody is there on a special date excuses nothing, where calls come on other days as well. */
function momentsOf(when: ReachedRing['when']): readonly number[] {
  const usual = when.flatMap((each) => each.usual);
  return usual.length > 0 ? usual : when.flatMap(({ moments }) => moments);
}
