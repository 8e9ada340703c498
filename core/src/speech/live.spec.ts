import { hoursId, instantOf, periodId, type Hours, type Weekday } from '../hours';
import { readPieces, writePiece, type Language, type WordsPiece } from '../line';
import { hours as weekdaysOnly, noor, zone } from '../testing/boatyard';
import { englishClockOf, pauses, respell, saidOpening, saidToday, saidWeek, sentencesOf, type SpokenFacts } from '.';

const open = { id: periodId.create('open'), name: 'Open' };
const lunch = { id: periodId.create('lunch'), name: 'Lunch' };

function hoursOf(
  ...spans: readonly [days: readonly Weekday[], startMin: number, endMin: number, period?: string][]
): Hours {
  const week = spans.flatMap(([days, startMin, endMin, period]) =>
    days.map((day) => ({ periodId: period ? lunch.id : open.id, day, startMin, endMin })),
  );
  return {
    id: hoursId.create('test'),
    name: 'Test',
    periods: [open, lunch],
    week,
    datedWeeks: [],
    seasons: [],
    special: [],
  };
}

const at = (reading: string): number => instantOf(reading, zone);
const facts = (more: Partial<SpokenFacts> = {}): SpokenFacts => ({
  business: 'Larkspur Cove Boatyard',
  atMs: at('2026-11-23T18:00'),
  zone,
  hours: weekdaysOnly,
  hoursOf: () => undefined,
  personOf: (id) => (id === noor.id ? noor : undefined),
  takeOf: () => undefined,
  ...more,
});
const said = (words: string, more: Partial<SpokenFacts> = {}): string[] =>
  sentencesOf(words, 'slt', { type: 'line' }, facts(more)).map(({ text }) => text);

const workdays: readonly Weekday[] = [1, 2, 3, 4, 5];
const everyDay: readonly Weekday[] = [1, 2, 3, 4, 5, 6, 7];

describe('the week as people say it', () => {
  it.each([
    [hoursOf([workdays, 480, 1050]), 'Monday to Friday, eight to half past five'],
    [
      hoursOf([workdays, 450, 1050], [workdays, 720, 750, 'lunch'], [[6], 480, 720]),
      'Monday to Friday, half past seven to noon and half past twelve to half past five; Saturday, eight to noon',
    ],
    [hoursOf([[1, 3, 5], 540, 1020]), 'Monday, Wednesday and Friday, nine to five'],
    [hoursOf([[5, 6], 1320, 1560]), 'Friday and Saturday, ten in the evening to two in the morning'],
    [hoursOf([[1, 6, 7], 600, 975]), 'Saturday to Monday, ten to a quarter past four'],
    [hoursOf([everyDay, 0, 1440]), 'every day, around the clock'],
    [hoursOf([[2], 545, 1135]), 'Tuesday, nine oh five to six fifty-five'],
    [hoursOf([[2], 780, 1020]), 'Tuesday, one to five'],
    [hoursOf(), 'closed'],
    // A night with a break over midnight; a day and a night that begin in the morning; one such after the other.
    [
      hoursOf([[5], 1080, 1680], [[5], 1410, 1470, 'lunch']),
      'Friday, six to half past eleven in the evening and half past twelve in the morning to four in the morning',
    ],
    [hoursOf([[1], 480, 1920]), 'Monday, eight in the morning to eight in the morning the next day'],
    [hoursOf([everyDay, 480, 1920]), 'every day, around the clock'],
    [
      hoursOf([[1], 480, 1440], [[2], 0, 1440], [[3], 0, 480]),
      'Monday, eight in the morning to midnight; Tuesday, around the clock; Wednesday, midnight to eight in the morning',
    ],
  ])('%#', (hours, words) => {
    expect(saidWeek(hours, zone, at('2026-11-23T18:00'), { language: 'en' })).toBe(words);
  });

  it.each<[Language, string]>([
    ['fr', 'du lundi au vendredi, de 8 heures à 17 heures 30; le samedi, de 8 heures à midi'],
    ['es', 'de lunes a viernes, de las 8 a las 17 y media; sábado, de las 8 al mediodía'],
    ['de', 'Montag bis Freitag, 8 Uhr bis 17 Uhr 30; Samstag, 8 Uhr bis 12 Uhr'],
  ])('in %s', (language, words) => {
    expect(saidWeek(hoursOf([workdays, 480, 1050], [[6], 480, 720]), zone, at('2026-11-23T18:00'), { language })).toBe(
      words,
    );
  });
});

