import { best } from './best.mjs';
import { largeAttendant } from './largeScript.mjs';

const zone = 'America/New_York';

/** The proof of a large attendant, whole and after an edit, every path of the business, and a thousand rehearsals. */
export function benchProof(core, row) {
  const { proof } = core('proof');
  const subject = largeSubject(core, { menus: 50, count: 200 });
  // Copies, so that nothing is remembered from the time before.
  const copies = Array.from({ length: 12 }, () => structuredClone(subject));
  proof(copies.pop());
  const times = copies.map((copy) => best(1, () => proof(copy)));
  const found = proof(subject).length;
  row(
    'Proof of 50 menus and 200 people, read whole',
    `${Math.min(...times).toFixed(1)} ms`,
    `${found} findings; aim: under 50 ms`,
  );
  benchEdits(core, row, subject, 'The same after one edit', 10);
  benchEdits(core, row, largeSubject(core, { menus: 200, count: 200 }), '200 menus after one edit', 100);
  benchRehearsals(core, row, subject);
}

function benchEdits(core, row, subject, what, aimMs) {
  const { proof } = core('proof');
  const { applyEdit } = core('line');
  proof(subject);
  let attendant = subject.attendant;
  const edits = Array.from({ length: 20 }, (_, index) => {
    const words = `This is department ${index}. We are open Monday to Friday, 8 to ${index}.`;
    attendant = applyEdit(attendant, { type: 'setWords', sheetId: `sheet:m${index}`, part: 'openingWords', words });
    return best(1, () => proof({ ...subject, attendant }));
  }).sort((one, other) => one - other);
  row(what, `${edits[10].toFixed(1)} ms`, `at most ${edits.at(-1).toFixed(1)} ms; aim: under ${aimMs} ms`);
}

function benchRehearsals(core, row, subject) {
  const { rehearse } = core('rehearsals');
  const { everyPath } = core('paths');
  const script = scriptOf(subject);
  const rehearsals = Array.from({ length: 1000 }, (_, index) => ({
    id: `rehearsal:r${index}`,
    name: `Rehearsal ${index}`,
    scene: {
      reading: `2026-11-${String((index % 28) + 1).padStart(2, '0')}T${String(index % 24).padStart(2, '0')}:00`,
      callerNumber: '+12075550178',
      acts: [
        { type: 'press', keys: String((index % 3) + 1) },
        { type: 'press', keys: String((index % 4) + 4) },
      ],
      staff: [],
      others: index % 2 === 0 ? 'answers' : 'noAnswer',
    },
    expects: [{ type: 'ends', how: index % 2 === 0 ? 'talk' : 'message' }],
    was: null,
  }));
  let right = 0;
  const ms = best(3, () => {
    right = rehearsals.filter((each) => rehearse(script, each).failed.length === 0).length;
  });
  row('1,000 rehearsals of it', `${ms.toFixed(0)} ms`, `${right} hold; aim: under 1 s`);
  let count = 0;
  const pathsMs = best(2, () => (count = everyPath(script, Date.UTC(2026, 10, 23, 15), { once: true }).paths.length));
  row('Every path of it, each menu once', `${pathsMs.toFixed(0)} ms`, `${count} paths`);
}

function largeSubject(core, { menus, count }) {
  const { boxDefaults, personDefaults } = core('directory');
  const people = Array.from({ length: count }, (_, index) => ({
    ...personDefaults,
    id: `person:p${index}`,
    name: `Person Number${index}`,
    extension: String(3000 + index),
  }));
  const box = { ...boxDefaults, id: 'box:office', name: 'Office', ownerId: people[0].id };
  const open = { id: 'period:open', name: 'Open' };
  const week = [1, 2, 3, 4, 5].map((day) => ({ periodId: open.id, day, startMin: 480, endMin: 1050 }));
  const special = Array.from({ length: 12 }, (_, index) => ({
    id: `special:s${index}`,
    name: `Holiday ${index}`,
    when: { type: 'yearly', month: index + 1, day: 5 + index, days: 1 },
    moved: 'stays',
    hours: { type: 'closed', startMin: 0, endMin: 1440 },
    words: '',
  }));
  const hours = {
    id: 'hours:main',
    name: 'Business hours',
    periods: [open],
    week,
    datedWeeks: [],
    seasons: [],
    special,
  };
  const attendant = largeAttendant(core, { menus, people, boxId: box.id, periodId: open.id });
  const line = {
    id: 'line:main',
    name: 'Larkspur Cove Boatyard',
    number: '+12075550140',
    timeZone: zone,
    hoursId: hours.id,
    serviceFrom: null,
    serviceUntil: null,
    emergencyAddress: '1 Cannery Road',
  };
  const none = { groups: [], queues: [], contacts: [], callerLists: [], greetings: [], takes: [], leavers: [] };
  const lines = [{ ...line, onAir: attendant }];
  return { ...none, attendant, line, today: '2026-11-23', hours, allHours: [hours], people, boxes: [box], lines };
}

function scriptOf({
  attendant,
  line,
  hours,
  allHours,
  people,
  boxes,
  groups,
  queues,
  contacts,
  callerLists,
  greetings,
}) {
  const { id, name, number, timeZone } = line;
  return {
    lineId: id,
    lines: [{ id, name, number, timeZone, hours, attendant, switched: null }],
    people,
    groups,
    queues,
    boxes,
    contacts,
    callerLists,
    greetings,
    takes: [],
    holdMusic: 'harbor',
    hours: allHours,
  };
}
