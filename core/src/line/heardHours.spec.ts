import { dayNumber, instantOf, openTimesOn, type Hours } from '../hours';
import { saidToday } from '../speech';
import { attendant, hours, lunch, message, open, zone } from '../testing/boatyard';
import { heardHours, type AnsweringRule } from '.';

const withLunch: Hours = {
  ...hours,
  week: [...hours.week, { periodId: lunch.id, day: 1, startMin: 720, endMin: 750 }],
};
const whileOpen: AnsweringRule = { type: 'period', periodId: open.id, path: message };
const atLunch: AnsweringRule = { type: 'period', periodId: lunch.id, path: message };
const monday = dayNumber(2026, 11, 23);
const said = (rules: readonly AnsweringRule[]): string =>
  saidToday(heardHours(withLunch, { rules, otherwise: [] }), zone, instantOf('2026-11-23T09:00', zone), {
    language: 'en',
  });

describe('the hours that callers are told', () => {
  it('have a break where the second period answers in place of the first', () => {
    expect(said([atLunch, whileOpen])).toBe('eight to noon and half past twelve to half past five');
  });

  it('have none where it answers nothing, or only once the first does not', () => {
    expect(said([whileOpen])).toBe('eight to half past five');
    expect(said([whileOpen, atLunch])).toBe('eight to half past five');
    expect(said([])).toBe('eight to half past five');
  });

  it('are the same ones for the same answering order, so that what is remembered of them lasts', () => {
    const { answering } = attendant;
    expect(heardHours(withLunch, answering)).toBe(heardHours(withLunch, answering));
    expect(heardHours(hours, { rules: [atLunch, whileOpen], otherwise: [] })).toBe(hours);
  });

  it('leave the hours themselves alone', () => {
    heardHours(withLunch, { rules: [whileOpen], otherwise: [] });
    expect(openTimesOn(withLunch, monday)).toHaveLength(2);
  });
});
