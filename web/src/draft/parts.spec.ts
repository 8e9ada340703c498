import { applyEdit, newMenu, schemaVersion, sheetId, type Attendant } from '@locutor/core/line';
import { sheetChoicesOf } from '../path/sheetChoices';
import { answeringPartOf } from './answeringPart';

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
