import fc from 'fast-check';
import { cases } from '../testing/cases';
import { groupsBy, isSame, itemsBy, membersOf, merge, orderOf, type Clash, type Side } from '.';

interface Boat {
  readonly id: string;
  readonly name: string;
  readonly mooring: string;
}
interface Yard {
  readonly owner: string;
  readonly boats: readonly Boat[];
  readonly tides: readonly { readonly day: string; readonly at: number }[];
}

const shape = membersOf({
  boats: itemsBy<Boat>(({ id }) => id, membersOf()),
  tides: groupsBy<Yard['tides'][number]>(({ day }) => day),
});
const boat = (id: string, name = id, mooring = ''): Boat => ({ id, name, mooring });
const yard: Yard = {
  owner: 'Wendell',
  boats: [boat('a'), boat('b'), boat('c')],
  tides: [
    { day: 'Mon', at: 3 },
    { day: 'Mon', at: 15 },
    { day: 'Tue', at: 4 },
  ],
};
const merged = (mine: Yard, theirs: Yard, choose?: (clash: Clash) => Side) => merge(yard, mine, theirs, shape, choose);
const withBoats = (...boats: readonly Boat[]): Yard => ({ ...yard, boats });
const ids = ({ boats }: Yard): string => boats.map(({ id }) => id).join('');

describe('merging two changes of one document', () => {
  it('has both where different things were changed, in different members and items', () => {
    const mine = { ...yard, owner: 'Rosalind', boats: [boat('a', 'Petrel'), boat('b'), boat('c')] };
    const theirs = withBoats(boat('a', 'a', '12'), boat('b', 'Tern'), boat('c'));
    expect(merged(mine, theirs)).toEqual({
      document: { ...yard, owner: 'Rosalind', boats: [boat('a', 'Petrel', '12'), boat('b', 'Tern'), boat('c')] },
      clashes: [],
    });
  });

  it('clashes where one thing was changed to two, and takes what is chosen', () => {
    const [mine, theirs] = [withBoats(boat('a', 'Petrel')), withBoats(boat('a', 'Tern'))];
    const base = withBoats(boat('a'));
    const clash = { at: ['boats', 'a', 'name'], base: 'a', mine: 'Petrel', theirs: 'Tern' };
    expect(merge(base, mine, theirs, shape)).toEqual({ document: theirs, clashes: [clash] });
    expect(merge(base, mine, theirs, shape, () => 'mine')).toEqual({ document: mine, clashes: [clash] });
  });

  it('does not clash where both did the same', () => {
    expect(merged({ ...yard, owner: 'Juno' }, { ...yard, owner: 'Juno' }).clashes).toEqual([]);
  });

  it('leaves out what one took out, and clashes when the other changed it meanwhile', () => {
    const without = withBoats(boat('a'), boat('c'));
    const renamed = withBoats(boat('a', 'Petrel'), boat('b'), boat('c'));
    expect(merged(without, renamed).document.boats).toEqual([boat('a', 'Petrel'), boat('c')]);
    const changed = withBoats(boat('a'), boat('b', 'Tern'), boat('c'));
    const { document, clashes } = merged(without, changed);
    expect(clashes).toEqual([{ at: ['boats', 'b'], base: boat('b'), mine: undefined, theirs: boat('b', 'Tern') }]);
    expect(document).toEqual(changed);
    expect(merged(without, changed, () => 'mine').document).toEqual(without);
  });

  it('puts what both added after what it came after', () => {
    const mine = withBoats(boat('a'), boat('m'), boat('b'), boat('c'));
    const theirs = withBoats(boat('t'), boat('a'), boat('b'), boat('c'), boat('u'));
    expect(ids(merged(mine, theirs).document)).toBe('tambcu');
  });

  it('keeps the order that one changed, with what the other added, and clashes where both changed it', () => {
    const mine = withBoats(boat('c'), boat('a'), boat('b'));
    const theirs = withBoats(boat('a'), boat('t'), boat('b'), boat('c'));
    expect(ids(merged(mine, theirs).document)).toBe('catb');
    expect(ids(merged(theirs, mine).document)).toBe('catb');
    const other = withBoats(boat('b'), boat('a'), boat('c'));
    const both = merged(mine, other);
    expect(both.clashes.map(({ at }) => at)).toEqual([['boats', orderOf]]);
    expect(ids(both.document)).toBe('bac');
    expect(ids(merged(mine, other, () => 'mine').document)).toBe('cab');
  });

  it('changes those of a group as one, and no other group with them', () => {
    const mine = { ...yard, tides: [...yard.tides.slice(0, 2), { day: 'Tue', at: 5 }] };
    const theirs = { ...yard, tides: [{ day: 'Mon', at: 2 }, ...yard.tides.slice(2), { day: 'Sun', at: 9 }] };
    expect(merged(mine, theirs)).toEqual({
      document: {
        ...yard,
        tides: [
          { day: 'Mon', at: 2 },
          { day: 'Tue', at: 5 },
          { day: 'Sun', at: 9 },
        ],
      },
      clashes: [],
    });
    const clash = merged({ ...yard, tides: [{ day: 'Mon', at: 1 }, ...yard.tides.slice(2)] }, theirs).clashes[0];
    expect(clash).toMatchObject({ at: ['tides', 'Mon'], mine: [{ at: 1 }], theirs: [{ at: 2 }] });
  });

  it('gives back the very parts that nobody changed', () => {
    const theirs = withBoats(boat('a', 'Petrel'), ...yard.boats.slice(1));
    const { document } = merged({ ...yard, owner: 'Juno' }, theirs);
    expect(document.boats).toBe(theirs.boats);
    expect(merged(yard, theirs).document).toBe(theirs);
  });

  it('takes a member that is there on one side only as added or taken out', () => {
    const of = membersOf();
    expect(merge<object>({ a: 1 }, { a: 1, b: 2 }, { a: 1, c: 3 }, of).document).toEqual({ a: 1, c: 3, b: 2 });
    expect(merge<object>({ a: 1, b: 2 }, { a: 1 }, { a: 5, b: 2 }, of)).toEqual({ document: { a: 5 }, clashes: [] });
  });

  it('clashes as a whole where one side is of another make', () => {
    const of = itemsBy<Boat>(({ id }) => id);
    expect(merge<unknown>([], [boat('a')], null, of).clashes).toMatchObject([{ at: [], theirs: null }]);
  });
});

