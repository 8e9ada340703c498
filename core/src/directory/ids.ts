import { idKind, type Id } from '../id';

export type PersonId = Id<'person'>;
export const personId = idKind('person');

export type BoxId = Id<'box'>;
export const boxId = idKind('box');

export type ContactId = Id<'contact'>;
export const contactId = idKind('contact');

export type CallerListId = Id<'callers'>;
export const callerListId = idKind('callers');

export type GroupId = Id<'group'>;
export const groupId = idKind('group');

export type QueueId = Id<'queue'>;
export const queueId = idKind('queue');
