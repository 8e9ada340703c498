import { keys, newMenu, sheetId, type Key } from '@locutor/core/line';
import type { Finding } from '@locutor/core/proof';
import { periodId } from '@locutor/core/hours';
import { textureOf } from '../../parts/textures';
import { findingSheet } from './findingSheet';
import { nextFreeKey } from './nextFreeKey';

const welcome = newMenu(sheetId.create('welcome'), 'Welcome');
const withKeys = (used: readonly Key[]) => ({
  ...welcome,
  options: used.map((key) => ({ key, label: key, readOut: true, path: [] })),
});

describe('the next key that is offered', () => {
  it.each<[readonly Key[], Key | undefined]>([
    [[], '1'],
    [['1', '2', '4'], '3'],
    [['1', '2', '3', '4', '5', '6', '7', '8', '9'], '0'],
    [keys.filter((key) => key !== '#'), '#'],
    [keys, undefined],
  ])('after %j is %s', (used, next) => expect(nextFreeKey(withKeys(used))).toBe(next));
});

describe('a finding', () => {
  const finding = (at: Finding['at']): Finding => ({
    rule: 'pathEmpty',
    grade: 'fault',
    consequence: 'wrongPlace',
    key: 'pathEmpty',
    at,
  });

  it('is mended on the sheet it is on, or in the hours', () => {
    const sheet = welcome.id;
    expect(findingSheet(finding({ type: 'sheet', sheetId: sheet }))).toBe(sheet);
    expect(findingSheet(finding({ type: 'path', slot: { type: 'silence', sheetId: sheet }, stepIndex: null }))).toBe(
      sheet,
    );
    expect(findingSheet(finding({ type: 'path', slot: { type: 'otherwise' }, stepIndex: 0 }))).toBeUndefined();
  });
});

describe('periods', () => {
  const periods = ['a', 'b', 'c', 'd', 'e'].map((name) => ({ id: periodId.create(name), name }));

  it('next to each other never look alike, and where none runs it is blank', () => {
    const looks = periods.map(({ id }) => JSON.stringify(textureOf(periods, id)));
    looks.slice(1).forEach((look, index) => expect(look).not.toBe(looks[index]));
    expect(textureOf(periods, null)).toEqual({ bg: 'transparent' });
  });
});
