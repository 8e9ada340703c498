import { attendant, fuelId, names, office, open, priya, ringFor, welcomeId } from '../testing/boatyard';
import { greetingId } from './ids';
import {
  attendantJsonSchema,
  describeDocumentProblem,
  describeUse,
  differences,
  greetingsUsed,
  readAttendant,
  schemaVersion,
  usesOf,
} from '.';
import { isSame } from '../merging';
import { upgradeDocument } from './upgrades/upgradeDocument';
import { upgrades } from './upgrades';
import type { Upgrade } from './upgrades/upgrade';

const problemsOf = (raw: unknown): readonly string[] => {
  const read = readAttendant(raw);
  return read.ok ? [] : read.problems.map((problem) => describeDocumentProblem(problem, raw));
};
const [welcome, fuel, closed] = attendant.sheets;

describe('a stored attendant', () => {
  it('is read back as it was written', () => {
    expect(readAttendant(JSON.parse(JSON.stringify(attendant)))).toEqual({ ok: true, value: attendant });
  });

  it.each([
    [null, 'This is not an attendant written by Locutor: its schema version is missing.'],
    [[], 'This is not an attendant written by Locutor: its schema version is missing.'],
    [
      { ...attendant, schemaVersion: 7 },
      'This attendant was written by a newer Locutor (schema version 7; this one knows 6).',
    ],
    [{ ...attendant, sheets: [welcome, welcome] }, `Two sheets have the same id, ${welcomeId}.`],
    [{ ...attendant, sheets: [{ ...welcome, name: '' }] }, 'sheets, 1, name: empty or too small; the least is 1.'],
    [
      { ...attendant, sheets: [{ ...fuel, words: 'a'.repeat(3001) }] },
      'Fuel dock, words: too long or too large; the most is 3,000.',
    ],
    [
      { ...attendant, sheets: [{ ...closed, waitSeconds: 61 }] },
      'After hours, waitSeconds: too long or too large; the most is 60.',
    ],
    [
      {
        ...attendant,
        sheets: [{ ...closed, options: ['1', '1'].map((key) => ({ key, label: '', readOut: true, path: [] })) }],
      },
      'After hours has key 1 twice.',
    ],
  ])('is refused in words when something is wrong', (raw, says) => expect(problemsOf(raw)).toContain(says));

  it('is refused with a step that is none, and with more than belongs there', () => {
    const withPath = (step: object) => ({ ...attendant, answering: { rules: [], otherwise: [step] } });
    expect(problemsOf(withPath({ type: 'teleport' }))).toHaveLength(1);
    expect(problemsOf(withPath({ ...ringFor(priya.id, 4) }))).toHaveLength(1);
    expect(problemsOf(withPath({ ...ringFor(office.id as never, 24) }))).toHaveLength(1);
    expect(problemsOf({ ...attendant, extra: true })).toHaveLength(1);
  });

  it('has a published JSON Schema', () => {
    expect(attendantJsonSchema()).toMatchObject({
      type: 'object',
      required: ['schemaVersion', 'voice', 'sheets', 'paths', 'answering', 'fallbacks'],
    });
  });
});

describe('an attendant of an earlier version', () => {
  const path = [
    { type: 'ring', personId: priya.id, seconds: 24 },
    { type: 'takeMessage', boxId: office.id },
  ];
  const first = {
    schemaVersion: 1,
    voice: 'slt',
    sheets: [
      {
        type: 'menu',
        id: welcomeId,
        name: 'Welcome',
        openingWords: 'Hello.',
        options: [{ key: '1', label: 'moorings', readOut: true, path }],
        closingWords: '',
        keysDuringGreeting: true,
        waitSeconds: 5,
        silentRounds: 2,
        silenceWords: '',
        silencePath: path,
        wrongKeys: 3,
        wrongKeyWords: '',
        wrongKeyPath: [{ type: 'sayAgain' }],
      },
      { type: 'announcement', id: fuelId, name: 'Fuel dock', words: 'Closed.', afterPath: path },
    ],
    answering: { rules: [{ periodId: open.id, path: [{ type: 'goTo', sheetId: welcomeId }] }], otherwise: path },
  };

  it('is opened as today’s, with nothing lost', () => {
    const read = readAttendant(first);
    const today = [ringFor(priya.id, 24), { type: 'takeMessage', boxId: office.id, beep: null, tell: null }];
    expect(read).toMatchObject({
      ok: true,
      value: {
        schemaVersion,
        paths: [],
        fallbacks: [],
        sheets: [
          { voice: null, takes: {}, extensions: null, speech: false, options: [{ path: today }], silencePath: today },
          { voice: null, afterPath: today },
        ],
        answering: { rules: [{ type: 'period', periodId: open.id }], otherwise: today },
      },
    });
  });

  it('is refused in words when it is damaged', () => {
    expect(problemsOf({ schemaVersion: 1 })).not.toEqual([]);
    expect(problemsOf({ ...first, sheets: ['Welcome', { type: 'menu', options: 7 }] })).not.toEqual([]);
    expect(problemsOf({ ...first, answering: 'always' })).not.toEqual([]);
  });
});

