import type { Choice } from '@locutor/core/traffic';

/** What a caller did in a sheet. */
export function choiceWords(choice: Choice): string {
  switch (choice) {
    case 'digits':
      return 'dialed an extension or a name';
    case 'spoke':
      return 'said what they wanted';
    case 'nothing':
      return 'pressed nothing';
    case 'wrongKeys':
      return 'pressed wrong keys';
    case 'hungUp':
      return 'hung up';
    case 'heard':
      return 'heard it';
    default:
      return `key ${choice}`;
  }
}
