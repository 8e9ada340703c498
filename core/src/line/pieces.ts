import { personId, type PersonId } from '../directory';
import { hoursId, type HoursId } from '../hours';

/**
 * Something in a greeting's words that is said as it is at the moment of the call. In the words it stands in braces,
 * such as `{week}` or `{name person:abc}`.
 */
export type LivePart =
  /** The options of the menu, made from its keys. */
  | { readonly type: 'options' }
  /** The business's name. */
  | { readonly type: 'business' }
  /**
   * Hours of today, of the week, when it opens next, or the name of the special date it is; of the line unless other
   * hours are named.
   */
  | { readonly type: 'today' | 'week' | 'opens' | 'special'; readonly hoursId: HoursId | null }
  | { readonly type: 'name' | 'extension'; readonly personId: PersonId };

/** Words are text, with live parts and pauses in it. */
export type WordsPiece =
  | { readonly type: 'text'; readonly text: string }
  | { readonly type: 'pause'; readonly ms: number }
  | { readonly type: 'live'; readonly part: LivePart };

export const pauseLimitsMs = { least: 100, most: 10_000, usual: 800 } as const;

const pattern = /\{([^{}\n]{1,80})\}/g;

/** Reads words into their pieces; braces around anything else are plain text. */
export function readPieces(words: string): readonly WordsPiece[] {
  if (!words.includes('{')) return words === '' ? [] : [{ type: 'text', text: words }];
  const pieces: WordsPiece[] = [];
  let textFrom = 0;
  for (const found of words.matchAll(pattern)) {
    const piece = readBraces(found[1] ?? '');
    if (!piece) continue;
    if (found.index > textFrom) pieces.push({ type: 'text', text: words.slice(textFrom, found.index) });
    pieces.push(piece);
    textFrom = found.index + found[0].length;
  }
  if (textFrom < words.length) pieces.push({ type: 'text', text: words.slice(textFrom) });
  return pieces;
}

/** A live part or a pause as it stands in words. */
export function writePiece(piece: Exclude<WordsPiece, { type: 'text' }>): string {
  if (piece.type === 'pause') return `{pause ${piece.ms / 1000} s}`;
  const { part } = piece;
  if ('personId' in part) return `{${part.type} ${part.personId}}`;
  if ('hoursId' in part) return part.hoursId ? `{${part.type} ${part.hoursId}}` : `{${part.type}}`;
  return `{${part.type}}`;
}

/** Whether words say something that is not the same at every moment. */
export function hasLiveParts(words: string): boolean {
  return words.includes('{') && readPieces(words).some(({ type }) => type === 'live');
}

/** The people and hours that live parts of these words speak of. */
export function idsInWords(words: string): readonly (PersonId | HoursId)[] {
  return readPieces(words).flatMap((piece): readonly (PersonId | HoursId)[] => {
    if (piece.type !== 'live') return [];
    if ('personId' in piece.part) return [piece.part.personId];
    return 'hoursId' in piece.part && piece.part.hoursId ? [piece.part.hoursId] : [];
  });
}

function readBraces(inside: string): Exclude<WordsPiece, { type: 'text' }> | undefined {
  const pause = /^pause (\d{1,2}(?:\.\d{1,3})?) s$/.exec(inside);
  if (pause) {
    const ms = Math.round(Number(pause[1]) * 1000);
    return ms >= pauseLimitsMs.least && ms <= pauseLimitsMs.most ? { type: 'pause', ms } : undefined;
  }
  const [type, id, ...more] = inside.split(' ');
  const part = more.length === 0 ? readPart(type ?? '', id) : undefined;
  return part && { type: 'live', part };
}

function readPart(type: string, id: string | undefined): LivePart | undefined {
  switch (type) {
    case 'options':
    case 'business':
      return id === undefined ? { type } : undefined;
    case 'today':
    case 'week':
    case 'opens':
    case 'special':
      if (id === undefined) return { type, hoursId: null };
      return hoursId.is(id) ? { type, hoursId: id } : undefined;
    case 'name':
    case 'extension':
      return id !== undefined && personId.is(id) ? { type, personId: id } : undefined;
    default:
      return undefined;
  }
}
