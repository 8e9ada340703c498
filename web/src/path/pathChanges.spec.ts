import { personId } from '@locutor/core/directory';
import { ringDefaults, sheetId, type Path, type Step } from '@locutor/core/line';
import { lineAt } from '../app/lineAt';
import type { KeptLine } from '../api/resources';
import { fits } from '../screens/directory/fits';
import { stepToOtherPath, withoutStep, withStep, withStepMoved, withSteps } from './pathChanges';

const ring = (name: string): Step => ({ ...ringDefaults, type: 'ring', personId: personId.create(name) });
const [noor, priya, juno] = [ring('noor'), ring('priya'), ring('juno')];
const bye: Step = { type: 'hangUp', words: 'Bye.' };
const path: Path = [noor, priya, bye];

describe('changing a path', () => {
  it('puts steps in, takes them out and moves them', () => {
    expect(withSteps(path, 1, [juno])).toEqual([noor, juno, priya, bye]);
    expect(withoutStep(path, 0)).toEqual([priya, bye]);
    expect(withStepMoved(path, 0, 1)).toEqual([priya, noor, bye]);
    expect(withStepMoved(path, 2, 3)).toBe(path);
    expect(withStepMoved(path, 0, -1)).toBe(path);
  });

  it('leaves out what can no longer run, unless ringing only got no limit', () => {
    expect(withStep(path, 0, bye)).toEqual([bye]);
    expect(withStep(path, 0, juno)).toEqual([juno, priya, bye]);
    const forEver: Step = { ...ringDefaults, type: 'ring', personId: personId.create('noor'), seconds: null };
    expect(withStep(path, 0, forEver)).toEqual([forEver, priya, bye]);
  });

  it('holds at most twenty steps', () => {
    const many = Array.from({ length: 15 }, () => noor);
    expect(withSteps(many, 0, many)).toHaveLength(20);
  });

  it('takes a step from one path to another as one edit', () => {
    const sheet = sheetId.create('welcome');
    const from = { slot: { type: 'key', sheetId: sheet, key: '1' } as const, path, index: 1 };
    const to = { slot: { type: 'silence', sheetId: sheet } as const, path: [bye], index: 0 };
    expect(stepToOtherPath(from, to, 'move')).toEqual({
      type: 'together',
      why: 'move',
      edits: [
        { type: 'setPath', slot: from.slot, path: [noor, bye] },
        { type: 'setPath', slot: to.slot, path: [priya, bye] },
      ],
    });
    expect(stepToOtherPath({ ...from, index: 9 }, to, 'move')).toBeUndefined();
  });
});

describe('the line of an address', () => {
  const lines = [{ id: 'line:main' }, { id: 'line:shed' }] as unknown as readonly KeptLine[];
  it.each([
    ['/script', 'line:main', '/'],
    ['/line/line:shed/script', 'line:shed', '/line/line:shed'],
    ['/line/line%3Ashed/script', 'line:shed', '/line/line:shed'],
    ['/line/line:gone/today', 'line:main', '/'],
    ['/line/%E0%A4%A', 'line:main', '/'],
  ])('%s is %s', (address, id, basename) => {
    expect(lineAt(lines, address)).toMatchObject({ line: { id }, basename });
  });
});

describe('searching a list', () => {
  it('takes every word, wherever it stands, whatever its accents', () => {
    expect(fits('noor 21', 'Noor Haldane', '212')).toBe(true);
    expect(fits('', 'anything')).toBe(true);
    expect(fits('ase', 'Åse Øyen')).toBe(true);
    expect(fits('noor 3', 'Noor Haldane', '212')).toBe(false);
  });
});
