import { idKind, type Id } from '@locutor/core/id';
import { newId } from '../rows/newId';

export type ReplacementId = Id<'replacement'>;
export const replacementId = idKind('replacement');

export const newReplacementId = (): ReplacementId => newId(replacementId);
