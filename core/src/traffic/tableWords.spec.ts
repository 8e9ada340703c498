import { languages, type Language } from '../line';
import { outcomes } from '../call';
import { said, saidChoice, saidOutcome, saidWeekday, sayCell, writeTable, type TableCell } from '.';
import { tableWords } from './words/tableWordList';

const all = Object.keys(languages) as Language[];

describe('words in tables of Traffic', () => {
  it.each(all)('are told in %s, with what belongs into them, and none is left out', (language) => {
    for (const word of tableWords) {
      const text = sayCell(said(word, 'EUR'), language);
      expect([word, text.trim() === text, text.length > 0, text.includes('{}')]).toEqual([word, true, true, false]);
      expect([word, text.includes('EUR')]).toEqual([word, word.includes('{}')]);
    }
  });

  it.each(all.filter((language) => language !== 'en'))('tell outcomes apart in %s, and weekdays', (language) => {
    const told = (cells: readonly TableCell[]) => new Set(cells.map((cell) => sayCell(cell, language)));
    expect(told(outcomes.map(saidOutcome)).size).toBe(outcomes.length);
    expect(told(([1, 2, 3, 4, 5, 6, 7] as const).map(saidWeekday)).size).toBe(7);
    expect(sayCell(saidWeekday(1), language)).toBe(
      new Intl.DateTimeFormat(language, { weekday: 'long', timeZone: 'UTC' }).format(Date.UTC(2026, 10, 23)),
    );
  });

  it('leave names as they are, even where a name is such a word', () => {
    const rows = [
      [said('sheet'), said('what they did'), said('callers')],
      ['calls', saidChoice('2'), '12'],
      ['Accueil', saidChoice('hungUp'), '3'],
    ];
    expect(writeTable(rows, 'fr')).toBe(
      'feuille,ce qu’ils ont fait,appelants\r\ncalls,touche 2,12\r\nAccueil,ont raccroché,3\r\n',
    );
    expect(writeTable(rows, 'en')).toContain('calls,key 2,12');
  });
});
