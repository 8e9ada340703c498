import { boxDefaults, boxId, groupId, queueId, type Group, type Queue } from '../directory';
import { hoursId, specialDateId, type Hours, type SpecialDate, type WeekSpan } from '../hours';
import {
  applyEdit,
  newAnnouncement,
  ringDefaults,
  sheetId,
  slotOfRule,
  type Attendant,
  type Edit,
  type Language,
  type Path,
  type WordsPart,
} from '../line';
import { closedId, fuelId, launchQueue, noor, ringFor, shedLine, slipHolders, welcomeId } from '../testing/boatyard';
import { onKey1 } from '../testing/flaws';
import {
  heardBox,
  holidayHours,
  leaveMessage,
  soundAttendant,
  soundSubject,
  thanksgiving,
} from '../testing/soundOffice';
import { proof, type ProofSubject } from '.';
import { timesSaidElsewhere } from './reading/timesSaidElsewhere';
import { isKept } from './statedHours';

const said = (sheet: typeof welcomeId, words: string, part: WordsPart = 'openingWords'): Edit => ({
  type: 'setWords',
  ...{ sheetId: sheet, part, words },
});
const rulesFor = (edits: readonly Edit[], office: Partial<ProofSubject> = {}): readonly string[] =>
  proof(soundSubject(edits.reduce(applyEdit, soundAttendant), office))
    .map(({ rule, grade, facts }) => `${grade} ${rule} ${JSON.stringify(facts ?? {})}`)
    .filter((found) => !found.startsWith('tip priceInWords'));
const earlier = holidayHours.week.map((span) => ({ ...span, startMin: 360, endMin: 840 }));
const extra = sheetId.create('extra');
const under1 = (words: string, after: Path): readonly Edit[] => [
  { type: 'addSheet', sheet: { ...newAnnouncement(extra, 'Loft'), words, afterPath: after } },
  onKey1({ type: 'goTo', sheetId: extra }),
];

describe('sentences that are right', () => {
  it.each([
    'If this is an emergency, hang up and dial 9 1 1.',
    'For a life-threatening emergency, dial 911 at once.',
    'In an emergency, please hang up and call nine one one.',
    'We have cared for boats since 1998.',
    'Statements for 2025 are ready and were mailed in January.',
    'Established 2021 by two brothers.',
    'The lot is cleared of snow from 5 to 7.',
    'High tide at the ramp is between ten and eleven.',
    'We are closed on Saturdays and Sundays.',
    'Our office is closed on weekends.',
    'We are open Monday through Friday.',
    'The marina store next door is open now.',
    'The road to the ramp is closed for repairs.',
    'You have reached Larkspur Cove Boatyard outside office hours.',
    'We are closed right now.',
    'The pharmacy is closed on Sundays.',
    'We are open 24 hours a day on the web.',
    'Notre cabinet est fermé.',
    'Sorry, we are closed for the evening.',
    'Our fax number is 207 555 0188.',
    'Para español, marque el dos en el menú principal durante el día.',
    'A night on a mooring is $36. Haul-out is $12 a foot.',
    'Please have your account number ready.',
    'Press releases are on our web site.',
    'Thank you for your patience.',
    'This call may be recorded.',
    'Visit us at larkspurcove.example.',
  ])('are left alone while it is closed: %s', (words) => {
    expect(rulesFor([said(closedId, `We are closed. ${words}`)])).toEqual([]);
  });

  it('may say tomorrow where it is open every day', () => {
    const [open] = holidayHours.week;
    const week = ([1, 2, 3, 4, 5, 6, 7] as const).map((day) => ({ ...(open as WeekSpan), day }));
    const hours = { ...holidayHours, week };
    expect(
      rulesFor([said(closedId, 'We are closed, and back tomorrow morning.')], { hours, allHours: [hours] }),
    ).toEqual([]);
  });

  it.each([
    'Welcome to Larkspur Cove Boatyard. We are open.',
    'Thank you for calling Larkspur Cove. Stay on the line for Noor Haldane.',
    'Please hold, and somebody will be with you.',
    'We are open Monday to Friday, 8 am to 5:30 pm.',
    'Our menu has changed, so please listen to all of it.',
    'If you know the extension of the person you want, ask for it.',
    'We are open today until half past five.',
    'Do not hang up: the next free person takes your call.',
    'You have reached Larkspur Cove Boatyard at 207 555 0140.',
    'We are closed on Saturdays.',
    'We are closed for lunch from 12 to 1 on the last Friday of the month.',
  ])('are left alone while it is open: %s', (words) => {
    expect(rulesFor([said(welcomeId, words)])).toEqual([]);
  });

  it('are left alone before a box, in a queue, and in an announcement', () => {
    const pound = 'Speak after the tone, and press pound when you are done.';
    const greeting = {
      id: 'greeting:box' as never,
      name: 'Box',
      words: `Leave a message. ${pound} We will call you back.`,
      voice: 'slt' as const,
      take: null,
    };
    const box = { ...heardBox, greetingId: greeting.id };
    expect(rulesFor([], { boxes: [box], greetings: [greeting] as never })).toEqual([]);
    expect(rulesFor(under1(`Nobody is in the loft. ${pound}`, leaveMessage))).toEqual([]);
    const queue: Queue = {
      ...launchQueue,
      id: queueId.create('q'),
      entryWords: 'Please hold the line, or press star.',
    };
    const toQueue = onKey1({ type: 'waitInQueue', queueId: queue.id }, ...leaveMessage);
    expect(rulesFor([toQueue], { queues: [queue] })).toEqual([]);
    expect(rulesFor(under1('Thank you. Please stay on the line.', [ringFor(noor.id, 20), ...leaveMessage]))).toEqual(
      [],
    );
    expect(rulesFor([said(fuelId, 'The fuel dock opens at eight. We are closed on Sundays.', 'words')])).toEqual([]);
  });

  it('are left alone where a name is the business’s', () => {
    const { line, lines } = soundSubject();
    const own = { ...line, name: 'Bram Lindqvist Boats' };
    const office = { line: own, lines: lines.map((each) => (each.id === own.id ? { ...each, name: own.name } : each)) };
    const leavers = ['Bram Lindqvist'];
    const welcome = (words: string) => rulesFor([said(welcomeId, words)], { ...office, leavers });
    expect(welcome('Thank you for calling Bram Lindqvist Boats.')).toEqual([]);
    expect(welcome('Thank you for calling Bram Lindqvist Boats. Ask for Bram Lindqvist.')).toEqual([
      'caution nameInWords {"name":"Bram Lindqvist"}',
    ]);
  });
});