const name = fc.constantFrom('a', 'b', 'c', 'd');
const anyYard: fc.Arbitrary<Yard> = fc.record({
  owner: name,
  boats: fc.uniqueArray(fc.record({ id: name, name, mooring: name }), { selector: ({ id }) => id }),
  tides: fc
    .uniqueArray(fc.record({ day: name, at: fc.integer({ min: 0, max: 3 }) }), { selector: ({ day, at }) => day + at })
    .map((tides) => tides.sort((one, other) => one.day.localeCompare(other.day))),
});

describe('merging any two changes', () => {
  it('changes nothing where only one side did, and is that side where that is chosen throughout', () => {
    fc.assert(
      fc.property(anyYard, anyYard, anyYard, (base, mine, theirs) => {
        expect(merge(base, mine, base, shape)).toEqual({ document: mine, clashes: [] });
        expect(merge(base, base, theirs, shape)).toEqual({ document: theirs, clashes: [] });
        expect(merge(base, mine, mine, shape)).toEqual({ document: mine, clashes: [] });
      }),
      cases(2000),
    );
  });

  it('is the same from either window, but for where what both added stands', () => {
    const flip = (side: Side): Side => (side === 'mine' ? 'theirs' : 'mine');
    const sorted = ({ boats, ...more }: Yard) => ({ ...more, boats: boats.toSorted((a, b) => (a.id < b.id ? -1 : 1)) });
    fc.assert(
      fc.property(anyYard, anyYard, anyYard, fc.boolean(), (base, mine, theirs, isMine) => {
        const side: Side = isMine ? 'mine' : 'theirs';
        const here = merge(base, mine, theirs, shape, () => side);
        const there = merge(base, theirs, mine, shape, () => flip(side));
        expect(here.clashes.length).toBe(there.clashes.length);
        expect(here.document.owner).toBe(there.document.owner);
        expect(sorted(here.document).boats).toEqual(sorted(there.document).boats);
      }),
      cases(2000),
    );
  });

  it('loses nothing that only one side changed', () => {
    fc.assert(
      fc.property(anyYard, anyYard, anyYard, (base, mine, theirs) => {
        const { document } = merge(base, mine, theirs, shape);
        for (const mineOne of mine.boats) {
          const [before, other] = [base, theirs].map(({ boats }) => boats.find(({ id }) => id === mineOne.id));
          if (isSame(before, mineOne) || !isSame(before, other)) continue;
          expect(document.boats).toContainEqual(mineOne);
        }
      }),
      cases(2000),
    );
  });
});
