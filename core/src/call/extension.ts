import type { GroupId, PersonId, QueueId } from '../directory';
import type { Dialable, Ready } from './ready';

/** What digits dialled so far mean. */
export type Dialled =
  /** An extension, and no longer one begins so; or finished by the caller. */
  | { readonly type: 'found'; readonly found: Dialable }
  /** Perhaps the beginning of an extension: more digits are waited for. */
  | { readonly type: 'more' }
  | { readonly type: 'nobody' };

/** Reads digits before the caller is done: they are taken as soon as they can mean nothing else. */
export function readDigits(ready: Ready, digits: string): Dialled {
  const found = ready.byExtension.get(digits);
  if (found && !ready.beginnings.has(digits)) return { type: 'found', found };
  return ready.beginnings.has(digits) ? { type: 'more' } : { type: 'nobody' };
}

/** Reads digits after the caller is done, by # or by waiting. */
export function readFinished(ready: Ready, digits: string): Dialable | undefined {
  return ready.byExtension.get(digits);
}

/** The id of whom an extension rings. */
export function idOf(dialable: Dialable): PersonId | GroupId | QueueId {
  switch (dialable.type) {
    case 'person':
      return dialable.person.id;
    case 'group':
      return dialable.group.id;
    case 'queue':
      return dialable.queue.id;
  }
}
