import { groupDefaults, groupId, type Group } from '../directory';
import { hoursId, type Hours } from '../hours';
import { applyEdit, ringDefaults, type Edit, type Path } from '../line';
import { noor } from '../testing/boatyard';
import { onKey1 } from '../testing/flaws';
import { holidayHours, leaveMessage, soundAttendant, soundSubject } from '../testing/soundOffice';
import { proof } from '.';

const ownHours: Hours = {
  ...holidayHours,
  id: hoursId.create('mornings'),
  name: 'Mornings',
  week: holidayHours.week.map((span) => ({ ...span, endMin: span.startMin + 120 })),
};
const loft: Group = {
  ...groupDefaults,
  id: groupId.create('loft'),
  name: 'Loft',
  members: [{ personId: noor.id, tier: 1 }],
  hoursId: ownHours.id,
};

/** What the proof finds of a group that says this outside its hours, where this comes of it then. */
function foundIn(closedWords: string, closedPath: Path, more: Partial<Group> = {}): readonly string[] {
  const edits: readonly Edit[] = [
    onKey1({ ...ringDefaults, type: 'ringGroup', groupId: loft.id, seconds: null }, ...leaveMessage),
    { type: 'setPath', slot: { type: 'groupClosed', groupId: loft.id, reason: 'closed' }, path: closedPath },
  ];
  const subject = soundSubject(edits.reduce(applyEdit, soundAttendant), {});
  const office = {
    ...subject,
    groups: [...subject.groups, { ...loft, closedWords, ...more }],
    allHours: [...subject.allHours, ownHours],
  };
  return proof(office).flatMap(({ rule, at }) => (at.type === 'row' && at.id === loft.id ? [rule] : []));
}

describe('the words of a group that is closed', () => {
  it('may promise a message where one is taken then, and not where the call ends', () => {
    const words = 'The loft is closed. Please leave a message after the tone.';
    expect(foundIn(words, leaveMessage)).not.toContain('messageNotKept');
    expect(foundIn(words, [{ type: 'hangUp', words: 'Goodbye.' }])).toContain('messageNotKept');
  });

  it('may ask to stay on the line where somebody is rung then', () => {
    const words = 'The loft is closed. Please stay on the line for Noor Haldane.';
    expect(foundIn(words, [{ type: 'hangUp', words: 'Goodbye.' }])).toContain('stayNotKept');
    expect(foundIn(words, [{ ...ringDefaults, type: 'ring', personId: noor.id }, ...leaveMessage])).not.toContain(
      'stayNotKept',
    );
  });

  it('are not read as heard while the group keeps no hours', () => {
    expect(foundIn('Please leave a message.', [{ type: 'hangUp', words: 'Goodbye.' }], { hoursId: null })).toEqual([]);
  });
});
