import { idKind, type Id } from '../id';

export type PersonId = Id<'person'>;
export const personId = idKind('person');

export type BoxId = Id<'box'>;
export const boxId = idKind('box');
