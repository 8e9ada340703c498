import { messageDefaults, ringDefaults, type Step } from '../../line';
import { boxOf } from '../../directory';
import { hearingsOf, type Hearing } from '../hearings';
import { pathFix } from '../mend';
import { promisesIn } from '../reading/promises';
import { isAnybody, sameName } from '../reading/whom';
import { rememberBy } from '../remember';
import type { Found, ProofSubject, Rule } from '../rule';
import { spokenTexts, type SpokenText } from '../spokenTexts';

/** Words that tell callers to stay on the line, where whoever does reaches nobody, or somebody else than they say. */
export const stayNotKept: Rule<'stayNotKept'> = {
  name: 'stayNotKept',
  grade: 'caution',
  consequence: 'misled',
  find: (subject) =>
    spokenTexts(subject).flatMap((text): Found[] => {
      const [said] = promisesHere(text);
      if (!said) return [];
      const hearings = hearingsOf(subject, text.place);
      const { words, whom } = said;
      if (hearings.length > 0 && (hearings.every(({ rings }) => !rings) || hearings.some(isLeftWithNothing))) {
        return [{ at: text.at, facts: { words, whom, why: 'nobody' }, ...fixFor(subject, text, whom) }];
      }
      const meant = whom === '' || isAnybody(whom) ? undefined : meantBy(subject, whom);
      if (!meant || hearings.every((hearing) => ringsThem(hearing, meant.id))) return [];
      return [{ at: text.at, facts: { words, whom: meant.name, why: 'other' }, ...fixFor(subject, text, whom) }];
    }),
};

const promisesHere = rememberBy(({ words, voice }: SpokenText) => promisesIn(words, voice, 'stay'));

/** At hours at which nobody is there a message is as good. */
function isLeftWithNothing({ rings, nothing }: Hearing): boolean {
  return !rings && !nothing.some(({ end }) => end.type === 'message');
}

interface Meant {
  readonly id: string;
  readonly name: string;
  readonly step: Step;
}

/** The group, queue or person that words name. */
function meantBy({ people, groups, queues }: ProofSubject, whom: string): Meant | undefined {
  const group = groups.find(({ name }) => sameName(name, whom));
  if (group) return { ...group, step: { ...ringDefaults, type: 'ringGroup', groupId: group.id, seconds: null } };
  const queue = queues.find(({ name }) => sameName(name, whom));
  if (queue) return { ...queue, step: { type: 'waitInQueue', queueId: queue.id } };
  const person = people.find(({ name }) => sameName(name, whom));
  return person && { ...person, step: { ...ringDefaults, type: 'ring', personId: person.id } };
}

function ringsThem({ nothing }: Hearing, id: string): boolean {
  const steps = nothing.flatMap((leg) => leg.steps.map(({ step }) => step));
  return steps.some(
    (step) =>
      (step.type === 'ringGroup' && step.groupId === id) ||
      (step.type === 'waitInQueue' && step.queueId === id) ||
      (step.type === 'ring' && step.personId === id) ||
      // Who operates the line may be just them.
      step.type === 'ringOperator',
  );
}

/** Whoever presses nothing reaches whom the words name, else the operator; then a message is taken. */
function fixFor(subject: ProofSubject, { place }: SpokenText, whom: string): Partial<Found> {
  if (place.type !== 'words' || place.part === 'words') return {};
  // At night the phones on desks ring in vain: who is to be rung then is for the manager to say.
  if (hearingsOf(subject, place).some(({ closed }) => closed)) return {};
  const operator: Step | undefined = subject.line.operatorId ? { ...ringDefaults, type: 'ringOperator' } : undefined;
  const step = meantBy(subject, whom)?.step ?? operator;
  if (!step) return {};
  const own = step.type === 'ring' ? boxOf(subject.boxes, step.personId) : undefined;
  const path: readonly Step[] = own ? [step, { type: 'takeMessage', boxId: own.id, ...messageDefaults }] : [step];
  return pathFix(subject, { type: 'silence', sheetId: place.sheetId }, path);
}
