import type { CallScript } from '../call';
import { proof, type Finding, type ProofSubject } from '../proof';

/** Everything the proof reads of the line that a script dials. Nothing is recorded, nobody has left. */
export function subjectOf(script: CallScript, changes: Partial<ProofSubject> = {}): ProofSubject {
  const line = script.lines.find(({ id }) => id === script.lineId);
  if (!line) throw new Error('The script has no such line');
  const { people, groups, queues, boxes, contacts, callerLists, greetings, outgoing } = script;
  const always = { serviceFrom: null, serviceUntil: null };
  return {
    attendant: line.attendant,
    line: { ...line, ...always, hoursId: line.hours.id, emergencyAddress: '1 Cannery Road, Larkspur Cove' },
    today: '2026-11-23',
    hours: line.hours,
    allHours: script.hours,
    people,
    groups,
    queues,
    boxes,
    contacts,
    callerLists,
    outgoing,
    greetings,
    takes: [],
    leavers: [],
    lines: script.lines.map(({ id, name, number, attendant }) => ({ id, name, number, ...always, onAir: attendant })),
    ...changes,
  };
}

/** What the proof finds in the attendant of the line that a script dials. */
export function proofOf(script: CallScript, changes: Partial<ProofSubject> = {}): readonly Finding[] {
  return proof(subjectOf(script, changes));
}
