import fc from 'fast-check';
import { personDefaults, personId, type Person } from '../directory';
import { applyEdit, ringDefaults, type Edit, type Path } from '../line';
import { closedId, fuelId, launchQueue, moorings, noor, priya, ringFor, welcomeId } from '../testing/boatyard';
import { flawed, flaws, officeOf, onKey1, ringGroup } from '../testing/flaws';
import {
  heardBox,
  holidayHours,
  leaveMessage,
  soundAttendant,
  soundSubject,
  thanksgiving,
} from '../testing/soundOffice';
import { faultsIn, proof, type ProofSubject, type RuleName } from '.';
import { cases } from '../testing/cases';

const onCall: Person = {
  ...personDefaults,
  id: personId.create('oncall'),
  name: 'Cormac Adeyemi',
  extension: '211',
  phones: [{ type: 'outside', number: '+12075550161', seconds: 20, accept: true }],
};
const words = (part: 'openingWords' | 'closingWords', said: string, sheetId = welcomeId): Edit => ({
  type: 'setWords',
  sheetId,
  part,
  words: said,
});
const closedSilence = (...path: Path): Edit => ({
  type: 'setPath',
  slot: { type: 'silence', sheetId: closedId },
  path,
});
const found = (edits: readonly Edit[], office: Partial<ProofSubject> = {}): readonly RuleName[] =>
  proof(soundSubject(edits.reduce(applyEdit, soundAttendant), office)).map(({ rule }) => rule);

describe('what is right is left alone', () => {
  it.each<[string, readonly Edit[], Partial<ProofSubject>?]>([
    [
      'mobiles rung at night',
      [closedSilence(ringFor(onCall.id, 24), ...leaveMessage)],
      { people: [noor, priya, onCall], groups: [], queues: [] },
    ],
    [
      'a group of mobiles rung at night',
      [closedSilence(ringGroup(moorings.id), ...leaveMessage)],
      {
        people: [noor, priya, onCall],
        groups: [{ ...moorings, ringsOn: 'outside', members: [{ personId: onCall.id, tier: 1 }] }],
        queues: [],
      },
    ],
    [
      'a number rung so shortly that no voicemail answers',
      [
        onKey1(
          {
            ...ringDefaults,
            type: 'ringOutside',
            to: { type: 'number', number: '+1 207 555 0161' },
            accept: false,
            seconds: 18,
          },
          ...leaveMessage,
        ),
      ],
    ],
    [
      'a recording that is told',
      [onKey1({ type: 'record', on: true, tells: true }, ringFor(priya.id, 24), ...leaveMessage)],
    ],
    [
      'hours that are so, written out',
      [words('openingWords', 'We are open Monday to Friday, 8 am to 5:30 pm.', closedId)],
    ],
    ['the end of the day', [words('openingWords', 'We are here until half past five.', closedId)]],
    [
      'numbers that are no times',
      [words('openingWords', 'Slips 1 to 12 are free. Waiting takes two to four minutes.', closedId)],
    ],
    [
      'a holiday that is one',
      [words('openingWords', 'We are closed on Thursday, November 26, and back on Monday.', closedId)],
    ],
    ['the year in which it began', [words('openingWords', 'A family business since 2024. We are closed.', closedId)]],
    ['a key that is mapped, said in words', [words('closingWords', 'For moorings, press 1.')]],
    [
      'keys said in the order of the sheet',
      [words('closingWords', 'Press 1 for moorings, or press 9 to hear this again.')],
    ],
    ['the business by its name', [words('openingWords', 'Thank you for calling Larkspur Cove.')]],
    ['the name said live', [words('openingWords', 'Thank you for calling {business}.')]],
    [
      'an extension that somebody has',
      [words('openingWords', 'We are closed. Priya Castellanos has extension 204.', closedId)],
    ],
    ['a few words of French in English', [words('closingWords', 'Pour le français, le 9.')]],
    ['a queue with a way out', [onKey1({ type: 'waitInQueue', queueId: launchQueue.id }, ...leaveMessage)]],
    [
      'a special date with this year’s words',
      [],
      {
        hours: {
          ...holidayHours,
          special: [{ ...thanksgiving, words: 'Happy Thanksgiving. We are back on Monday, November 30.' }],
        },
      },
    ],
    [
      'a message told to somebody who has an address',
      [],
      {
        boxes: [{ ...heardBox, tell: [{ personId: noor.id, by: 'email' }] }],
        people: [{ ...noor, email: 'noor@larkspur.example' }, priya],
        groups: [],
        queues: [],
      },
    ],
    [
      'a name that somebody else still has',
      [words('openingWords', 'Ask for Noor Haldane.', closedId)],
      { leavers: ['Noor Haldane'] },
    ],
  ])('%s', (...[, edits, office]) => expect(found(edits, office)).toEqual([]));
});

