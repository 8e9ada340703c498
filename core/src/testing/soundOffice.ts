import { boxDefaults, boxId, type Box } from '../directory';
import { closedAllDay, hoursId, specialDateId, type Hours, type SpecialDate } from '../hours';
import { applyEdit, messageDefaults, type Attendant, type Path } from '../line';
import type { ProofSubject } from '../proof';
import {
  attendant,
  closedId,
  harbourMaster,
  hours,
  juno,
  launchQueue,
  moorings,
  noor,
  priya,
  ringFor,
  script,
  wendell,
  welcomeId,
  withAttendant,
} from './boatyard';
import { subjectOf } from './proofOf';

/** Noor's box: somebody hears what is left in it. */
export const heardBox: Box = { ...boxDefaults, id: boxId.create('office'), name: 'Office', ownerId: noor.id };
export const leaveMessage: Path = [{ type: 'takeMessage', boxId: heardBox.id, ...messageDefaults }];

export const thanksgiving: SpecialDate = {
  id: specialDateId.create('thanksgiving'),
  name: 'Thanksgiving',
  when: { type: 'nthWeekday', nth: 4, weekday: 4, month: 11, plusDays: 0, days: 2 },
  moved: 'stays',
  hours: closedAllDay,
  words: '',
};

/** The boatyard's hours with a holiday in them. */
export const holidayHours: Hours = { ...hours, special: [thanksgiving] };

/** Hours in which nobody ever works while the boatyard can be reached. */
export const nightHours: Hours = {
  ...hours,
  id: hoursId.create('night'),
  name: 'Nights',
  week: [{ periodId: hours.periods[0]?.id ?? ('' as never), day: 7, startMin: 180, endMin: 181 }],
};

/** The boatyard's attendant without anything to find: key 0 reaches somebody, and every key is told of. */
export const soundAttendant: Attendant = applyEdit(attendant, {
  type: 'together',
  why: 'make it sound',
  edits: [
    { type: 'removeKey', sheetId: welcomeId, key: '#' },
    { type: 'setWords', sheetId: welcomeId, part: 'closingWords', words: '' },
    {
      type: 'setWords',
      ...{ sheetId: closedId, part: 'closingWords', words: 'In an emergency at a mooring, ring the harbor master.' },
    },
    {
      type: 'addKey',
      sheetId: welcomeId,
      option: { key: '0', label: 'the front desk', readOut: true, path: [ringFor(noor.id, 24), ...leaveMessage] },
    },
  ],
});

/** An attendant that stands in for the sound one, and whatever else is changed about the office. */
export function soundSubject(edited: Attendant = soundAttendant, changes: Partial<ProofSubject> = {}): ProofSubject {
  return subjectOf(withAttendant(edited, { ...script, people: [noor, priya, juno, wendell], boxes: [heardBox] }), {
    hours: holidayHours,
    groups: [moorings],
    queues: [launchQueue],
    contacts: [harbourMaster],
    ...changes,
  });
}