describe('sentences that are not so', () => {
  it.each<[string, string, readonly Edit[], Partial<ProofSubject>?]>([
    ['a key in an announcement', 'keySaidNotMapped', under1('To hear this in French, press 8.', leaveMessage)],
    ['a key in French words', 'keySaidNotMapped', [said(welcomeId, 'Pour les pièces, tapez 7.')]],
    ['a key in German words', 'keySaidNotMapped', [said(welcomeId, 'Für Ersatzteile drücken Sie die 7.')]],
    ['a key in Spanish words', 'keySaidNotMapped', [said(welcomeId, 'Para repuestos, marque el 7.')]],
    [
      'a key before ringing',
      'keySaidNotMapped',
      [onKey1({ ...ringFor(noor.id, 20), before: 'Press 1 for a message.' } as never, ...leaveMessage)],
    ],
    [
      'another exit key than the queue’s',
      'keySaidNotMapped',
      [onKey1({ type: 'waitInQueue', queueId: launchQueue.id }, ...leaveMessage)],
      { queues: [{ ...launchQueue, entryWords: 'Press 5 to leave a message.', exitKey: '*' }] },
    ],
    [
      'staying on the line for nobody',
      'stayNotKept',
      [said(closedId, 'We are closed. Stay on the line for the front desk.')],
    ],
    ['the same in French', 'stayNotKept', [said(closedId, 'Ne quittez pas, un conseiller va vous répondre.')]],
    ['staying for somebody else', 'stayNotKept', [said(welcomeId, 'Stay on the line for Priya Castellanos.')]],
    [
      'a message that nobody takes',
      'messageNotKept',
      under1('Please leave a message after the tone.', [{ type: 'hangUp', words: '' }]),
    ],
    [
      'a call back from a box that nobody hears',
      'callBackNotKept',
      [onKey1({ type: 'takeMessage', boxId: boxId.create('lonely'), beep: null, tell: null })],
      {
        boxes: [
          heardBox,
          { ...boxDefaults, id: boxId.create('lonely'), name: 'Attic', greetingId: 'greeting:box' as never },
        ],
        greetings: [
          { id: 'greeting:box', name: 'B', words: 'We will get back to you.', voice: 'slt', take: null },
        ] as never,
      },
    ],
    ['closed in the open menu', 'openInWords', [said(welcomeId, 'Sorry, our office is closed.')]],
    ['closed in the open menu, in German', 'openInWords', [said(welcomeId, 'Unsere Praxis ist zurzeit geschlossen.')]],
    ['after hours, in the open menu', 'openInWords', [said(welcomeId, 'You’ve reached us after hours.')]],
    ['open at night', 'openInWords', [said(closedId, 'We are open now.')]],
    ['closed on a day that is open', 'openInWords', [said(closedId, 'We are closed on Fridays.')]],
    ['open on a day that is not', 'openInWords', [said(closedId, 'We are also open on Saturdays.')]],
    [
      'hours of somebody else as those of all',
      'hoursInWords',
      [said(closedId, 'We are open Monday to Friday, 6 to 14:00.')],
      { allHours: [holidayHours, { ...holidayHours, id: 'hours:dock' as never, name: 'Dock', week: earlier }] },
    ],
    [
      'tomorrow, heard on a Friday evening',
      'openInWords',
      [said(closedId, 'We are closed. We will be back tomorrow.')],
    ],
    ['Monday, heard on a Tuesday evening', 'openInWords', [said(closedId, 'We are closed and open again on Monday.')]],
    ['a placeholder', 'leftInWords', [said(closedId, 'Welcome to [Company Name].')]],
    ['a live part that is none', 'leftInWords', [said(closedId, 'We open {opening time}.')]],
    ['a live part of somebody deleted', 'leftInWords', [said(closedId, 'Ask for {name person:gone}.')]],
    ['the number of somebody else', 'numberInWords', [said(closedId, 'Our new number is 207 555 0177.')]],
    [
      'an emergency number of another country',
      'emergencyNumber',
      [said(closedId, 'In an emergency call 112 or dial 999.')],
    ],
    [
      'an option that reads badly',
      'sameOptions',
      [{ type: 'setOption', sheetId: welcomeId, key: '1', option: { label: 'press 1' } }],
    ],
  ])('are found: %s', (...[, rule, edits, office]) => {
    expect(rulesFor(edits, office).map((found) => found.split(' ')[1])).toContain(rule);
  });

  it('speak of callers left alone from when the business says', () => {
    const long = [onKey1(...Array.from({ length: 4 }, () => ringFor(noor.id, 60)), ...leaveMessage)];
    const rules = (mostAloneSeconds: number) =>
      rulesFor(long, { mostAloneSeconds }).map((found) => found.split(' ')[1]);
    expect(rules(180)).toEqual(['longAlone']);
    expect(rules(600)).toEqual([]);
  });
});

