import type { Key, SheetId } from '../line';
import type { TranscriptEntry } from './transcript';

/** By which menu and key a call came to where it is. */
export interface CameBy {
  readonly sheetId: SheetId;
  /** Null when they pressed nothing that counted there. */
  readonly key: Key | null;
}

/** The last menu or announcement of a call, and the key chosen in it; null when there was none. */
export function cameBy(transcript: readonly TranscriptEntry[]): CameBy | null {
  const index = transcript.findLastIndex(({ type }) => type === 'sheet');
  const sheet = transcript[index];
  if (sheet?.type !== 'sheet') return null;
  const chosen = transcript.slice(index).find((entry) => entry.type === 'key' && entry.use === 'option');
  return { sheetId: sheet.sheetId, key: chosen?.type === 'key' ? chosen.key : null };
}
