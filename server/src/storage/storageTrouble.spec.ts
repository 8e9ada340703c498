import { describeStorageTrouble, storageTroubleOf } from './storageTrouble';

const coded = (code: string): Error => Object.assign(new Error(code), { code });

describe('what is behind an error', () => {
  it.each([
    ['SQLITE_FULL', 'full'],
    ['ENOSPC', 'full'],
    ['SQLITE_READONLY_DBMOVED', 'readOnly'],
    ['EROFS', 'readOnly'],
    ['SQLITE_BUSY_SNAPSHOT', 'locked'],
    ['SQLITE_CORRUPT_VTAB', 'damaged'],
    ['SQLITE_IOERR_FSYNC', 'failing'],
    ['SQLITE_CONSTRAINT_UNIQUE', null],
    ['ENOENT', null],
  ])('%s is %s, also as the database’s library passes it on', (code, trouble) => {
    expect(storageTroubleOf(coded(code))).toBe(trouble);
    expect(storageTroubleOf(Object.assign(new Error('failed'), { driverError: coded(code) }))).toBe(trouble);
  });

  it('is nothing where it is no error of the kind', () => {
    for (const other of [null, undefined, 'full', new Error('full'), { code: 28 }]) {
      expect(storageTroubleOf(other)).toBeNull();
    }
  });
});

it('says what is wrong, where, and what to do, in one sentence', () => {
  for (const trouble of ['full', 'readOnly', 'noFolder', 'locked', 'damaged', 'failing'] as const) {
    expect(describeStorageTrouble(trouble, '/srv/locutor')).toMatch(/^[^.]*\/srv\/locutor[^.]*: [^.]+\.$/);
  }
});
