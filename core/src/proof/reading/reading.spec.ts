import { readDate } from '../../hours';
import { datesSaid, dayMeant, isOtherWeekday, yearsOver } from './datesSaid';
import { keysSaid, namesKey } from './keysSaid';
import { languageSaid } from './languageSaid';
import { pricesSaid } from './pricesSaid';
import { mayBeSame } from './sameThing';
import { timesSaid } from './timesSaid';

const today = readDate('2026-11-23') ?? 0;

describe('times in words', () => {
  const said = (words: string) =>
    timesSaid(words).map(({ start, end, days }) => [start?.minute ?? null, end?.minute ?? null, days.join('')]);

  it.each([
    ['We are open Monday to Friday, 8 am to 5:30 pm.', [[480, 1050, '12345']]],
    ['Open weekdays from nine to five.', [[540, 300, '12345']]],
    ['Our hours are 8:00–17:00.', [[480, 1020, '']]],
    ['Saturdays eight until noon.', [[480, 720, '6']]],
    ['The dock opens at half past seven.', [[450, null, '']]],
    ['The front desk is at lunch until 12:30.', [[null, 30, '']]],
    ['We close at 5 p.m.', [[null, 1020, '']]],
  ])('are read in “%s”', (words, times) => expect(said(words)).toEqual(times));

  it.each([
    'Waiting takes two to four minutes.',
    'Slips 1 to 12 are taken.',
    'At low water there are six feet at the dock.',
    'Launching runs from the middle of April to the end of May.',
    'Call us at 207 555 0140.',
    'Boats of 20 to 40 feet are hauled out.',
  ])('are not seen in “%s”', (words) => expect(timesSaid(words)).toEqual([]));
});

describe('dates in words', () => {
  it.each([
    ['closed on December 25', [12, 25, null, null]],
    ['on Friday, the 1st of January 2027', [1, 1, 2027, 5]],
    ['reopen on Monday the fourth of January', [1, 4, null, 1]],
    ['until 2026-12-24', [12, 24, 2026, null]],
  ])('are read in “%s”', (words, [month, day, year, weekday]) =>
    expect(datesSaid(words)).toMatchObject([{ month, day, year, weekday }]),
  );

  it('mean the next time they come, and may name the wrong weekday', () => {
    const [first] = datesSaid('Thursday, January 2');
    expect(first && dayMeant(first, today)).toBe(readDate('2027-01-02'));
    expect(first && isOtherWeekday(first, today)).toBe(true);
  });

  it('know a year that is over from one in which something began', () => {
    expect(yearsOver('Our 2025 season is over. In business since 2024.', today)).toEqual([2025]);
  });
});

describe('keys in words', () => {
  it('are read with what they are for, whichever comes first', () => {
    expect(
      keysSaid('For parts, press 3. Press star for help, or dial zero.', 'slt').map(({ key, label }) => [key, label]),
    ).toEqual([
      ['3', 'parts'],
      ['*', 'help'],
      ['0', ''],
    ]);
    expect(keysSaid('Pour les réparations, tapez 2.', 'frWoman').map(({ key }) => key)).toEqual(['2']);
    expect(keysSaid('Press 12 is no key, nor is pressing matters.', 'slt')).toEqual([]);
  });

  it('are named even where nothing tells to press them', () => {
    expect(namesKey('Pour le français, le 9.', '9')).toBe(true);
    expect(namesKey('Or press star now.', '*')).toBe(true);
    expect(namesKey('Our number ends in 0140.', '4')).toBe(false);
  });

  it('are for the same where a word is shared, accents and endings aside', () => {
    expect(mayBeSame('the parts counter', 'parts')).toBe(true);
    expect(mayBeSame('réparations', 'reparation')).toBe(true);
    expect(mayBeSame('accounts', 'moorings')).toBe(false);
  });
});

describe('languages and prices in words', () => {
  it('are told where it is clear', () => {
    expect(languageSaid('Merci de votre appel. Nous sommes fermés pour les fêtes et dans la neige.')).toBe('fr');
    expect(languageSaid('Thank you for calling. We are closed and will be back with you soon.')).toBe('en');
    expect(languageSaid('Larkspur Cove Boatyard.')).toBeUndefined();
  });

  it('of sums of money', () => {
    expect(
      pricesSaid('We are here. Hauling out costs $12.50 a foot, or 400 dollars.').map(({ price }) => price),
    ).toEqual(['$12.50', '400 dollars']);
  });
});
