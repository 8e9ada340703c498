import fc from 'fast-check';
import { anyScript } from '../testing/anyScript';
import { attendant, fuelId, message, names, noor, ringFor, welcomeId } from '../testing/boatyard';
import { cases } from '../testing/cases';
import { isSame } from '../merging';
import {
  applyEdit,
  describeAttendantClashes,
  mergeAttendants,
  namedPathId,
  newAnnouncement,
  readAttendant,
  sheetId,
  type Attendant,
  type Edit,
} from '.';

const after = (...edits: readonly Edit[]): Attendant => edits.reduce(applyEdit, attendant);
const setWords = (words: string, part: 'openingWords' | 'closingWords' = 'openingWords'): Edit => ({
  type: 'setWords',
  sheetId: welcomeId,
  part,
  words,
});
const label = (key: '1' | '2', words: string): Edit => ({
  type: 'setOption',
  sheetId: welcomeId,
  key,
  option: { label: words },
});

describe('two windows that edit one attendant', () => {
  it.each<readonly [string, Edit, Edit]>([
    ['two parts of a sheet', setWords('Good morning.'), setWords('Or wait.', 'closingWords')],
    ['two keys', label('1', 'repairs'), label('2', 'fuel')],
    ['a key and its order', label('1', 'repairs'), { type: 'reorderKey', sheetId: welcomeId, key: '1', toIndex: 1 }],
    ['a sheet’s name and its words', { type: 'renameSheet', sheetId: welcomeId, name: 'Hello' }, setWords('Hello.')],
    [
      'the voice and a path',
      { type: 'setVoice', voice: 'rms' },
      { type: 'setPath', slot: { type: 'otherwise' }, path: message },
    ],
    [
      'a label and its path',
      label('1', 'repairs'),
      { type: 'setPath', slot: { type: 'key', sheetId: welcomeId, key: '1' }, path: [ringFor(noor.id, 12)] },
    ],
    [
      'two new sheets',
      { type: 'addSheet', sheet: newAnnouncement(sheetId.create('one'), 'One') },
      { type: 'addNamedPath', path: { id: namedPathId.create('desk'), name: 'Front desk', steps: [] } },
    ],
  ])('keeps both where they changed %s', (_, mine, theirs) => {
    const both = mergeAttendants(attendant, after(mine), after(theirs));
    expect(both.clashes).toEqual([]);
    expect(both.document).toEqual(after(theirs, mine));
  });

  it('tells in words where both changed the same thing', () => {
    const versions = [
      attendant,
      after(setWords('Good morning.')),
      after(setWords('Hello.'), label('2', 'fuel')),
    ] as const;
    const { clashes, document } = mergeAttendants(...versions);
    expect(document).toEqual(versions[2]);
    expect(describeAttendantClashes(versions, clashes, names)).toEqual([
      { where: 'Welcome, opening words', mine: '“Good morning.”', theirs: '“Hello.”' },
    ]);
  });

  it('tells each of several clashes by itself, and one over a key that went away', () => {
    const gone: Edit = { type: 'removeKey', sheetId: welcomeId, key: '1' };
    const mine = after(gone, { type: 'setVoice', voice: 'rms' });
    const theirs = after(label('1', 'the yard'), { type: 'setVoice', voice: 'awb' });
    const { clashes } = mergeAttendants(attendant, mine, theirs);
    expect(describeAttendantClashes([attendant, mine, theirs], clashes, names)).toEqual([
      { where: 'The voice', mine: 'rms', theirs: 'awb' },
      {
        where: 'Welcome, key 1',
        mine: 'nothing',
        theirs: '“the yard” · Ring Priya Castellanos for 24 s, then take a message in Office.',
      },
    ]);
  });

  it('keeps a sheet that the one deleted while the other led a path to it', () => {
    const away: Edit = { type: 'setPath', slot: { type: 'key', sheetId: welcomeId, key: '2' }, path: message };
    const base = after(away);
    const theirs = applyEdit(base, { type: 'removeSheet', sheetId: fuelId });
    const mine = applyEdit(base, {
      type: 'setPath',
      slot: { type: 'otherwise' },
      path: [{ type: 'goTo', sheetId: fuelId }],
    });
    expect(mergeAttendants(base, base, theirs).document.sheets.map(({ id }) => id)).not.toContain(fuelId);
    const { document } = mergeAttendants(base, mine, theirs);
    expect(document.sheets.find(({ id }) => id === fuelId)).toEqual(base.sheets.find(({ id }) => id === fuelId));
    expect(document.answering).toEqual(mine.answering);
  });
});

describe('any two versions of an attendant', () => {
  const versions: fc.Arbitrary<readonly Attendant[]> = fc
    .tuple(anyScript, anyScript)
    .map(([one, other]) => [...one.lines, ...other.lines].flatMap((line) => line.attendant ?? []));

  it('make one that can be kept, whatever is chosen', () => {
    fc.assert(
      fc.property(versions, fc.array(fc.boolean(), { minLength: 1 }), ([base, mine, theirs], choices) => {
        if (!base || !mine || !theirs) return;
        let asked = 0;
        const choose = () => (choices[asked++ % choices.length] ? 'mine' : 'theirs');
        const { document, clashes } = mergeAttendants(base, mine, theirs, choose);
        expect(readAttendant(document)).toEqual({ ok: true, value: document });
        expect(asked).toBe(clashes.length);
      }),
      cases(400),
    );
  });

  it('have their clashes told each with two different wordings', () => {
    fc.assert(
      fc.property(versions, ([base, mine, theirs]) => {
        if (!base || !mine || !theirs) return;
        const { clashes } = mergeAttendants(base, mine, theirs);
        const told = describeAttendantClashes([base, mine, theirs], clashes, names);
        expect(told).toHaveLength(clashes.length);
        told.forEach((each, index) => {
          expect(each.where).not.toBe('');
          if (each.mine === each.theirs) throw new Error(`Alike: ${JSON.stringify([each, clashes[index]])}`);
        });
      }),
      cases(200),
    );
  });

  it('of which the newer one is the older changed in one place is that one', () => {
    fc.assert(
      fc.property(versions, ([base, mine]) => {
        if (!base || !mine) return;
        expect(isSame(mergeAttendants(base, mine, base).document, mine)).toBe(true);
      }),
      cases(400),
    );
  });
});
