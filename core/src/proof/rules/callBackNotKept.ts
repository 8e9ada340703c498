import { hearingsOf } from '../hearings';
import { isBoxHeard } from '../heardBoxes';
import { promisesIn } from '../reading/promises';
import { rememberBy } from '../remember';
import type { Found, ProofSubject, Rule } from '../rule';
import { spokenTexts, type SpokenText } from '../spokenTexts';

/** Words that say somebody will call back, where nothing is recorded, or in a box that nobody hears. */
export const callBackNotKept: Rule<'callBackNotKept'> = {
  name: 'callBackNotKept',
  grade: 'caution',
  consequence: 'unheard',
  find: (subject) =>
    spokenTexts(subject).flatMap((text): Found[] => {
      const [said] = promisesHere(text);
      const why = said && whyNot(subject, text);
      return why ? [{ at: text.at, facts: { words: said.words, why } }] : [];
    }),
};

const promisesHere = rememberBy(({ words, voice }: SpokenText) => promisesIn(words, voice, 'callBack'));

function whyNot(subject: ProofSubject, { place }: SpokenText): 'unheard' | 'nothing' | null {
  if (place.type === 'box') return isBoxHeard(subject, place.boxId) ? null : 'unheard';
  if (place.type !== 'step' && place.type !== 'words') return null;
  const hearings = hearingsOf(subject, place);
  const boxes = hearings.flatMap(({ nothing }) =>
    nothing.flatMap(({ end }) => (end.type === 'message' ? [end.boxId] : [])),
  );
  if (boxes.some((id) => !isBoxHeard(subject, id))) return 'unheard';
  // In a menu a key may take the message.
  const isAlone = hearings.length > 0 && hearings.every(({ keys }) => keys.size === 0);
  return isAlone && boxes.length === 0 && hearings.every(({ rings }) => !rings) ? 'nothing' : null;
}