describe('upgrades', () => {
  const list: readonly Upgrade[] = [
    { to: 2, why: 'names were titles', run: ({ title, ...rest }) => ({ ...rest, name: title }) },
    { to: 3, why: 'names got long', run: (older) => ({ ...older, name: String(older.name).slice(0, 3) }) },
  ];

  it('run one after the other from the version stored', () => {
    expect(upgradeDocument({ schemaVersion: 1, title: 'Welcome' }, list)).toEqual({
      ok: true,
      value: { schemaVersion: 3, name: 'Wel' },
    });
    expect(upgradeDocument({ schemaVersion: 2, name: 'Welcome' }, list)).toMatchObject({ value: { name: 'Wel' } });
  });

  it('refuse a document of no version or of a newer one', () => {
    expect(upgradeDocument({}, list)).toMatchObject({ ok: false, problems: [{ type: 'noVersion' }] });
    expect(upgradeDocument({ schemaVersion: 4 }, list)).toMatchObject({
      problems: [{ type: 'tooNew', newestKnown: 3 }],
    });
  });

  it('are numbered one by one', () => {
    expect(() => upgradeDocument({ schemaVersion: 1 }, [{ to: 3, why: '', run: (older) => ({ ...older }) }])).toThrow(
      'version 2',
    );
    expect(() => upgradeDocument({ schemaVersion: 1 }, upgrades)).not.toThrow();
  });
});

describe('what refers to what', () => {
  it('finds every use, in the words of the place', () => {
    const inWords = usesOf(attendant, office.id).map((use) => describeUse(use, attendant, names));
    expect(inWords).toEqual([
      'key 1 of Welcome',
      'the silence path of Welcome',
      'the wrong-key path of Welcome',
      'the silence path of After hours',
      'the wrong-key path of After hours',
    ]);
    expect(usesOf(attendant, fuelId)).toEqual([expect.objectContaining({ stepIndex: 0 })]);
    expect(usesOf(attendant, open.id)).toEqual([{ slot: { type: 'period', periodId: open.id }, stepIndex: null }]);
  });

  it('finds the greetings that are said', () => {
    const id = greetingId.create('regatta');
    const otherwise = [{ type: 'say' as const, spoken: { type: 'greeting' as const, greetingId: id } }];
    const said = { ...attendant, answering: { ...attendant.answering, otherwise } };
    expect([...greetingsUsed(said)]).toEqual([id]);
    expect(greetingsUsed(attendant).size).toBe(0);
  });
});

describe('differences', () => {
  it('tell what was added, removed and changed', () => {
    const changed = { ...attendant, voice: 'awb' as const, sheets: [{ ...welcome, name: 'Hello' }, fuel] as never };
    expect(differences(attendant, changed).map(({ type }) => type)).toEqual(['voice', 'changed', 'removed']);
    expect(differences(changed, attendant).map(({ type }) => type)).toEqual(['voice', 'changed', 'added']);
    expect(differences(attendant, JSON.parse(JSON.stringify(attendant)) as typeof attendant)).toEqual([]);
  });

  it('take no notice of the order in which members stand', () => {
    expect(isSame({ a: 1, b: [1, 2] }, { b: [1, 2], a: 1 })).toBe(true);
    expect(isSame({ a: [1, 2] }, { a: [2, 1] })).toBe(false);
    expect(isSame({ a: undefined }, {})).toBe(false);
    expect(isSame([], {})).toBe(false);
  });
});
