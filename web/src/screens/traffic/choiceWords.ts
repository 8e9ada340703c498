import { saidChoice, sayCell, type Choice } from '@locutor/core/traffic';

/** What a caller did in a sheet. */
export function choiceWords(choice: Choice): string {
  return sayCell(saidChoice(choice), 'en');
}
