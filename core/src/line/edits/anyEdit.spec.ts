import fc from 'fast-check';
import { anyScript } from '../../testing/anyScript';
import { harbourMaster, noor, office, priya } from '../../testing/boatyard';
import { contactId, boxId } from '../../directory';
import {
  applyEdit,
  copyOfSheet,
  describeEdit,
  pathsOf,
  readAttendant,
  refersTo,
  searchAttendant,
  sheetId,
  slotKey,
  usesOf,
  type Attendant,
  type ReferredId,
} from '..';

const anyAttendant: fc.Arbitrary<Attendant> = anyScript.map(
  ({ lines }) => (lines[0] as { attendant: Attendant }).attendant,
);
const countOf = (attendant: Attendant, id: ReferredId): number =>
  usesOf(attendant, id).filter((use) => 'slot' in use && use.stepIndex !== null).length;

describe('any attendant', () => {
  it('is written and read back the same', () => {
    fc.assert(
      fc.property(anyAttendant, (attendant) => {
        expect(readAttendant(JSON.parse(JSON.stringify(attendant)))).toEqual({ ok: true, value: attendant });
      }),
    );
  });

  it('has every path at a place of its own', () => {
    fc.assert(
      fc.property(anyAttendant, (attendant) => {
        const places = pathsOf(attendant).map(({ slot }) => slotKey(slot));
        expect(new Set(places).size).toBe(places.length);
      }),
    );
  });
});

describe('replacing everywhere', () => {
  const pairs = fc.constantFrom<readonly [ReferredId, ReferredId]>(
    [priya.id, noor.id],
    [office.id, boxId.create('gone')],
    [harbourMaster.id, contactId.create('gone')],
    [sheetId.create('a'), sheetId.create('b')],
  );

  it('leaves no use of the one, and adds them all to the other', () => {
    fc.assert(
      fc.property(anyAttendant, pairs, (attendant, [from, to]) => {
        const after = applyEdit(attendant, { type: 'replaceEverywhere', from, to });
        expect(countOf(after, from)).toBe(0);
        const steps = pathsOf(attendant).flatMap(({ path }) => path);
        const either = steps.filter((step) => refersTo(step).some((id) => id === from || id === to)).length;
        expect(countOf(after, to)).toBe(either);
      }),
    );
  });

  it('changes nothing where there is nothing to replace, and says what it does', () => {
    fc.assert(
      fc.property(anyAttendant, (attendant) => {
        const edit = { type: 'replaceEverywhere', from: contactId.create('nobody'), to: harbourMaster.id } as const;
        expect(applyEdit(attendant, edit)).toBe(attendant);
        expect(describeEdit(edit, attendant, { [harbourMaster.id]: 'Harbour master' })).toBe(
          'replace something deleted by Harbour master everywhere',
        );
      }),
    );
  });
});

describe('copying a sheet', () => {
  it('leaves the original alone and never leads back to it', () => {
    fc.assert(
      fc.property(anyAttendant, fc.nat({ max: 3 }), (attendant, index) => {
        const sheet = attendant.sheets[index];
        if (!sheet) return;
        const before = JSON.stringify(sheet);
        const copy = copyOfSheet(sheet, sheetId.create('copy'), 'Copy');
        expect(JSON.stringify(sheet)).toBe(before);
        const added = applyEdit(attendant, { type: 'addSheet', sheet: copy, atIndex: index + 1 });
        expect(added.sheets[index + 1]?.name).toBe('Copy');
        const inCopy = usesOf(added, sheet.id).filter(
          (use) => 'slot' in use && 'sheetId' in use.slot && use.slot.sheetId === copy.id,
        );
        expect(inCopy).toEqual([]);
      }),
    );
  });
});

describe('searching', () => {
  it('finds every sheet by its own name, and only what contains the text', () => {
    fc.assert(
      fc.property(anyAttendant, (attendant) => {
        for (const { id, name } of attendant.sheets) {
          expect(searchAttendant(attendant, name)).toContainEqual({ type: 'sheet', sheetId: id, text: name });
        }
        for (const { text } of searchAttendant(attendant, 'silence')) expect(text.toLowerCase()).toContain('silence');
      }),
    );
  });
});
