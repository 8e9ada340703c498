import { idKind, type Id } from '../id';

export type LineId = Id<'line'>;
export const lineId = idKind('line');

export type SheetId = Id<'sheet'>;
export const sheetId = idKind('sheet');

export type GreetingId = Id<'greeting'>;
export const greetingId = idKind('greeting');

export type NamedPathId = Id<'path'>;
export const namedPathId = idKind('path');