describe('lines and lists', () => {
  const { line, lines } = soundSubject();
  const numberOfShed = '+12075550155';
  const shed = (path: Path): Partial<ProofSubject> => {
    const onAir = applyEdit(soundAttendant, { type: 'setPath', slot: { type: 'otherwise' }, path });
    const rung = onAir.answering.rules.reduce<Attendant>(
      (attendant, rule) => applyEdit(attendant, { type: 'setPath', slot: slotOfRule(rule), path }),
      onAir,
    );
    return { lines: [...lines, { ...line, id: shedLine, name: 'Shed', number: numberOfShed, onAir: rung }] };
  };
  const call = (number: string): Path[number] =>
    ({ ...ringDefaults, type: 'ringOutside', to: { type: 'number', number }, seconds: 20, accept: false }) as never;
  const toShed: Edit = { type: 'setPath', slot: { type: 'otherwise' }, path: [call(numberOfShed), ...leaveMessage] };

  it('that ring each other by their numbers are found, whoever they would ring after that', () => {
    expect(rulesFor([toShed], shed([call(line.number), ...leaveMessage]))).toContainEqual(
      expect.stringMatching(/^fault lineCircle/),
    );
    expect(rulesFor([toShed], shed([ringFor(noor.id, 20), call(line.number), ...leaveMessage]))).not.toContainEqual(
      expect.stringContaining('lineCircle'),
    );
  });

  it('that ring desks at night for callers on a list are found; a mobile after that is enough', () => {
    const slot = { type: 'callers', callerListId: slipHolders.id } as const;
    const list: Edit = { type: 'addRule', rule: { type: 'callers', callerListId: slipHolders.id, path: [] } } as never;
    const listed = (...path: Path): readonly string[] =>
      rulesFor([list, { type: 'setPath', slot, path: [...path, ...leaveMessage] }], { callerLists: [slipHolders] });
    expect(listed(ringFor(noor.id, 20))).toEqual([expect.stringMatching(/^caution closedOffice/)]);
    expect(listed(ringFor(noor.id, 20), call('+12075550163'))).toEqual([]);
  });
});

