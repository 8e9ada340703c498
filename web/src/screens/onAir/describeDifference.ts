import type { Difference } from '@locutor/core/line';

const howWords = { added: 'new', removed: 'gone', changed: 'changed' } as const;

/** A difference between the draft and what is on air, in words. */
export function describeDifference(difference: Difference | { readonly type: 'greetings' }): string {
  switch (difference.type) {
    case 'added':
      return `${difference.sheet.name} is new.`;
    case 'removed':
      return `${difference.sheet.name} is gone.`;
    case 'changed':
      return `${difference.sheet.name} is changed.`;
    case 'answering':
      return 'What answers when is changed.';
    case 'namedPath':
      return `The path ${difference.name} is ${howWords[difference.how]}.`;
    case 'voice':
      return 'The voice is another one.';
    case 'greetings':
      return 'A greeting from the library is changed.';
  }
}
