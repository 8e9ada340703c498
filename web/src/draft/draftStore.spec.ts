import { mergeAttendants, newMenu, schemaVersion, sheetId, type Attendant, type Edit } from '@locutor/core/line';
import { Saver, type Kept } from '../saving/saver';
import { DraftStore } from './draftStore';

const menuId = sheetId.create('welcome');
const attendant: Attendant = {
  schemaVersion,
  voice: 'slt',
  sheets: [newMenu(menuId, 'Welcome')],
  paths: [],
  fallbacks: [],
  answering: { rules: [], otherwise: [{ type: 'goTo', sheetId: menuId }] },
};
const type = (words: string, part: 'openingWords' | 'closingWords' = 'openingWords'): Edit => ({
  type: 'setWords',
  sheetId: menuId,
  part,
  words,
});

let server: Kept<Attendant>;
let fails: 'refused' | null;
let store: DraftStore;

beforeEach(() => {
  server = { revision: 1, document: attendant };
  fails = null;
  const saver = new Saver<Attendant>(server, {
    save: ({ revision }, document) => {
      if (fails) return Promise.reject(new Error(fails));
      if (revision !== server.revision) return Promise.reject(new Error('stale'));
      server = { revision: revision + 1, document };
      return Promise.resolve(server);
    },
    load: () => Promise.resolve(server),
    backUp: () => undefined,
    failureOf: (error) => ({ type: (error as Error).message as 'stale', says: (error as Error).message }),
    later: () => () => undefined,
    merge: mergeAttendants,
    tell: (_, clashes) => clashes.map(({ at }) => ({ where: at.join(' '), mine: '', theirs: '' })),
  });
  store = new DraftStore(saver);
});

const draft = (): Attendant => store.getSnapshot().history.present;
const wordsIn = (of: Attendant, part: 'openingWords' | 'closingWords' = 'openingWords'): unknown =>
  (of.sheets[0] as unknown as Record<string, unknown>)[part];
/** What another window saves, from what the server has. */
const elsewhere = (edited: Partial<Attendant>): void => {
  server = { revision: server.revision + 1, document: { ...server.document, ...edited } };
};

describe('the draft', () => {
  it('is edited, undone and done again, and saved each time', async () => {
    store.edit(type('Ahoy'));
    store.edit({ type: 'setVoice', voice: 'rms' });
    expect(store.getSnapshot().saving.type).toBe('saving');
    expect(await store.saveNow()).toBe(2);
    expect([wordsIn(server.document), server.document.voice]).toEqual(['Ahoy', 'rms']);
    store.undo();
    expect([wordsIn(draft()), draft().voice]).toEqual(['Ahoy', 'slt']);
    store.undo();
    store.redo();
    await store.saveNow();
    expect([wordsIn(server.document), server.document.voice]).toEqual(['Ahoy', 'slt']);
    expect(store.getSnapshot()).toMatchObject({ saving: { type: 'saved' }, revision: 3 });
  });

  it('tells those who listen of every edit, once', () => {
    const seen: unknown[] = [];
    const stop = store.subscribe(() => seen.push(wordsIn(draft())));
    store.edit(type('Ahoy'));
    store.undo();
    expect(seen).toEqual(['Ahoy', '']);
    store.undo();
    stop();
    store.edit(type('Hello'));
    expect(seen).toEqual(['Ahoy', '']);
  });

  it('says why it was refused', async () => {
    fails = 'refused';
    store.edit(type('much too long'));
    await expect(store.saveNow()).rejects.toThrow('refused');
    expect(store.getSnapshot().saving).toEqual({ type: 'refused', says: 'refused' });
  });
});

describe('a draft that another window has saved meanwhile', () => {
  it('has both changes, and undoing takes back those made here alone', async () => {
    store.edit(type('Ahoy'));
    store.edit(type('Bye', 'closingWords'));
    elsewhere({ voice: 'rms' });
    await expect(store.saveNow()).rejects.toThrow();
    await store.saveNow();
    expect([draft().voice, wordsIn(draft()), wordsIn(draft(), 'closingWords')]).toEqual(['rms', 'Ahoy', 'Bye']);
    expect(server.document).toEqual(draft());
    store.undo();
    expect([draft().voice, wordsIn(draft()), wordsIn(draft(), 'closingWords')]).toEqual(['rms', 'Ahoy', '']);
    store.undo();
    expect([draft().voice, wordsIn(draft())]).toEqual(['rms', '']);
    store.redo();
    expect([draft().voice, wordsIn(draft())]).toEqual(['rms', 'Ahoy']);
  });

  it('waits for a choice where both changed the same words', async () => {
    store.edit(type('Mine'));
    elsewhere({ sheets: [{ ...newMenu(menuId, 'Welcome'), openingWords: 'Theirs' }] });
    await expect(store.saveNow()).rejects.toThrow('Choose first');
    expect(store.getSnapshot().saving).toMatchObject({ type: 'clash', clashes: [{ where: expect.any(String) }] });
    store.saver.choose(['theirs']);
    expect([wordsIn(draft()), store.getSnapshot().saving.type]).toEqual(['Theirs', 'saved']);
  });

  it('is taken over when this window had it changed, and undo brings back what stood here', async () => {
    store.edit(type('Ahoy'));
    await store.saveNow();
    elsewhere({ voice: 'awb' });
    await store.reload('replace Noor');
    expect([draft().voice, wordsIn(draft())]).toEqual(['awb', 'Ahoy']);
    expect(store.getSnapshot().history.done.at(-1)?.edit).toMatchObject({ type: 'replace', why: 'replace Noor' });
    store.undo();
    expect([draft().voice, wordsIn(draft())]).toEqual(['slt', 'Ahoy']);
  });
});