describe('a sheet that says it is closed', () => {
  const toWelcome: Edit = {
    type: 'setPath',
    slot: { type: 'otherwise' },
    path: [{ type: 'goTo', sheetId: welcomeId }],
  };
  const read = (edits: readonly Edit[]) => proof(soundSubject(edits.reduce(applyEdit, soundAttendant)));

  it('and that nobody hears is put in its place by the fix, which takes nothing away', () => {
    const found = read([toWelcome]).find(({ rule }) => rule === 'closedUnheard');
    expect(found).toMatchObject({ at: { type: 'sheet', sheetId: closedId }, facts: { instead: 'Welcome' } });
    if (!found?.fix) throw new Error('There is no fix');
    expect(read([toWelcome, found.fix])).toEqual([]);
  });

  it('for the switch, beside one that answers while it is closed, is not thrown away by a fix', () => {
    const storm = {
      ...newAnnouncement(extra, 'Storm'),
      words: 'We are closed because of the storm.',
      afterPath: leaveMessage,
    };
    const found = read([{ type: 'addSheet', sheet: storm }]);
    expect(found.map(({ rule, fix }) => [rule, fix])).toEqual([['unreached', undefined]]);
    const switched = { to: { type: 'sheet' as const, sheetId: extra }, words: '' };
    expect(rulesFor([{ type: 'addSheet', sheet: storm }], { switched })).toEqual([]);
  });
});

describe('people who are away', () => {
  const { groups } = soundSubject();
  const [open] = holidayHours.periods;
  const of = (name: string, week: Hours['week']): Hours => ({
    ...{ ...holidayHours, id: hoursId.create(name), name, special: [], week },
  });
  const sundays = of('sundays', [{ periodId: open?.id ?? ('' as never), day: 7, startMin: 600, endMin: 720 }]);
  /** One Sunday is a special date on which it is open at noon. */
  const fair: SpecialDate = {
    ...thanksgiving,
    id: specialDateId.create('fair'),
    name: 'Boat fair',
    when: { type: 'once', from: '2026-12-06', to: '2026-12-06' },
    hours: { type: 'times', spans: [{ periodId: open?.id, startMin: 600, endMin: 720 }] } as never,
  };
  const away = (members: number): Partial<ProofSubject> => {
    const people = soundSubject().people.map((person, index) =>
      index < members ? { ...person, hoursId: sundays.id } : person,
    );
    const team = people.slice(0, 4).map(({ id }) => ({ personId: id, tier: 1 }));
    const crew = { ...(groups[0] as Group), id: groupId.create('crew'), name: 'Crew', members: team };
    return { people, groups: [...groups, crew], allHours: [holidayHours, sundays] };
  };
  const ringCrew = onKey1(
    { ...ringDefaults, type: 'ringGroup', groupId: groupId.create('crew'), seconds: null },
    ...leaveMessage,
  );
  const found = (members: number, more: Partial<ProofSubject> = {}): readonly string[] =>
    rulesFor([ringCrew], { ...away(members), ...more }).flatMap((each) => each.split(' ')[1] ?? []);

  it('are spoken of when they are most of a group for most of its hours, and not when they are half', () => {
    expect(found(2)).not.toContain('mostlyAway');
    expect(found(3)).toContain('mostlyAway');
  });

  it('are told as nobody when all are away, whoever is there on one special date', () => {
    const hours = { ...holidayHours, special: [thanksgiving, fair] };
    for (const more of [{}, { hours }]) {
      expect(found(4, more)).toContain('nobodyWorking');
      expect(found(4, more)).not.toContain('mostlyAway');
    }
  });
});

