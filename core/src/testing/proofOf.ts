import type { CallScript } from '../call';
import { proof, type Finding, type ProofSubject } from '../proof';

/** What the proof finds in the attendant of the line that a script dials. */
export function proofOf(script: CallScript, changes: Partial<ProofSubject> = {}): readonly Finding[] {
  const line = script.lines.find(({ id }) => id === script.lineId);
  if (!line) throw new Error('The script has no such line');
  const { attendant, hours, number } = line;
  const { people, groups, queues, boxes, contacts, callerLists, greetings, lines } = script;
  const today = '2026-11-23';
  return proof({
    attendant,
    number,
    today,
    hours,
    people,
    groups,
    queues,
    boxes,
    contacts,
    callerLists,
    greetings,
    lines,
    ...changes,
  });
}
