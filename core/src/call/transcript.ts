import type { BoxId, PersonId } from '../directory';
import type { Answer } from '../hours';
import type { Key, SheetId } from '../line';
import type { Source } from '../speech';

/** Why a call was over. */
export type EndReason =
  | 'callerHungUp'
  | 'staffHungUp'
  | 'hungUp'
  | 'messageTaken'
  /** The path had no further step. */
  | 'pathRanOut'
  /** The caller was sent from sheet to sheet for ever. */
  | 'circle'
  | 'longestCall';

/** What happened in a call, as data; each with the instant in ms since 1970 on the call's clock. */
export type TranscriptEntry = { readonly atMs: number } & (
  | { readonly type: 'called'; readonly callerNumber: string; readonly answer: Answer }
  | { readonly type: 'sheet'; readonly sheetId: SheetId }
  | { readonly type: 'said'; readonly text: string; readonly source: Source }
  | { readonly type: 'key'; readonly key: Key; readonly use: 'option' | 'wrong' | 'ignored' }
  | { readonly type: 'silence'; readonly sheetId: SheetId; readonly round: number }
  | { readonly type: 'ringing'; readonly personId: PersonId; readonly seconds: number }
  | { readonly type: 'answered'; readonly personId: PersonId }
  | { readonly type: 'notAnswered'; readonly personId: PersonId; readonly why: 'noAnswer' | 'busy' | 'deleted' }
  | { readonly type: 'recording'; readonly boxId: BoxId }
  | { readonly type: 'message'; readonly boxId: BoxId; readonly lengthMs: number; readonly kept: boolean }
  | { readonly type: 'ended'; readonly reason: EndReason }
);
