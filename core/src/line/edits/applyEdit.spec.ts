import fc from 'fast-check';
import {
  attendant,
  closedId,
  everybody,
  frontDeskPath,
  frozen,
  fuelId,
  lunch,
  message,
  names,
  noor,
  open,
  priya,
  ringFor,
  slipHolders,
  welcomeId,
} from '../../testing/boatyard';
import {
  describeEdit,
  doEdit,
  findSheet,
  newMenu,
  pathAt,
  redo,
  sheetId,
  startHistory,
  undo,
  usesOf,
  type Menu,
  type Path,
} from '..';
import { applyEdit } from './applyEdit';
import type { Edit } from './edit';

frozen(attendant);

const welcome = (after = attendant): Menu => findSheet(after, welcomeId) as Menu;
const keysOf = (menu: Menu): string => menu.options.map((option) => option.key).join('');
const mooringsPath = pathAt(attendant, { type: 'key', sheetId: welcomeId, key: '1' }) ?? [];

const deskPath = { id: frontDeskPath, name: 'Front desk', steps: [ringFor(noor.id, 18), ...message] };

const edits: readonly (readonly [string, Edit])[] = [
  ['add New menu', { type: 'addSheet', sheet: newMenu(sheetId.create('new'), 'New menu') }],
  ['remove Fuel dock', { type: 'removeSheet', sheetId: fuelId }],
  ['rename Fuel dock to Fuel', { type: 'renameSheet', sheetId: fuelId, name: 'Fuel' }],
  ['type the opening words of Welcome', { type: 'setWords', sheetId: welcomeId, part: 'openingWords', words: 'Ahoy.' }],
  ['type the words of Fuel dock', { type: 'setWords', sheetId: fuelId, part: 'words', words: 'Closed.' }],
  ['change how Welcome waits for keys', { type: 'setMenuSettings', sheetId: welcomeId, settings: { waitSeconds: 9 } }],
  [
    'add key 3 to Welcome',
    { type: 'addKey', sheetId: welcomeId, option: { key: '3', label: 'parts', readOut: true, path: [] } },
  ],
  ['remove key 2 from Welcome', { type: 'removeKey', sheetId: welcomeId, key: '2' }],
  ['move key 1 to 2', { type: 'moveKey', sheetId: welcomeId, from: '1', to: '2' }],
  ['read key 9 out in another place', { type: 'reorderKey', sheetId: welcomeId, key: '9', toIndex: 0 }],
  ['type what key 1 is for', { type: 'setOption', sheetId: welcomeId, key: '1', option: { label: 'boats' } }],
  ['do not read key 1 out', { type: 'setOption', sheetId: welcomeId, key: '1', option: { readOut: false } }],
  [
    'remove “ring Noor Haldane for 18 s” (the silence path of Welcome)',
    {
      type: 'setPath',
      slot: { type: 'silence', sheetId: welcomeId },
      path: message,
    },
  ],
  [
    'ring Priya Castellanos for 18 s (key 9 of Welcome)',
    {
      type: 'setPath',
      slot: { type: 'key', sheetId: welcomeId, key: '9' },
      path: [ringFor(priya.id, 18)],
    },
  ],
  [
    'hang up (what follows Fuel dock)',
    { type: 'setPath', slot: { type: 'after', sheetId: fuelId }, path: [{ type: 'hangUp', words: '' }] },
  ],
  [
    'empty the wrong-key path of Welcome',
    { type: 'setPath', slot: { type: 'wrongKey', sheetId: welcomeId }, path: [] },
  ],
  ['empty the answer at all other times', { type: 'setPath', slot: { type: 'otherwise' }, path: [] }],
  ['empty the answer during Open', { type: 'setPath', slot: { type: 'period', periodId: open.id }, path: [] }],
  ['change the voice', { type: 'setVoice', voice: 'awb' }],
  ['add Lunch to the answering order', { type: 'addRule', rule: { type: 'period', periodId: lunch.id, path: [] } }],
  [
    'add Slip holders to the answering order',
    { type: 'addRule', rule: { type: 'callers', callerListId: slipHolders.id, path: message } },
  ],
  ['take Open out of the answering order', { type: 'removeRule', rule: { type: 'period', periodId: open.id } }],
  ['move Fuel dock in the outline', { type: 'moveSheet', sheetId: fuelId, toIndex: 0 }],
  ['change the voice of Fuel dock', { type: 'setSheetVoice', sheetId: fuelId, voice: 'frWoman' }],
  [
    'let callers dial extensions in Welcome',
    { type: 'setMenuSettings', sheetId: welcomeId, settings: { extensions: { waitSeconds: 3 } } },
  ],
  ['let callers speak in Welcome', { type: 'setMenuSettings', sheetId: welcomeId, settings: { speech: true } }],
  ['add the path Front desk', { type: 'addNamedPath', path: deskPath }],
  ['replace Priya Castellanos by Noor Haldane everywhere', { type: 'replaceEverywhere', from: priya.id, to: noor.id }],
  [
    'cut a step and paste it',
    {
      type: 'together',
      why: 'cut a step and paste it',
      edits: [
        { type: 'setPath', slot: { type: 'key', sheetId: welcomeId, key: '1' }, path: message },
        { type: 'setPath', slot: { type: 'otherwise' }, path: message },
      ],
    },
  ],
  ['put back', { type: 'replace', attendant: { ...attendant, voice: 'rms' }, why: 'put back' }],
];

