import type { Weekday } from '../../hours';
import type { Language } from '../../line';
import type { Outcome } from '../../call';
import { writeCsv } from '../../formats';
import type { Choice } from '../visits';
import type { TableWord } from './tableWordList';
import { de } from './tableWords.de';
import { es } from './tableWords.es';
import { fr } from './tableWords.fr';
import { outcomeWords } from './en';

/** A word of a table, which is said in the language of the line; names and numbers stay as they are. */
export interface Said {
  readonly word: TableWord;
  /** What stands in it at `{}`. */
  readonly of: string;
}

export type TableCell = string | Said;

export function said(word: TableWord, of: string | number = ''): Said {
  return { word, of: String(of) };
}

export function saidOutcome(outcome: Outcome): Said {
  return said(outcomeWords[outcome]);
}

export function saidWeekday(weekday: Weekday): Said {
  return said(weekdayWords[weekday]);
}

export function saidChoice(choice: Choice): Said {
  switch (choice) {
    case 'digits':
      return said('dialed an extension or a name');
    case 'spoke':
      return said('said what they wanted');
    case 'nothing':
      return said('pressed nothing');
    case 'wrongKeys':
      return said('pressed wrong keys');
    case 'hungUp':
      return said('hung up');
    case 'heard':
      return said('heard it');
    default:
      return said('key {}', choice);
  }
}

const weekdayWords = {
  ...{ 1: 'Monday', 2: 'Tuesday', 3: 'Wednesday', 4: 'Thursday', 5: 'Friday', 6: 'Saturday', 7: 'Sunday' },
} as const satisfies Readonly<Record<Weekday, TableWord>>;

const translated = { fr, es, de } as const;

export function sayCell(cell: TableCell, language: Language): string {
  if (typeof cell === 'string') return cell;
  const word = language === 'en' ? cell.word : translated[language][cell.word];
  return word.replace('{}', () => cell.of);
}

/** A table as CSV (RFC 4180), its words in a language. */
export function writeTable(rows: readonly (readonly TableCell[])[], language: Language): string {
  return writeCsv(rows.map((row) => row.map((cell) => sayCell(cell, language))));
}
