import { applyEdit, differencesInWords, type Edit } from '..';
import { attendant, closedId, fuelId, lunch, message, names, noor, ringFor, welcomeId } from '../../testing/boatyard';

const told = (...edits: readonly Edit[]) =>
  differencesInWords(attendant, edits.reduce(applyEdit, attendant), names).map(({ where, was, is }) => [
    where,
    was,
    is,
  ]);
const key1 = { type: 'key', sheetId: welcomeId, key: '1' } as const;

describe('differences in words', () => {
  it('are none between alike attendants', () => expect(told()).toEqual([]));

  it('say what a key did and does', () => {
    expect(told({ type: 'setPath', slot: key1, path: [ringFor(noor.id, 18), ...message] })).toEqual([
      [
        'Welcome, key 1',
        '“moorings” · Ring Priya Castellanos for 24 s, then take a message in Office.',
        '“moorings” · Ring Noor Haldane for 18 s, then take a message in Office.',
      ],
    ]);
  });

  it('say what is new, gone and called otherwise', () => {
    expect(
      told(
        { type: 'removeKey', sheetId: welcomeId, key: '9' },
        { type: 'renameSheet', sheetId: fuelId, name: 'Fuel' },
        { type: 'setWords', sheetId: closedId, part: 'openingWords', words: 'Closed.' },
      ),
    ).toEqual([
      ['Welcome, key 9', '“to hear this again” · Say this menu again.', ''],
      ['Fuel', 'called Fuel dock', 'called Fuel'],
      ['After hours, opening words', '“We are closed.”', '“Closed.”'],
    ]);
  });

  it('say what answers when, and in which order', () => {
    const rule = { type: 'period', periodId: lunch.id, path: message } as const;
    expect(told({ type: 'addRule', rule })).toEqual([['The answer during Lunch', '', 'Take a message in Office.']]);
    const two = applyEdit(attendant, { type: 'addRule', rule });
    const { rules } = two.answering;
    const other: typeof two = { ...two, answering: { ...two.answering, rules: [...rules].reverse() } };
    expect(differencesInWords(two, other, names).map(({ where }) => where)).toEqual(['The answering order']);
  });

  it('say that the keys are read out in another order', () => {
    expect(told({ type: 'reorderKey', sheetId: welcomeId, key: '9', toIndex: 0 })).toEqual([
      ['Welcome, order', '1 2 9 #', '9 1 2 #'],
    ]);
  });
});