describe('every edit', () => {
  it.each(edits)('%s: changes the document, is named, and is undone and redone whole', (name, edit) => {
    const before = startHistory(attendant);
    const after = doEdit(before, edit);
    expect(after.present).not.toEqual(attendant);
    expect(describeEdit(edit, attendant, names)).toBe(name);
    expect(undo(after).present).toBe(attendant);
    expect(redo(undo(after)).present).toEqual(after.present);
  });

  it('of any number is undone back to the beginning', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...edits.map(([, edit]) => edit)), { maxLength: 12 }), (list) => {
        let history = startHistory(attendant);
        for (const edit of list) {
          try {
            history = doEdit(history, edit);
          } catch {
            // An edit of what an earlier one removed is refused and leaves the history as it was.
          }
        }
        const end = history.present;
        while (history.done.length > 0) history = undo(history);
        expect(history.present).toEqual(attendant);
        while (history.undone.length > 0) history = redo(history);
        expect(history.present).toEqual(end);
      }),
    );
  });
});

describe('moving keys', () => {
  it('takes words and path along, and lets two keys that meet change places', () => {
    const moved = welcome(applyEdit(attendant, { type: 'moveKey', sheetId: welcomeId, from: '1', to: '2' }));
    expect(moved.options[0]).toMatchObject({ key: '2', label: 'moorings', path: mooringsPath });
    expect(moved.options[1]).toMatchObject({ key: '1', label: 'the fuel dock' });
  });

  it('to a free key leaves the others alone', () => {
    const moved = welcome(applyEdit(attendant, { type: 'moveKey', sheetId: welcomeId, from: '1', to: '5' }));
    expect(keysOf(moved)).toBe('529#');
  });

  it('within the read-out keeps to its ends', () => {
    const toEnd = applyEdit(attendant, { type: 'reorderKey', sheetId: welcomeId, key: '1', toIndex: 99 });
    expect(keysOf(welcome(toEnd))).toBe('29#1');
    const toFront = applyEdit(attendant, { type: 'reorderKey', sheetId: welcomeId, key: '#', toIndex: -5 });
    expect(keysOf(welcome(toFront))).toBe('#129');
  });
});

