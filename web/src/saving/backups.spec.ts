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
/** As opened by one of the windows, of which some are open. */
const backup = (own = 'here', open: readonly string[] = []): Backup<Attendant> =>
  new Backup('draft', readAttendant, localStorage, { own, isClosed: (id) => id !== own && !open.includes(id) });
const key = 'locutor.unsaved.here draft';
const voiceOf = (taken: ReturnType<Backup<Attendant>['take']>): string =>
  taken === null || taken === 'unreadable' ? String(taken) : taken.document.voice;
const unsavedBy = (voice: Attendant['voice']) => ({
  base: { revision: 3, document: attendant },
  document: { ...attendant, voice },
});

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

  it('of an open window is left alone, also when this one has saved', () => {
    backup('there').keep(unsavedBy('awb'));
    const here = backup('here', ['there']);
    expect(here.take()).toBeNull();
    here.keep(unsavedBy('rms'));
    here.keep(null);
    expect(voiceOf(backup('there').take())).toBe('awb');
  });

  it('of a closed window is taken up, and stays until it is kept or saved here', () => {
    backup('closed').keep(unsavedBy('awb'));
    const here = backup();
    expect(voiceOf(here.take())).toBe('awb');
    expect(voiceOf(backup('next').take())).toBe('awb');
    here.keep(null);
    expect(backup('next').take()).toBeNull();
  });

  it('of several closed windows is taken up one after the other', () => {
    backup('closed').keep(unsavedBy('awb'));
    backup('closed-too').keep(unsavedBy('rms'));
    const here = backup();
    const first = voiceOf(here.take());
    here.keep(null);
    expect([first, voiceOf(here.take())].sort()).toEqual(['awb', 'rms']);
    here.keep(null);
    expect(here.take()).toBeNull();
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
      length: 0,
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
