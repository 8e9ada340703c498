import fc from 'fast-check';
import { noor } from '../testing/boatyard';
import {
  extensionPlan,
  extensionTakenBy,
  findByKeypad,
  freeFirstDigits,
  isInList,
  keysOfName,
  nameParts,
  nextFreeExtension,
  personId,
  readCallerPattern,
  readKeypad,
  renumbered,
  spellingsOf,
  type CallerList,
  type Person,
} from '.';

const name = fc.oneof(
  fc.constantFrom('Wendell Achterberg', 'Rosalind Achterberg', 'Mateo O’Dowd', 'Åse Øyen', 'Wu Li', '李', 'Odile'),
  fc.string({ minLength: 1, maxLength: 20 }),
);
const people = fc
  .array(fc.record({ name, extension: fc.integer({ min: 10, max: 2999 }).map(String), inDirectory: fc.boolean() }), {
    maxLength: 25,
  })
  .map((list) => list.map((each, index): Person => ({ ...noor, ...each, id: personId.create(String(index)) })));

describe('any directory by keypad', () => {
  it('finds everybody who can be found by each of their own spellings, and nobody who was left out', () => {
    fc.assert(
      fc.property(people, fc.constantFrom(...nameParts), (all, part) => {
        for (const person of all) {
          for (const keys of spellingsOf(person, part)) {
            expect(findByKeypad(all, keys, part).includes(person)).toBe(person.inDirectory);
          }
        }
      }),
    );
  });

  it('reports exactly those who share all their letters, or have none', () => {
    fc.assert(
      fc.property(people, fc.constantFrom(...nameParts), (all, part) => {
        const report = readKeypad(all, part);
        for (const { keys, people: ids } of report.collisions) {
          expect(ids.length).toBeGreaterThan(1);
          const found = findByKeypad(all, keys, part).map(({ id }) => id);
          expect(ids.filter((id) => !found.includes(id))).toEqual([]);
        }
        for (const id of report.unfindable) {
          const person = all.find((each) => each.id === id);
          expect(person && spellingsOf(person, part)).toEqual([]);
        }
        expect(report.leftOut).toHaveLength(all.filter(({ inDirectory }) => !inDirectory).length);
      }),
    );
  });

  it('only ever uses the keys that have letters', () => {
    fc.assert(fc.property(fc.string(), (text) => expect(keysOfName(text)).toMatch(/^[2-9]*$/)));
  });
});

describe('any extension plan', () => {
  it('holds every extension in one run, none in a gap, and offers one that is free', () => {
    fc.assert(
      fc.property(people, (all) => {
        const plan = extensionPlan(all);
        const inside = ({ from, to }: { from: string; to: string }, extension: string): boolean =>
          extension.length === from.length && Number(extension) >= Number(from) && Number(extension) <= Number(to);
        for (const { extension } of all) {
          expect(plan.runs.filter((run) => inside(run, extension))).toHaveLength(1);
          expect(plan.gaps.filter((gap) => inside(gap, extension))).toEqual([]);
        }
        expect(extensionTakenBy(all, plan.nextFree)).toBeUndefined();
        expect(plan.nextFree).toBe(nextFreeExtension(all));
        const doubled = new Set(plan.doubles.map(({ extension }) => extension));
        const count = (extension: string): number => all.filter((each) => each.extension === extension).length;
        expect(all.every(({ extension }) => doubled.has(extension) === count(extension) > 1)).toBe(true);
      }),
    );
  });

  it('is renumbered and back without anybody losing their number', () => {
    fc.assert(
      fc.property(people, (all) => {
        const [to] = freeFirstDigits(all);
        const [from] = all[0]?.extension ?? '';
        if (!to || !from) return;
        const there = renumbered(all, from, to);
        const moved = all.map((person) => ({ ...person, extension: there.get(person.id) ?? person.extension }));
        const back = renumbered(moved, to, from);
        expect(moved.map(({ id, extension }) => back.get(id) ?? extension)).toEqual(
          all.map(({ extension }) => extension),
        );
        expect(extensionPlan(moved).doubles).toHaveLength(extensionPlan(all).doubles.length);
      }),
    );
  });
});

describe('any list of callers', () => {
  const digits = fc.stringMatching(/^[1-9][0-9]{6,12}$/);
  const list = (patterns: readonly string[], anonymous = false): CallerList => ({
    id: 'callers:any' as CallerList['id'],
    name: 'Any',
    kind: 'other',
    patterns,
    anonymous,
  });

  it('holds the numbers that begin as it says, and no others', () => {
    fc.assert(
      fc.property(digits, digits, fc.integer({ min: 1, max: 7 }), (number, other, length) => {
        const read = readCallerPattern(`+${number.slice(0, length)} *`);
        expect(read.ok).toBe(true);
        const pattern = read.ok ? read.value : '';
        expect(isInList(list([pattern]), `+${number}`)).toBe(true);
        expect(isInList(list([pattern]), `+${other}`)).toBe(other.startsWith(number.slice(0, length)));
        expect(isInList(list([pattern]), 'anonymous')).toBe(false);
      }),
    );
  });
});
