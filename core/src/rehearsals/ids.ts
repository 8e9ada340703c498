import { idKind, type Id } from '../id';

export type RehearsalId = Id<'rehearsal'>;
export const rehearsalId = idKind('rehearsal');
