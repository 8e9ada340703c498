/** @jest-environment jsdom */
import { schemaVersion, readAttendant, type Attendant } from '@locutor/core/line';
import { Backup, readFields } from './backups';

const attendant: Attendant = {
  schemaVersion,
  voice: 'slt',
  sheets: [],
  paths: [],
  fallbacks: [],
  answering: { rules: [], otherwise: [] },
};
const backup = (): Backup<Attendant> => new Backup('draft', readAttendant);
const key = 'locutor.unsaved.draft';

beforeEach(() => localStorage.clear());

describe('what is not saved yet', () => {
  it('is there again when the window is opened again, until it is saved', () => {
    const unsaved = { base: { revision: 3, document: attendant }, document: { ...attendant, voice: 'awb' as const } };
    backup().keep(unsaved);
    expect(backup().take()).toEqual({ ...unsaved, sent: [] });
    backup().keep(null);
    expect(backup().take()).toBeNull();
  });

  it('is not mixed up with that of another document', () => {
    backup().keep({ base: { revision: 3, document: attendant }, document: attendant });
    expect(new Backup('other', readAttendant).take()).toBeNull();
  });

  it.each([
    ['broken JSON', '{"base":'],
    ['no document', '{"base":{"revision":1}}'],
    ['another make', '{"revision":4,"attendant":{}}'],
    ['a list', '[]'],
    ['nothing', 'null'],
    [
      'a document of a later release',
      JSON.stringify({ base: { revision: 1, document: attendant }, document: { schemaVersion: 99 } }),
    ],
  ])('that is %s is put aside, and does not come up again', (_, text) => {
    localStorage.setItem(key, text);
    expect(backup().take()).toBe('unreadable');
    expect(localStorage.getItem('locutor.unreadable')).toBe(text);
    expect(backup().take()).toBeNull();
  });

  it('is brought to the schema of today', () => {
    const older = { ...attendant, schemaVersion: 4 };
    localStorage.setItem(key, JSON.stringify({ base: { revision: 1, document: older }, document: older }));
    expect(backup().take()).toMatchObject({ document: { schemaVersion } });
  });

  it('stops nobody from typing when the browser keeps nothing', () => {
    const full = {
      getItem: () => null,
      setItem: () => {
        throw new DOMException('full', 'QuotaExceededError');
      },
      removeItem: jest.fn(),
    } as unknown as Storage;
    const unsaved = { base: { revision: 3, document: {} }, document: {} };
    expect(() => new Backup('draft', readFields, full).keep(unsaved)).not.toThrow();
  });
});