describe('a break', () => {
  it('is told as a gap, or not at all, as the manager has it', () => {
    const gap = hoursOf([workdays, 480, 1020], [workdays, 720, 780, 'lunch']);
    const told = (hours: Hours) =>
      ['week', 'today'].map((part) => said(`{${part}}`, { hours, atMs: at('2026-11-23T09:00') }).join(' '));
    expect(told(gap)).toEqual(['Monday to Friday, eight to noon and one to five', 'eight to noon and one to five']);
    expect(told({ ...gap, breaksSaid: false })).toEqual(['Monday to Friday, eight to five', 'eight to five']);
  });
});

describe('where minutes are told', () => {
  const american = (hours: Hours) => saidWeek(hours, zone, at('2026-11-23T18:00'), { language: 'en', clock: 'amPm' });

  it.each<[Hours, string]>([
    [hoursOf([workdays, 450, 1020]), 'Monday to Friday, seven thirty a.m. to five p.m.'],
    [hoursOf([[6], 480, 690]), 'Saturday, eight to eleven thirty a.m.'],
    [hoursOf([[6], 480, 720]), 'Saturday, eight a.m. to noon'],
    [hoursOf([[6], 720, 975]), 'Saturday, noon to four fifteen p.m.'],
    [hoursOf([[6], 785, 1065]), 'Saturday, one oh five to five forty-five p.m.'],
    [hoursOf([[5], 1080, 1680]), 'Friday, six p.m. to four a.m.'],
    [hoursOf([[5], 1080, 1440]), 'Friday, six p.m. to midnight'],
    [hoursOf([[1], 480, 1920]), 'Monday, eight a.m. to eight a.m. the next day'],
    [hoursOf([everyDay, 0, 1440]), 'every day, around the clock'],
  ])('%#', (hours, words) => {
    expect(american(hours)).toBe(words);
  });

  it('the next opening has them, and its date, too', () => {
    const next = (from: string) =>
      saidOpening(hoursOf([[1], 450, 1020]), zone, at(from), { language: 'en', clock: 'amPm' });
    expect(next('2026-11-29T12:00')).toBe('tomorrow at seven thirty a.m.');
    expect(next('2026-11-27T12:00')).toBe('Monday at seven thirty a.m.');
  });

  it('a sentence that ends in them ends once, and goes on where it does not end', () => {
    const monday: Partial<SpokenFacts> = { clock: 'amPm', hours: hoursOf([[1], 450, 1020]) };
    expect(said('We are open {today}. Please call again.', monday)).toEqual([
      'We are open seven thirty a.m. to five p.m.',
      'Please call again.',
    ]);
    expect(said('We are open {today} today.', monday)).toEqual(['We are open seven thirty a.m. to five p.m. today.']);
    expect(said('We close at 5 p.m. On Saturdays at noon.', monday)).toEqual([
      'We close at 5 p.m.',
      'On Saturdays at noon.',
    ]);
  });

  it.each([
    ['+12075550140', 'America/New_York', 'amPm'],
    ['+14165550140', 'America/Toronto', 'amPm'],
    ['+442079460140', 'Europe/London', 'halfPast'],
    ['+61255501404', 'Australia/Sydney', 'halfPast'],
    ['+4930555014', 'Europe/Berlin', 'halfPast'],
  ])('is told by the country of the line: %s', (number, timeZone, clock) => {
    expect(englishClockOf({ number, timeZone })).toBe(clock);
  });
});

