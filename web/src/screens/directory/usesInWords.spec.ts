import { periodId } from '@locutor/core/hours';
import {
  newAnnouncement,
  newMenu,
  schemaVersion,
  sheetId,
  type Attendant,
  type Slot,
  type Use,
} from '@locutor/core/line';
import { usesInWords } from './usesInWords';

const welcome = newMenu(sheetId.create('welcome'), 'Welcome');
const fuel = newAnnouncement(sheetId.create('fuel'), 'Fuel dock');
const attendant: Attendant = {
  schemaVersion,
  voice: 'slt',
  sheets: [welcome, fuel],
  paths: [],
  fallbacks: [],
  answering: { rules: [], otherwise: [] },
};
const use = (slot: Slot): Use => ({ slot, stepIndex: 0 });

describe('where something is used', () => {
  it('is gathered by sheet, each place once', () => {
    const uses = [
      use({ type: 'key', sheetId: welcome.id, key: '0' }),
      use({ type: 'key', sheetId: welcome.id, key: '0' }),
      use({ type: 'silence', sheetId: welcome.id }),
      use({ type: 'after', sheetId: fuel.id }),
      use({ type: 'wrongKey', sheetId: welcome.id }),
    ];
    expect(usesInWords(uses, attendant, {})).toBe('Welcome: key 0, silence, wrong keys; Fuel dock: at its end');
  });

  it('may be the hours', () => {
    const open = periodId.create('open');
    const uses = [use({ type: 'period', periodId: open }), use({ type: 'otherwise' })];
    expect(usesInWords(uses, attendant, { [open]: 'Open' })).toBe('Hours: during Open, at all other times');
  });

  it('is nowhere without uses', () => expect(usesInWords([], attendant, {})).toBe(''));
});
