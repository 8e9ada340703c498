import { sheetId } from './ids';
import { applyEdit } from './edits/applyEdit';
import { attendant, welcomeId } from '../testing/boatyard';
import { newMenu, type Menu } from './sheet';

const id = sheetId.create('new');
const spoken = (menu: Menu, ...voices: (Menu['voice'] | 'all in German')[]): readonly string[] => {
  const begun = applyEdit(attendant, { type: 'addSheet', sheet: menu });
  const after = voices.reduce(
    (so, voice) =>
      voice === 'all in German'
        ? applyEdit(so, { type: 'setVoice', voice: 'deWoman' })
        : applyEdit(so, { type: 'setSheetVoice', sheetId: menu.id, voice }),
    begun,
  );
  const found = after.sheets.find((sheet) => sheet.id === menu.id) as Menu;
  return [found.silenceWords, found.wrongKeyWords];
};

describe('the words of a menu after silence and wrong keys', () => {
  it('begin in its language', () => {
    expect(newMenu(id, 'Bienvenue', 'fr').silenceWords).toBe('Êtes-vous toujours là ?');
  });

  it('follow the language of its voice, and that of all, as long as nobody changed them', () => {
    const english = newMenu(id, 'New');
    expect(spoken(english, 'frWoman')[0]).toBe('Êtes-vous toujours là ?');
    expect(spoken(english, 'frWoman', null)).toEqual(['Are you still there?', 'Sorry, that key has no use here.']);
    expect(spoken(english, 'all in German')[0]).toBe('Sind Sie noch da?');
    expect(spoken(english, 'frWoman', 'all in German')[0]).toBe('Êtes-vous toujours là ?');
    expect(spoken(english, 'awb')[0]).toBe('Are you still there?');
    const own = { ...english, silenceWords: 'Hello?' };
    expect(spoken(own, 'frWoman')[0]).toBe('Hello?');
  });

  it('of other sheets stay as they are', () => {
    const after = applyEdit(attendant, { type: 'setSheetVoice', sheetId: welcomeId, voice: 'frWoman' });
    expect(after.sheets.slice(1)).toEqual(attendant.sheets.slice(1));
  });
});