describe('in the night', () => {
  const night = hoursOf([[5], 1080, 1680], [[5], 1410, 1470, 'lunch']);
  const [inIt, after] = [at('2026-11-28T01:00'), at('2026-11-28T05:00')];

  it('today is the night that still runs, not a day that is closed', () => {
    expect(saidToday(night, zone, inIt, { language: 'en' })).toBe(
      'half past twelve in the morning to four in the morning',
    );
    expect(saidToday(night, zone, after, { language: 'en' })).toBe('closed');
    const twice = hoursOf([[5, 6], 1080, 1680]);
    expect(saidToday(twice, zone, inIt, { language: 'en' })).toBe('six in the evening to four in the morning');
  });

  it('the next opening is the end of the break', () => {
    expect(saidOpening(night, zone, at('2026-11-27T23:45'), { language: 'en' })).toBe(
      'tomorrow at half past twelve in the morning',
    );
    expect(saidOpening(night, zone, at('2026-11-28T00:10'), { language: 'en' })).toBe(
      'today at half past twelve in the morning',
    );
  });

  it.each<[Language, string]>([
    ['en', 'around the clock'],
    ['de', 'rund um die Uhr'],
  ])('what never closes opens at no midnight (%s)', (language, words) => {
    for (const always of [hoursOf([everyDay, 0, 1440]), hoursOf([everyDay, 480, 1920])]) {
      expect(saidOpening(always, zone, inIt, { language })).toBe(words);
      expect(saidToday(always, zone, inIt, { language })).toBe(words);
    }
  });
});

describe('today and the next opening', () => {
  const hours = hoursOf([workdays, 480, 1050], [workdays, 720, 780, 'lunch']);
  it.each([
    ['2026-11-23T06:00', 'today at eight', 'eight to noon and one to half past five'],
    ['2026-11-23T12:30', 'today at one', 'eight to noon and one to half past five'],
    ['2026-11-23T18:00', 'tomorrow at eight', 'eight to noon and one to half past five'],
    ['2026-11-27T18:00', 'Monday at eight', 'eight to noon and one to half past five'],
    ['2026-11-28T10:00', 'Monday at eight', 'closed'],
  ])('at %s', (reading, next, today) => {
    expect(saidOpening(hours, zone, at(reading), { language: 'en' })).toBe(next);
    expect(saidToday(hours, zone, at(reading), { language: 'en' })).toBe(today);
  });

  it('names the date where it is a week away, and that it is closed where it never opens', () => {
    const tuesdays = hoursOf([[2], 540, 1020]);
    expect(saidOpening(tuesdays, zone, at('2026-12-29T09:00'), { language: 'en' })).toBe(
      'Tuesday the fifth of January at nine',
    );
    expect(saidOpening(tuesdays, zone, at('2026-12-29T09:00'), { language: 'fr' })).toBe('mardi 5 janvier à 9 heures');
    expect(saidOpening(tuesdays, zone, at('2026-12-29T09:00'), { language: 'de' })).toBe(
      'am Dienstag, dem 5. Januar, um 9 Uhr',
    );
    expect(saidOpening(tuesdays, zone, at('2026-12-29T09:00'), { language: 'es' })).toBe(
      'el martes 5 de enero a las 9',
    );
    expect(saidOpening(hoursOf(), zone, at('2026-12-29T09:00'), { language: 'en' })).toBe('closed');
  });

  it('takes hours over midnight as the night they belong to', () => {
    const bar = hoursOf([everyDay, 1200, 1560]);
    expect(saidOpening(bar, zone, at('2026-11-24T01:00'), { language: 'en' })).toBe('today at eight in the evening');
    const through = hoursOf([[1], 1200, 1560], [[2], 60, 300]);
    expect(saidOpening(through, zone, at('2026-11-23T21:00'), { language: 'en' })).toBe(
      'Monday the thirtieth of November at eight in the evening',
    );
  });

  it('keeps to the clock on the wall when it is changed', () => {
    const sundays = hoursOf([[7], 150, 600]);
    expect(saidOpening(sundays, zone, at('2026-03-07T23:00'), { language: 'en' })).toBe(
      'tomorrow at half past two in the morning',
    );
    expect(saidOpening(sundays, zone, at('2026-11-01T00:30'), { language: 'en' })).toBe(
      'today at half past two in the morning',
    );
  });
});

