import { readTypedDay } from './typedDay';

const read = (text: string, locale = 'en-US') => {
  const typed = readTypedDay(text, 2026, locale);
  return typed && `${typed.year}-${typed.month}-${typed.day}`;
};

describe('a day as it is typed', () => {
  it.each([
    ['1/4/2027', 'en-US', '2027-1-4'],
    ['1/4/2027', 'en-GB', '2027-4-1'],
    ['4.1.2027', 'de-DE', '2027-1-4'],
    ['4.1.27', 'de-DE', '2027-1-4'],
    ['2027/1/4', 'ja-JP', '2027-1-4'],
    ['2027-01-04', 'en-GB', '2027-1-4'],
    ['1/4', 'en-US', '2026-1-4'],
    ['Jan 4, 2027', 'en-US', '2027-1-4'],
    ['4 January 2027', 'en-GB', '2027-1-4'],
    ['Monday 4 January', 'en-GB', '2026-1-4'],
    ['4 janv. 2027', 'fr-FR', '2027-1-4'],
    ['4 Mai 2027', 'de-DE', '2027-5-4'],
    ['4 May', 'de-DE', '2026-5-4'],
  ])('reads %s by the format of %s', (text, locale, day) => expect(read(text, locale)).toBe(day));

  it.each(['', 'soon', '2/30/2027', '13/1/2027', '2027', '4', '1/2/3/4', 'Jan'])('leaves %s unread', (text) => {
    expect(read(text)).toBeUndefined();
  });
});
