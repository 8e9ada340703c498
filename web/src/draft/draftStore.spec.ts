import { newMenu, schemaVersion, sheetId, type Attendant, type Edit } from '@locutor/core/line';
import { DraftStore, type DraftDoors, type SavedDraft } from './draftStore';

const menuId = sheetId.create('welcome');
const attendant: Attendant = {
  schemaVersion,
  voice: 'slt',
  sheets: [newMenu(menuId, 'Welcome')],
  paths: [],
  fallbacks: [],
  answering: { rules: [], otherwise: [{ type: 'goTo', sheetId: menuId }] },
};
const type = (words: string): Edit => ({ type: 'setWords', sheetId: menuId, part: 'openingWords', words });
const wordsIn = (draft: Attendant | undefined): unknown =>
  (draft?.sheets[0] as { openingWords?: string } | undefined)?.openingWords;

/** A server and a browser's memory, with time that passes when told. */
function outside(server: SavedDraft = { revision: 1, attendant }) {
  const world = {
    server,
    backup: null as SavedDraft | null,
    failure: null as 'unreachable' | 'refused' | null,
    saves: 0,
    due: [] as (() => void)[],
  };
  const doors: DraftDoors = {
    save: (revision, saved) => {
      world.saves += 1;
      if (world.failure) return Promise.reject(new Error(world.failure));
      if (revision !== world.server.revision) return Promise.reject(new Error('stale'));
      world.server = { revision: revision + 1, attendant: saved };
      return Promise.resolve({ revision: revision + 1 });
    },
    load: () => Promise.resolve(world.server),
    backUp: (unsaved) => (world.backup = unsaved),
    failureOf: (error) => ({ type: (error as Error).message as 'stale', says: (error as Error).message }),
    later: (_ms, run) => {
      world.due.push(run);
      return () => (world.due = world.due.filter((each) => each !== run));
    },
  };
  const passTime = async (): Promise<void> => {
    for (const run of world.due.splice(0)) run();
    for (let turn = 0; turn < 10; turn += 1) await Promise.resolve();
  };
  return { world, doors, passTime };
}

describe('the draft', () => {
  it('saves itself a moment after the last edit, typing in one go', async () => {
    const { world, doors, passTime } = outside();
    const store = new DraftStore(world.server, doors);
    for (const words of ['A', 'Ah', 'Ahoy']) store.edit(type(words));
    expect(store.getSnapshot().saving.type).toBe('saving');
    await passTime();
    expect(world.saves).toBe(1);
    expect(wordsIn(world.server.attendant)).toBe('Ahoy');
    expect(store.getSnapshot()).toMatchObject({ saving: { type: 'saved' }, revision: 2 });
    expect(world.backup).toBeNull();
  });

  it('keeps what is not saved in the browser, and tries again by itself', async () => {
    const { world, doors, passTime } = outside();
    const store = new DraftStore(world.server, doors);
    world.failure = 'unreachable';
    store.edit(type('Ahoy'));
    await passTime();
    expect(store.getSnapshot().saving.type).toBe('unreachable');
    expect(wordsIn(world.backup?.attendant)).toBe('Ahoy');
    world.failure = null;
    await passTime();
    expect(store.getSnapshot().saving.type).toBe('saved');
    expect(wordsIn(world.server.attendant)).toBe('Ahoy');
  });

  it('takes up what was not saved when the window was closed', async () => {
    const { world, doors, passTime } = outside();
    const unsaved = { revision: 1, attendant: { ...attendant, voice: 'awb' as const } };
    const store = new DraftStore(world.server, doors, unsaved);
    expect(store.getSnapshot().history.present.voice).toBe('awb');
    await passTime();
    expect(world.server.attendant.voice).toBe('awb');
  });

  it('asks first when the draft went on in another window meanwhile', () => {
    const { world, doors } = outside({ revision: 5, attendant });
    const unsaved = { revision: 1, attendant: { ...attendant, voice: 'awb' as const } };
    const store = new DraftStore(world.server, doors, unsaved);
    expect(store.getSnapshot().saving.type).toBe('stale');
    expect(world.saves).toBe(0);
  });

  it('says why it was refused, and saves after the next edit', async () => {
    const { world, doors, passTime } = outside();
    const store = new DraftStore(world.server, doors);
    world.failure = 'refused';
    store.edit(type('much too long'));
    await passTime();
    expect(store.getSnapshot().saving).toEqual({ type: 'refused', says: 'refused' });
    world.failure = null;
    store.edit(type('short'));
    await passTime();
    expect(wordsIn(world.server.attendant)).toBe('short');
  });

  describe('changed in another window', () => {
    async function bothChanged() {
      const { world, doors, passTime } = outside();
      const store = new DraftStore(world.server, doors);
      world.server = { revision: 2, attendant: { ...attendant, voice: 'rms' } };
      store.edit(type('Mine'));
      await passTime();
      return { world, store, passTime };
    }

    it('is not overwritten, and goes on keeping what is typed', async () => {
      const { world, store, passTime } = await bothChanged();
      expect(store.getSnapshot().saving.type).toBe('stale');
      store.edit(type('Mine, still'));
      await passTime();
      expect(world.server.attendant.voice).toBe('rms');
      expect(wordsIn(world.backup?.attendant)).toBe('Mine, still');
    });

    it('can be kept over the other', async () => {
      const { world, store, passTime } = await bothChanged();
      store.keepMine();
      await passTime();
      expect(world.server).toMatchObject({ revision: 3, attendant: { voice: 'slt' } });
      expect(wordsIn(world.server.attendant)).toBe('Mine');
    });

    it('can be left for the other, and undo brings it back', async () => {
      const { world, store, passTime } = await bothChanged();
      store.takeTheirs();
      expect(store.getSnapshot()).toMatchObject({ revision: 2, saving: { type: 'saved' } });
      expect(store.getSnapshot().history.present.voice).toBe('rms');
      store.undo();
      await passTime();
      expect(wordsIn(world.server.attendant)).toBe('Mine');
    });
  });

  it('saves at once when asked, as before going on air', async () => {
    const { world, doors } = outside();
    const store = new DraftStore(world.server, doors);
    expect(await store.saveNow()).toBe(1);
    store.edit(type('Ahoy'));
    expect(await store.saveNow()).toBe(2);
    expect(wordsIn(world.server.attendant)).toBe('Ahoy');
    world.failure = 'unreachable';
    store.edit(type('Ahoy there'));
    await expect(store.saveNow()).rejects.toThrow('unreachable');
  });
});
