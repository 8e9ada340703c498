import type { Person } from '../directory';
import type { Ready } from './ready';

/** What digits dialled so far mean. */
export type Dialled =
  /** Somebody's extension, and no longer one begins so; or finished by the caller. */
  | { readonly type: 'person'; readonly person: Person }
  /** Perhaps the beginning of an extension: more digits are waited for. */
  | { readonly type: 'more' }
  | { readonly type: 'nobody' };

/** Reads digits before the caller is done: they are taken as soon as they can mean nothing else. */
export function readDigits(ready: Ready, digits: string): Dialled {
  const person = ready.byExtension.get(digits);
  if (person && !ready.beginnings.has(digits)) return { type: 'person', person };
  return digits.length < ready.longestExtension ? { type: 'more' } : { type: 'nobody' };
}

/** Reads digits after the caller is done, by # or by waiting. */
export function readFinished(ready: Ready, digits: string): Dialled {
  const person = ready.byExtension.get(digits);
  return person ? { type: 'person', person } : { type: 'nobody' };
}
