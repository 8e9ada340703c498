import { applyEdit, newMenu, schemaVersion, sheetId, type Attendant } from '@locutor/core/line';
import { sheetChoicesOf } from '../path/sheetChoices';
import { answeringPartOf } from './answeringPart';
import { DraftStore, type DraftDoors } from './draftStore';

const [welcome, closed] = [sheetId.create('welcome'), sheetId.create('closed')];
const attendant: Attendant = {
  schemaVersion,
  voice: 'slt',
  sheets: [newMenu(welcome, 'Welcome'), newMenu(closed, 'After hours')],
  paths: [],
  fallbacks: [],
  answering: { rules: [], otherwise: [{ type: 'goTo', sheetId: welcome }] },
};
const typed = applyEdit(attendant, { type: 'setWords', sheetId: welcome, part: 'openingWords', words: 'Ahoy.' });
const renamed = applyEdit(attendant, { type: 'renameSheet', sheetId: closed, name: 'Night' });

describe('parts of the draft', () => {
  it('stay the same while words are typed, so that nothing else is drawn again', () => {
    expect(sheetChoicesOf(attendant)).toBe(sheetChoicesOf(typed));
    expect(answeringPartOf(attendant)).toBe(answeringPartOf(typed));
  });

  it('are others when a sheet is renamed, added or answers otherwise', () => {
    const before = sheetChoicesOf(attendant);
    expect(sheetChoicesOf(renamed)).toEqual([
      { value: welcome, label: 'Welcome' },
      { value: closed, label: 'Night' },
    ]);
    expect(sheetChoicesOf(attendant)).toEqual(before);
    const first = answeringPartOf(attendant);
    const answered = applyEdit(attendant, { type: 'setPath', slot: { type: 'otherwise' }, path: [] });
    expect(answeringPartOf(answered)).not.toBe(first);
    expect(answeringPartOf(answered).answering.otherwise).toEqual([]);
  });
});

describe('what the server changes in the draft by itself', () => {
  it('is taken over, is not saved again, and undo brings back what stood here', async () => {
    const saves: Attendant[] = [];
    let due: (() => void)[] = [];
    const doors: DraftDoors = {
      save: (revision, saved) => {
        saves.push(saved);
        return Promise.resolve({ revision: revision + 1 });
      },
      load: () => Promise.resolve({ revision: 7, attendant: renamed }),
      backUp: () => undefined,
      failureOf: () => ({ type: 'unreachable', says: '' }),
      later: (_ms, run) => {
        due.push(run);
        return () => (due = due.filter((each) => each !== run));
      },
    };
    const store = new DraftStore({ revision: 1, attendant }, doors);
    await store.reload('replace Bram Lindqvist');
    expect(store.getSnapshot()).toMatchObject({ revision: 7, saving: { type: 'saved' } });
    expect(store.getSnapshot().history.present).toBe(renamed);
    for (const run of due) run();
    expect(saves).toEqual([]);
    store.undo();
    expect(store.getSnapshot().history.present).toBe(attendant);
  });
});