describe('words with live parts', () => {
  it('says what is so at the moment of the call', () => {
    expect(said('Thank you for calling {business}. We open {opens}.')).toEqual([
      'Thank you for calling Larkspur Cove Boatyard.',
      'We open tomorrow at eight.',
    ]);
    expect(said('{name person:noor} has extension {extension person:noor}.')).toEqual([
      'Noor Haldane has extension 2 1 2.',
    ]);
    expect(said('We are open {week}.', { hours: hoursOf([[6], 480, 720]) })).toEqual([
      'We are open Saturday, eight to noon.',
    ]);
  });

  it('leaves out a sentence with a hole in it: of somebody who is gone, or a special date on an ordinary day', () => {
    expect(said('Hello. Ask for {name person:gone}. Thank you.')).toEqual(['Hello.', 'Thank you.']);
    expect(said('Today is {special}.')).toEqual([]);
  });

  it('leaves braces that mean nothing', () => {
    expect(said('A {curly} remark and {pause 99 s}.')).toEqual(['A {curly} remark and {pause 99 s}.']);
  });

  it('takes other hours where they are named', () => {
    const shed = hoursOf([[7], 600, 900]);
    const more = { hoursOf: (id: string) => (id === 'hours:shed' ? shed : undefined) };
    expect(said('The shed is open {week hours:shed}.', more)).toEqual(['The shed is open Sunday, ten to three.']);
  });

  it('makes a pause as long as it says, and ends the sentence there', () => {
    const sentences = sentencesOf('One moment {pause 1.5 s} please. Thank you.', 'slt', { type: 'line' }, facts());
    expect(sentences.map(({ text, pauseAfterMs }) => [text, pauseAfterMs])).toEqual([
      ['One moment', 1500],
      ['please.', pauses.betweenSentencesMs],
      ['Thank you.', pauses.betweenPartsMs],
    ]);
    expect(sentencesOf('Yes {pause 1 s}{pause 2 s} no', 'slt', { type: 'line' }, facts())[0]?.pauseAfterMs).toBe(3000);
    expect(sentencesOf('{pause 1 s} Hello', 'slt', { type: 'line' }, facts())).toHaveLength(1);
  });

  it('reads every piece it writes', () => {
    const pieces: Exclude<WordsPiece, { type: 'text' }>[] = [
      { type: 'pause', ms: 250 },
      { type: 'live', part: { type: 'options' } },
      { type: 'live', part: { type: 'business' } },
      { type: 'live', part: { type: 'week', hoursId: null } },
      { type: 'live', part: { type: 'opens', hoursId: hoursId.create('shed') } },
      { type: 'live', part: { type: 'extension', personId: noor.id } },
    ];
    expect(readPieces(pieces.map(writePiece).join(''))).toEqual(pieces);
    expect(readPieces(`a${pieces.map(writePiece).join('b')}`)).toHaveLength(12);
  });
});

describe('how words are said', () => {
  const dictionary = [
    { written: 'Achterberg', said: 'AHK ter berg', language: null },
    { written: 'cove', said: 'kohv', language: 'en' as const },
    { written: 'St. John', said: 'Saint John', language: null },
  ];

  it('changes whole words only, whatever their capitals, in the language they are for', () => {
    expect(respell('ACHTERBERG of the cove, covered.', dictionary, 'en')).toBe('AHK ter berg of the kohv, covered.');
    expect(respell('cove', dictionary, 'fr')).toBe('cove');
    expect(respell('Ask at St. John, or St. Johns.', dictionary, 'en')).toBe('Ask at Saint John, or St. Johns.');
    expect(respell('nothing', [], 'en')).toBe('nothing');
  });
});
