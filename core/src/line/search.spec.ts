import { attendant, fuelId, welcomeId } from '../testing/boatyard';
import { copyOfSheet, findSheet, searchAttendant, sheetId } from '.';

describe('searching the attendant', () => {
  it('finds names, what keys are for, words and what steps say, whatever the capitals and accents', () => {
    expect(searchAttendant(attendant, 'FUEL').map(({ type, text }) => [type, text])).toEqual([
      ['sheet', 'Fuel dock'],
      ['option', 'the fuel dock'],
      ['words', 'The fuel dock opens at eight.'],
    ]);
    expect(searchAttendant(attendant, 'good-bye')).toEqual([]);
    expect(searchAttendant(attendant, 'góodbye')).toEqual([
      { type: 'step', slot: { type: 'key', sheetId: welcomeId, key: '#' }, text: 'Goodbye.' },
    ]);
    expect(searchAttendant(attendant, '  ')).toEqual([]);
  });
});

describe('a copy of a sheet', () => {
  it('is a sheet of its own, and what led to the sheet itself leads to the copy', () => {
    const fuel = findSheet(attendant, fuelId);
    if (fuel?.type !== 'announcement') throw new Error('The fuel dock is missing');
    const round = { ...fuel, afterPath: [{ type: 'goTo' as const, sheetId: fuelId }] };
    const id = sheetId.create('copy');
    expect(copyOfSheet(round, id, 'Fuel dock 2')).toEqual({
      ...fuel,
      id,
      name: 'Fuel dock 2',
      afterPath: [{ type: 'goTo', sheetId: id }],
    });
  });
});
