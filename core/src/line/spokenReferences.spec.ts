import { attendant, fuelId, noor, priya, welcomeId } from '../testing/boatyard';
import { hoursId } from '../hours';
import {
  applyEdit,
  describeUse,
  findSheet,
  idsInWords,
  refersTo,
  takeId,
  takesUsed,
  usesOf,
  withoutTakes,
  type Edit,
  type Step,
} from '.';

const take = (id: string) => ({ takeId: takeId.create(id), byVoice: false });
const typed = (words: string): Step => ({ type: 'say', spoken: { type: 'typed', words } });

describe('what words and recordings refer to', () => {
  it('finds the people whose names live parts say, so that they are not deleted unnoticed', () => {
    const words = 'Ask for {name person:noor}, at {extension person:priya}, or {name nobody}.';
    expect(idsInWords(words)).toEqual([noor.id, priya.id]);
    expect(refersTo(typed(words))).toEqual([noor.id, priya.id]);
    expect(refersTo({ type: 'hangUp', words: 'Goodbye from {name person:noor}.' })).toEqual([noor.id]);
    const otherwise = [typed(words)];
    const now = { ...attendant, answering: { rules: [], otherwise } };
    expect(usesOf(now, noor.id)).toContainEqual({ slot: { type: 'otherwise' }, stepIndex: 0 });
  });

  it('lets another person be said everywhere in place of one who leaves', () => {
    const edit: Edit = { type: 'setPath', slot: { type: 'otherwise' }, path: [typed('Ask for {name person:noor}.')] };
    const now = applyEdit(applyEdit(attendant, edit), { type: 'replaceEverywhere', from: noor.id, to: priya.id });
    expect(now.answering.otherwise).toEqual([typed('Ask for {name person:priya}.')]);
  });

  it('finds people and hours in the words of the sheets, and lets others be said there', () => {
    const hours = hoursId.create('yard');
    const edits: readonly Edit[] = [
      { type: 'setWords', sheetId: welcomeId, part: 'closingWords', words: 'Or ask for {name person:noor}.' },
      { type: 'setWords', sheetId: fuelId, part: 'words', words: 'Open {week hours:yard}. {extension person:noor}.' },
    ];
    const now = edits.reduce(applyEdit, attendant);
    expect(usesOf(now, noor.id).filter((use) => 'sheetId' in use)).toEqual([
      { sheetId: welcomeId },
      { sheetId: fuelId },
    ]);
    expect(usesOf(now, hours).map((use) => describeUse(use, now, {}))).toEqual(['the words of Fuel dock']);
    const replaced = applyEdit(now, { type: 'replaceEverywhere', from: noor.id, to: priya.id });
    expect(findSheet(replaced, welcomeId)).toMatchObject({ closingWords: 'Or ask for {name person:priya}.' });
    expect(findSheet(replaced, fuelId)).toMatchObject({ words: 'Open {week hours:yard}. {extension person:priya}.' });
    expect(usesOf(replaced, noor.id).filter((use) => 'sheetId' in use)).toEqual([]);
  });

  it('finds every recording a sheet may be heard from, those that wait for the voice too', () => {
    const edits: readonly Edit[] = [
      { type: 'setTake', sheetId: welcomeId, part: { type: 'openingWords' }, take: take('opening') },
      { type: 'setTake', sheetId: welcomeId, part: { type: 'option', key: '2' }, take: take('two') },
      { type: 'setTake', sheetId: fuelId, part: { type: 'whole' }, take: { ...take('fuel'), byVoice: true } },
    ];
    const now = edits.reduce(applyEdit, attendant);
    expect([...takesUsed(now)].sort()).toEqual(['take:fuel', 'take:opening', 'take:two']);
    expect(takesUsed({ ...now, sheets: now.sheets.map(withoutTakes) }).size).toBe(0);
  });

  it('refuses a recording for a part that a sheet does not have', () => {
    const set = (part: Extract<Edit, { type: 'setTake' }>['part'], sheetId = fuelId) =>
      applyEdit(attendant, { type: 'setTake', sheetId, part, take: take('x') });
    expect(() => set({ type: 'closingWords' })).toThrow('closingWords');
    expect(() => set({ type: 'option', key: '1' })).toThrow('not a menu');
    expect(() => set({ type: 'option', key: '5' }, welcomeId)).toThrow('Key 5');
  });
});