describe('words of a special date', () => {
  const wordsOf = (words: string, changes: Partial<SpecialDate> = {}): readonly string[] => {
    const hours = { ...holidayHours, special: [{ ...thanksgiving, words, ...changes }] };
    // That a voice for English says them is another matter.
    return rulesFor([], { hours })
      .flatMap((found) => found.split(' ')[1] ?? [])
      .filter((rule) => rule !== 'wrongLanguage');
  };
  const part = {
    hours: { type: 'times', spans: [{ periodId: holidayHours.periods[0]?.id, startMin: 480, endMin: 720 }] },
  };

  it.each([
    'We are closed for Thanksgiving.',
    'We are closed for Thanksgiving and will be back on Monday.',
    'Our office is closed until Monday, November 30.',
    'Wir haben geschlossen und sind am Montag wieder für Sie da.',
    'Nous sommes fermés et serons de retour lundi.',
    'Estamos cerrados y volvemos el lunes.',
    'Happy Thanksgiving. Leave a message and we will get back to you.',
  ])('are left alone where they are so: %s', (words) => expect(wordsOf(words)).toEqual([]));

  it.each([
    'We are closed today and reopen tomorrow.',
    'We are closed, and back on Friday.',
    'Ab Freitag sind wir wieder erreichbar.',
    'Nous serons de retour vendredi.',
    'Volveremos el viernes.',
    'We are open today.',
  ])('are found where they are not: %s', (words) => expect(wordsOf(words)).toContain('holidayInWords'));

  it('are found when they say closed and it opens for some hours', () => {
    expect(wordsOf('We are closed for Thanksgiving.', part as never)).toContain('holidayInWords');
    expect(wordsOf('Happy Thanksgiving.', part as never)).toEqual([]);
  });
});

describe('hours in words', () => {
  const summer = {
    id: 'season:summer' as never,
    name: 'Summer',
    from: { month: 6, day: 1 },
    to: { month: 8, day: 31 },
    week: holidayHours.week.map((span) => ({ ...span, startMin: 420, endMin: 1140 })),
  };
  const hours = { ...holidayHours, seasons: [summer] };
  const rulesOf = (words: string): readonly string[] =>
    rulesFor([said(closedId, words)], { hours, allHours: [hours] }).flatMap((found) => found.split(' ')[1] ?? []);

  it('of a season that is ahead are found, unless they speak of it', () => {
    expect(rulesOf('We are open Monday to Friday, 7 am to 7 pm.')).toContain('hoursInWords');
    expect(rulesOf('In summer we are open Monday to Friday, 7 am to 7 pm.')).toEqual([]);
    expect(rulesOf('From June we are open Monday to Friday, 7 am to 7 pm.')).toEqual([]);
    expect(rulesOf('We are open Monday to Friday, 8 am to 5:30 pm.')).toEqual([]);
  });

  it.each<[string, Language, boolean]>([
    ['Unsere Öffnungszeiten sind Montag bis Freitag von 8 bis 17.30 Uhr.', 'de', true],
    ['Wir sind von 9 bis 17 Uhr erreichbar.', 'de', false],
    ['Nous sommes ouverts du lundi au vendredi de 8h à 17h30.', 'fr', true],
    ['Le bureau est ouvert de 9h à 18h.', 'fr', false],
    ['Estamos abiertos de lunes a viernes de 8:00 a 17:30 horas.', 'es', true],
    ['Nuestro horario es de 9 a 14 horas.', 'es', false],
    ['Der Parkplatz wird von 5 bis 7 Uhr geräumt.', 'de', true],
  ])('are read in other languages: %s', (words, language, isSo) => {
    const times = timesSaidElsewhere(words, language as 'de');
    expect(times.every((each) => isKept(each, holidayHours, []))).toBe(isSo);
  });
});

describe('fixes outside of the script', () => {
  const fixOf = (edits: readonly Edit[], office: Partial<ProofSubject>, rule: string) =>
    proof(soundSubject(edits.reduce(applyEdit, soundAttendant), office)).find((found) => found.rule === rule)?.rowFix;
  const lonely = { ...boxDefaults, id: boxId.create('lonely'), name: 'Attic' };
  const toLonely: Path[number] = { type: 'takeMessage', boxId: lonely.id, beep: null, tell: null };

  it('give a box to whoever is rung before it, and to nobody where that is not clear', () => {
    const boxes = [heardBox, lonely];
    expect(fixOf([onKey1(ringFor(noor.id, 20), toLonely)], { boxes }, 'boxUnheard')).toEqual({
      ...{ type: 'box', id: lonely.id, changes: { ownerId: noor.id } },
    });
    expect(fixOf([onKey1(toLonely)], { boxes }, 'boxUnheard')).toBeUndefined();
  });

  it('let the key leave a queue that its words promise', () => {
    const queue = { ...launchQueue, id: queueId.create('q'), entryWords: 'Press 5 to leave a message.', exitKey: null };
    const toQueue = onKey1({ type: 'waitInQueue', queueId: queue.id }, ...leaveMessage);
    expect(fixOf([toQueue], { queues: [queue] }, 'keySaidNotMapped')).toEqual({
      ...{ type: 'queue', id: queue.id, changes: { exitKey: '5' } },
    });
  });
});
