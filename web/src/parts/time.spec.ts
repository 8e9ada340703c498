import { instantOf } from '@locutor/core/hours';
import { showClock, showLength, showMinutes, showWhen } from './time';

const zone = 'America/New_York';
const at = (reading: string): number => instantOf(reading, zone);

describe('times', () => {
  it('are of the line’s zone', () => {
    expect(showClock(Date.UTC(2026, 10, 23, 22, 30), zone)).toBe('5:30 PM');
    expect(showClock(Date.UTC(2026, 10, 23, 22, 30), 'UTC')).toBe('10:30 PM');
  });

  it.each([
    ['2026-11-23T17:30', '5:30 PM today'],
    ['2026-11-24T08:00', '8:00 AM tomorrow'],
    ['2026-11-22T08:00', '8:00 AM yesterday'],
    ['2026-11-27T08:00', 'Friday 8:00 AM'],
    ['2026-12-01T08:00', 'Tue, Dec 1 8:00 AM'],
    ['2026-11-02T08:00', 'Mon, Nov 2 8:00 AM'],
  ])('%s, seen on a Monday, is %s', (reading, words) => {
    expect(showWhen(at(reading), zone, at('2026-11-23T09:00'))).toBe(words);
  });

  it('count days by the calendar, also on the day the clocks change', () => {
    expect(showWhen(at('2026-11-02T00:30'), zone, at('2026-11-01T00:30'))).toBe('12:30 AM tomorrow');
  });

  it('are minutes of the day, past midnight too', () => {
    expect(showMinutes(1050)).toBe('5:30 PM');
    expect(showMinutes(1560)).toBe('2:00 AM');
  });

  it.each([
    [0, '0:00'],
    [4400, '0:04'],
    [65_000, '1:05'],
    [3_599_900, '60:00'],
  ])('of %i ms read %s as a length', (ms, words) => expect(showLength(ms)).toBe(words));
});
