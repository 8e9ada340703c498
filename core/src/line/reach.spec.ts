import fc from 'fast-check';
import { applyEdit, type Attendant, type Path, type Slot } from '.';
import { pathGraph, placedPaths, placedSteps, reachedFrom, sheetsReachedFrom, stepsThatRun } from './reach';
import { pathAt, slotKey, slotsOf, slotsOfSheet } from './slot';
import { alwaysEnds } from './step';
import { queueReasons } from '../directory';
import { attendant, closedId, fuelId, message, noor, ringFor, welcomeId } from '../testing/boatyard';
import { anyScript } from '../testing/anyScript';
import { cases } from '../testing/cases';

const anyAttendant: fc.Arbitrary<Attendant> = anyScript.map(({ lines }) => lines[0]?.attendant ?? attendant);

/** The places that a call may come to, told a second time: by trying whatever can follow, over and over. */
function reachedByTrying(from: Attendant, start: Slot): ReadonlySet<string> {
  const all = slotsOf(from);
  const found = new Set(all.some((slot) => slotKey(slot) === slotKey(start)) ? [slotKey(start)] : []);
  for (let before = -1; before !== found.size;) {
    before = found.size;
    for (const slot of all) {
      if (found.has(slotKey(slot))) for (const next of followedBy(from, pathAt(from, slot) ?? [])) found.add(next);
    }
  }
  return new Set([...found].filter((key) => all.some((slot) => slotKey(slot) === key)));
}

function followedBy(from: Attendant, path: Path): readonly string[] {
  const end = path.findIndex(alwaysEnds);
  return (end < 0 ? path : path.slice(0, end + 1)).flatMap((step): string[] => {
    if (step.type === 'goTo') {
      return from.sheets.filter(({ id }) => id === step.sheetId).flatMap((sheet) => slotsOfSheet(sheet).map(slotKey));
    }
    if (step.type === 'followPath') return [slotKey({ type: 'named', pathId: step.pathId })];
    if (step.type === 'ringGroup') return [slotKey({ type: 'group', groupId: step.groupId })];
    if (step.type !== 'waitInQueue') return [];
    return queueReasons.map((reason) => slotKey({ type: 'queue', queueId: step.queueId, reason }));
  });
}

describe('what a call may come to', () => {
  it('is found in one go as by trying', () => {
    fc.assert(
      fc.property(anyAttendant, fc.nat(), (any, at) => {
        const all = slotsOf(any);
        const start = all[at % all.length] ?? { type: 'otherwise' };
        const found = new Set(reachedFrom(any, [start]).map(({ slot }) => slotKey(slot)));
        expect(found).toEqual(reachedByTrying(any, start));
      }),
      cases(200),
    );
  });

  it('is everything that leads on, by keys and without', () => {
    expect(sheetsReachedFrom(attendant, [{ type: 'otherwise' }])).toEqual(new Set([closedId]));
    const [rule] = attendant.answering.rules;
    const open: Slot = rule?.type === 'period' ? { type: 'period', periodId: rule.periodId } : { type: 'otherwise' };
    expect(sheetsReachedFrom(attendant, [open])).toEqual(new Set([welcomeId, fuelId]));
  });

  it('ends where a step ends the path', () => {
    const path = [...message, { type: 'goTo', sheetId: fuelId } as const];
    expect(stepsThatRun(path)).toEqual(message);
    const slot = { type: 'silence', sheetId: closedId } as const;
    const edited = applyEdit(attendant, { type: 'setPath', slot, path });
    expect(sheetsReachedFrom(edited, [{ type: 'otherwise' }])).toEqual(new Set([closedId]));
  });
});

describe('the paths of an attendant', () => {
  it('are every place and every step of it', () => {
    fc.assert(
      fc.property(anyAttendant, (any) => {
        expect([...placedPaths(any).values()].map(({ slot }) => slotKey(slot)).sort()).toEqual(
          [...new Set(slotsOf(any).map(slotKey))].sort(),
        );
        for (const { step, slot, stepIndex } of placedSteps(any)) expect(pathAt(any, slot)?.[stepIndex]).toEqual(step);
      }),
      cases(60),
    );
  });

  it('are read again only when one of them changes', () => {
    const before = pathGraph(attendant);
    const typed = applyEdit(attendant, { type: 'setWords', sheetId: welcomeId, part: 'openingWords', words: 'Ahoy.' });
    expect(pathGraph(typed)).toBe(before);
    const slot = { type: 'key', sheetId: welcomeId, key: '1' } as const;
    const changed = applyEdit(typed, { type: 'setPath', slot, path: [ringFor(noor.id, 18), ...message] });
    expect(pathGraph(changed)).not.toBe(before);
    expect(placedPaths(changed).get(slotKey(slot))?.path).toHaveLength(2);
    const removed = applyEdit(changed, { type: 'removeSheet', sheetId: fuelId });
    expect([...placedPaths(removed).values()].some(({ slot: at }) => 'sheetId' in at && at.sheetId === fuelId)).toBe(
      false,
    );
  });
});
