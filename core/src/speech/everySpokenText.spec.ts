import { personDefaults, personId } from '../directory';
import { newMenu, sheetId } from '../line';
import { attendant, hours } from '../testing/boatyard';
import { everySpokenText, type SaidText } from '.';

const nothing = { greetings: [], groups: [], queues: [], boxes: [], hours, switchWords: '', people: [] };
const person = (name: string, more: object = {}) => ({
  ...personDefaults,
  ...{ id: personId.create(name.toLowerCase()), name, extension: '201' },
  ...more,
});
const names = (texts: readonly SaidText[]) =>
  texts.filter(({ place }) => place.type === 'name').map(({ typed }) => typed);
const phrases = (texts: readonly SaidText[]) => texts.filter(({ place }) => place.type === 'phrase');

describe('everything that a caller can hear', () => {
  it('holds names as they are said, but of nobody who cannot be asked for', () => {
    const people = [person('Tamsin', { saidAs: 'Tam zin' }), person('Odile'), person('Hana', { inDirectory: false })];
    expect(names(everySpokenText(attendant, { ...nothing, people }))).toEqual(['Tam zin', 'Odile']);
  });

  it('holds what the line says by itself, once for each language that it speaks', () => {
    const english = phrases(everySpokenText({ ...attendant, voice: 'slt', sheets: [] }, nothing));
    expect(english.map(({ typed }) => typed)).toContain('You are next in line.');
    const menu = newMenu(sheetId.create('french'), 'French', 'fr');
    const sheets = [
      { ...menu, voice: 'frWoman' as const },
      { ...menu, id: sheetId.create('rms'), voice: 'rms' as const },
    ];
    const both = phrases(everySpokenText({ ...attendant, voice: 'slt', sheets }, nothing));
    expect(both).toHaveLength(2 * english.length);
    expect(new Set(both.map(({ voice }) => voice))).toEqual(new Set(['slt', 'frWoman']));
  });

  it('holds what somebody wrote before all else', () => {
    const [first] = everySpokenText(attendant, { ...nothing, people: [person('Odile')] });
    expect(first?.place.type).toBe('words');
  });
});
