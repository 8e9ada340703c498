import { closedAllDay, instantOf, seasonId, specialDateId, type Hours, type SpecialDate, type When } from '../hours';
import { hours as weekdaysOnly, noor, open, zone } from '../testing/boatyard';
import { saidOpening, saidToday, saidWeek, sentencesOf, type SpokenFacts } from '.';

const date = (name: string, when: When, more: Partial<SpecialDate> = {}): SpecialDate => ({
  id: specialDateId.create(name.replace(/\W/g, '')),
  name,
  when,
  moved: 'stays',
  hours: closedAllDay,
  words: '',
  ...more,
});
const at = (reading: string): number => instantOf(reading, zone);
const thanksgiving = date('Thanksgiving', { type: 'nthWeekday', nth: 4, weekday: 4, month: 11, plusDays: 0, days: 2 });
const eve = date(
  'Christmas Eve',
  { type: 'yearly', month: 12, day: 24, days: 1 },
  { hours: { type: 'times', spans: [{ periodId: open.id, startMin: 480, endMin: 720 }] } },
);
const closed = date('Winter break', { type: 'once', from: '2026-12-25', to: '2027-01-04' });
const hours: Hours = { ...weekdaysOnly, special: [thanksgiving, eve, closed] };

describe('hours as people say them, on special dates and around them', () => {
  it.each([
    ['2026-11-25T18:00', 'Monday at eight'],
    ['2026-12-23T18:00', 'tomorrow at eight'],
    ['2026-12-24T13:00', 'Tuesday the fifth of January at eight'],
  ])('at %s it opens next %s', (reading, said) => {
    expect(saidOpening(hours, zone, at(reading), { language: 'en' })).toBe(said);
  });

  it.each([
    ['2026-11-25T09:00', 'eight to half past five'],
    ['2026-11-26T09:00', 'closed'],
    ['2026-12-24T09:00', 'eight to noon'],
  ])('today, at %s, is %s', (reading, said) => {
    expect(saidToday(hours, zone, at(reading), { language: 'en' })).toBe(said);
  });

  it('are those of the season in which they are said', () => {
    const summer = {
      id: seasonId.create('summer'),
      name: 'Summer',
      from: { month: 5, day: 15 },
      to: { month: 9, day: 15 },
      week: [{ periodId: open.id, day: 6 as const, startMin: 420, endMin: 900 }],
    };
    const seasonal: Hours = { ...hours, seasons: [summer] };
    expect(saidWeek(seasonal, zone, at('2026-09-15T09:00'), { language: 'en' })).toBe('Saturday, seven to three');
    expect(saidWeek(seasonal, zone, at('2026-09-16T09:00'), { language: 'en' })).toBe(
      'Monday to Friday, eight to half past five',
    );
    // The last Saturday of summer opens; the one after it is in the regular week.
    expect(saidOpening(seasonal, zone, at('2026-09-12T16:00'), { language: 'en' })).toBe('Wednesday at eight');
  });

  it('leave out an opening that never comes', () => {
    const gone: Hours = { ...hours, week: [] };
    expect(saidOpening({ ...gone, special: [] }, zone, at('2026-11-25T18:00'), { language: 'en' })).toBe('closed');
    // A day with times of its own opens even where the week never does.
    expect(saidOpening(gone, zone, at('2026-12-20T18:00'), { language: 'en' })).toBe('Thursday at eight');
  });
});

describe('the name of a special date in words', () => {
  const facts = (reading: string): SpokenFacts => ({
    business: 'Larkspur Cove Boatyard',
    atMs: at(reading),
    zone,
    hours,
    hoursOf: () => undefined,
    personOf: (id) => (id === noor.id ? noor : undefined),
    takeOf: () => undefined,
  });
  const said = (words: string, reading: string): readonly string[] =>
    sentencesOf(words, 'slt', { type: 'line' }, facts(reading)).map(({ text }) => text);

  it('is said on its days, by the clock of the line, and is nothing on others', () => {
    const words = 'Happy {special}!';
    expect(said(words, '2026-11-26T00:00')).toEqual(['Happy Thanksgiving!']);
    expect(said(words, '2026-11-27T23:59')).toEqual(['Happy Thanksgiving!']);
    expect(said(words, '2026-12-24T09:00')).toEqual(['Happy Christmas Eve!']);
    expect(said(words, '2026-11-28T00:00').join()).not.toContain('Thanksgiving');
  });
});