/** Flaws that do not stand in one another's way. */
const independent: readonly RuleName[] = [
  'pathEmpty',
  'noFallback',
  'pathInItself',
  'repeatsForEver',
  'keyIsFirstDigit',
  'ruleUnused',
  'unreached',
  'mappedNotSaid',
  'zeroUnused',
];
const onKeyOne: readonly RuleName[] = [
  'pathStops',
  'notANumber',
  'ownNumber',
  'notAllowed',
  'ownVoicemail',
  'ringsForEver',
  'recordsUntold',
];
const inClosedWords: readonly RuleName[] = [
  'noWords',
  'hoursInWords',
  'dateInWords',
  'extensionInWords',
  'wrongLanguage',
];

describe('many flaws at once', () => {
  const several = fc.tuple(
    fc.subarray([...independent]),
    fc.option(fc.constantFrom(...onKeyOne)),
    fc.option(fc.constantFrom(...inClosedWords)),
  );

  it('are all found, and nothing else that stops it', () => {
    fc.assert(
      fc.property(several, ([some, one, other]) => {
        const names = [...some, ...(one ? [one] : []), ...(other ? [other] : [])];
        const rules = new Set(proof(soundSubject(flawed(...names))).map(({ rule }) => rule));
        for (const name of names) expect([name, rules.has(name)]).toEqual([name, true]);
        const faults = faultsIn(proof(soundSubject(flawed(...names)))).map(({ rule }) => rule);
        for (const rule of faults) expect(names).toContain(rule);
      }),
      cases(200),
    );
  });

  it('can be mended one after the other, until nothing is left that can', () => {
    fc.assert(
      fc.property(several, ([some, one, other]) => {
        const names = [...some, ...(one ? [one] : []), ...(other ? [other] : [])];
        let attendant = flawed(...names);
        for (let turn = 0; turn < 40; turn += 1) {
          const fix = proof(soundSubject(attendant)).find((finding) => finding.fix)?.fix;
          if (!fix) break;
          const before = faultsIn(proof(soundSubject(attendant))).length;
          attendant = applyEdit(attendant, fix);
          expect(faultsIn(proof(soundSubject(attendant))).length).toBeLessThanOrEqual(before);
        }
        expect(proof(soundSubject(attendant)).filter(({ fix }) => fix)).toEqual([]);
      }),
      cases(100),
    );
  });
});

describe('where a flaw is', () => {
  it.each<[RuleName, object]>([
    ['pathEmpty', { type: 'path', slot: { type: 'key', sheetId: welcomeId, key: '4' }, stepIndex: null }],
    ['notANumber', { type: 'path', slot: { type: 'key', sheetId: welcomeId, key: '1' }, stepIndex: 0 }],
    ['closedOffice', { type: 'path', slot: { type: 'silence', sheetId: closedId }, stepIndex: 0 }],
    ['keySaidOtherwise', { type: 'path', slot: { type: 'key', sheetId: welcomeId, key: '1' }, stepIndex: null }],
    ['priceInWords', { type: 'sheet', sheetId: fuelId }],
    ['lineNoNumber', { type: 'line' }],
    ['specialsOverlap', { type: 'hours', specialId: 'special:stock' }],
    ['noHolidays', { type: 'hours', specialId: null }],
    ['boxUnheard', { type: 'row', id: 'box:lonely' }],
    ['keypadUnfindable', { type: 'row', id: 'person:kanji' }],
  ])('%s is told at its place', (name, at) => {
    const subject = soundSubject(flawed(name), officeOf(name, soundSubject()));
    expect(proof(subject).find(({ rule }) => rule === name)?.at).toEqual(at);
    expect(flaws[name].says.length).toBeGreaterThan(10);
  });
});
