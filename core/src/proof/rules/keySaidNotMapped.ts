import { findSheet, type Key } from '../../line';
import { hearingsOf } from '../hearings';
import type { Found, ProofSubject, Rule } from '../rule';
import { keysIn, spokenTexts, type SpokenText } from '../spokenTexts';

/** Words that tell callers to press a key which does nothing there. */
export const keySaidNotMapped: Rule<'keySaidNotMapped'> = {
  name: 'keySaidNotMapped',
  grade: 'caution',
  consequence: 'misled',
  find: (subject) => {
    const told = new Set<string>();
    return spokenTexts(subject).flatMap((text): Found[] => {
      const said = keysIn(text);
      const taken = said.length > 0 ? keysTaken(subject, text) : null;
      if (!taken) return [];
      return said.flatMap(({ key, words }): Found[] => {
        const at = `${JSON.stringify(text.at)} ${key}`;
        if (taken.has(key) || told.has(at)) return [];
        told.add(at);
        return [{ at: text.at, facts: { key, words }, ...exitBy(subject, text, key) }];
      });
    });
  },
};

/** Of a queue that callers cannot leave: the key that its words promise. */
function exitBy({ queues }: ProofSubject, { place }: SpokenText, key: Key): Pick<Found, 'rowFix'> {
  if (place.type !== 'queueEntry' && place.type !== 'queueWaiting') return {};
  const queue = queues.find(({ id }) => id === place.queueId);
  if (!queue || queue.exitKey !== null) return {};
  return { rowFix: { type: 'queue', id: queue.id, changes: { exitKey: key } } };
}

/** The keys that have a use where words are heard; null where nobody hears them. */
function keysTaken(subject: ProofSubject, { place }: SpokenText): ReadonlySet<Key> | null {
  if (place.type === 'words' || place.type === 'option') {
    const sheet = findSheet(subject.attendant, place.sheetId);
    if (sheet?.type === 'menu') return new Set(sheet.options.map(({ key }) => key));
  }
  const hearings = hearingsOf(subject, place);
  return hearings.length === 0 ? null : new Set(hearings.flatMap(({ keys }) => [...keys]));
}
