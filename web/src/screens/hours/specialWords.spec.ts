import { closedAllDay, periodId, readDate, type SpecialHours } from '@locutor/core/hours';
import { monthChoices, showDay, showDays, specialHoursWords } from './specialWords';

const open = { id: periodId.create('open'), name: 'Open' };
const hours = { periods: [open] };
const day = (text: string): number => readDate(text) ?? NaN;
const plain = (text: string): string => text.replace(/[\u2009\u202f]/g, ' ');

describe('special dates as they are shown', () => {
  it('have their days in the user’s own format', () => {
    expect(showDay(day('2026-11-26'))).toBe('Thu, Nov 26, 2026');
    expect(showDays({ from: day('2026-11-26'), to: day('2026-11-26') })).toBe('Thu, Nov 26, 2026');
    expect(plain(showDays({ from: day('2026-12-24'), to: day('2027-01-01') }))).toBe(
      'Thu, Dec 24, 2026 – Fri, Jan 1, 2027',
    );
    expect(monthChoices.map(({ label }) => label).slice(0, 2)).toEqual(['January', 'February']);
  });

  it.each<[SpecialHours, string]>([
    [closedAllDay, 'closed'],
    [{ type: 'closed', startMin: 840, endMin: 960 }, 'closed 2:00 PM to 4:00 PM'],
    [{ type: 'times', spans: [] }, 'closed'],
    [{ type: 'times', spans: [{ periodId: open.id, startMin: 480, endMin: 720 }] }, 'Open 8:00 AM to 12:00 PM'],
    [
      { type: 'times', spans: [{ periodId: periodId.create('gone'), startMin: 480, endMin: 720 }] },
      'something deleted 8:00 AM to 12:00 PM',
    ],
  ])('say what is other than usual: %j', (special, words) => {
    expect(specialHoursWords(special, hours)).toBe(words);
  });
});