describe('a path with a name of its own', () => {
  const named = applyEdit(attendant, { type: 'addNamedPath', path: deskPath });
  const slot = { type: 'named', pathId: frontDeskPath } as const;

  it('is renamed, written anew and removed; what follows it is known', () => {
    const renamed = applyEdit(named, { type: 'renameNamedPath', pathId: frontDeskPath, name: 'Desk' });
    const rewritten = applyEdit(renamed, { type: 'setPath', slot, path: message });
    expect(rewritten.paths).toEqual([{ id: frontDeskPath, name: 'Desk', steps: message }]);
    const path = [{ type: 'followPath', pathId: frontDeskPath }] as const;
    const followed = applyEdit(rewritten, { type: 'setPath', slot: { type: 'otherwise' }, path });
    expect(usesOf(followed, frontDeskPath)).toEqual([{ slot: { type: 'otherwise' }, stepIndex: 0 }]);
    expect(applyEdit(followed, { type: 'removeNamedPath', pathId: frontDeskPath }).paths).toEqual([]);
  });

  it('is replaced in with all the rest when somebody leaves', () => {
    const gone = everybody.find(({ id }) => id === noor.id) ?? noor;
    const replaced = applyEdit(named, { type: 'replaceEverywhere', from: gone.id, to: priya.id });
    expect(usesOf(replaced, gone.id)).toEqual([]);
    expect(usesOf(replaced, priya.id)).toHaveLength(usesOf(named, gone.id).length + usesOf(named, priya.id).length);
  });
});

describe('an edit of something that is not there', () => {
  const option = { key: '1', label: '', readOut: true, path: [] } as const;
  it.each<Edit>([
    { type: 'removeSheet', sheetId: sheetId.create('none') },
    { type: 'addSheet', sheet: newMenu(welcomeId, 'Twice') },
    { type: 'addKey', sheetId: welcomeId, option },
    { type: 'removeKey', sheetId: welcomeId, key: '7' },
    { type: 'addKey', sheetId: fuelId, option },
    { type: 'setWords', sheetId: fuelId, part: 'openingWords', words: '' },
    { type: 'setPath', slot: { type: 'after', sheetId: welcomeId }, path: [] },
    { type: 'addRule', rule: { type: 'period', periodId: open.id, path: [] } },
    { type: 'moveRule', rule: { type: 'period', periodId: lunch.id }, toIndex: 0 },
    { type: 'renameNamedPath', pathId: deskPath.id, name: 'Nobody' },
    { type: 'moveSheet', sheetId: sheetId.create('none'), toIndex: 0 },
  ])('is refused: %o', (edit) => expect(() => applyEdit(attendant, edit)).toThrow());
});

describe('undo', () => {
  const type = (words: string, sheet = welcomeId): Edit => ({
    type: 'setWords',
    sheetId: sheet,
    part: 'openingWords',
    words,
  });

  it('takes typing in the same words as one step, and other words as another', () => {
    let history = startHistory(attendant);
    for (const words of ['A', 'Ah', 'Aho', 'Ahoy']) history = doEdit(history, type(words));
    history = doEdit(history, type('Closed', closedId));
    expect(history.done).toHaveLength(2);
    expect(welcome(undo(history).present).openingWords).toBe('Ahoy');
    expect(undo(undo(history)).present).toBe(attendant);
  });

  it('takes typing in a step as one step, but not the adding of it', () => {
    const slot = { type: 'otherwise' } as const;
    const say = (words: string): Edit => ({
      type: 'setPath',
      slot,
      path: [{ type: 'say', spoken: { type: 'typed', words } }] satisfies Path,
    });
    let history = startHistory(attendant);
    for (const words of ['', 'A', 'Ah', 'Ahoy']) history = doEdit(history, say(words));
    expect(history.done).toHaveLength(2);
    expect(pathAt(undo(history).present, slot)).toEqual([{ type: 'say', spoken: { type: 'typed', words: '' } }]);
  });

  it('forgets what was undone once something else is done', () => {
    const undone = undo(doEdit(startHistory(attendant), type('A')));
    expect(doEdit(undone, type('B')).undone).toEqual([]);
  });

  it('does nothing where there is nothing to undo or redo', () => {
    const history = startHistory(attendant);
    expect(undo(history)).toBe(history);
    expect(redo(history)).toBe(history);
  });
});
