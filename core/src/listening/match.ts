import { slotWords, type Token } from './tokens';
import type { HeardWord } from './heardWord';

/** A word of what should be said with what was said for it. */
export interface Matched {
  readonly token: Token;
  readonly words: readonly HeardWord[];
}

/** What was said for each word, each in one of its ways; undefined where that does not come out even. */
export function match(tokens: readonly Token[], words: readonly HeardWord[]): readonly Matched[] | undefined {
  return matchFrom(tokens, words, 0, (token) => token.ways.map((way) => way.length), isOneWay);
}

/**
 * What was said for each sentence, any number or day in the place of another; null for a sentence that was left out.
 * Undefined where that does not come out even.
 */
export function matchSentences(
  sentences: readonly (readonly Token[])[],
  words: readonly HeardWord[],
): readonly (readonly Matched[] | null)[] | undefined {
  const [tokens, ...others] = sentences;
  if (!tokens) return words.length === 0 ? [] : undefined;
  for (let length = words.length; length > 0; length -= 1) {
    const matched = matchFrom(tokens, words.slice(0, length), 0, slotLengths, isInSlot);
    const rest = matched && matchSentences(others, words.slice(length));
    if (matched && rest) return [matched, ...rest];
  }
  const rest = matchSentences(others, words);
  return rest && [null, ...rest];
}

function matchFrom(
  tokens: readonly Token[],
  words: readonly HeardWord[],
  at: number,
  lengthsOf: (token: Token) => readonly number[],
  fits: (token: Token, words: readonly HeardWord[]) => boolean,
): readonly Matched[] | undefined {
  const token = tokens[at];
  if (!token) return words.length === 0 ? [] : undefined;
  for (const length of new Set(lengthsOf(token))) {
    const said = words.slice(0, length);
    if (said.length < length || !fits(token, said)) continue;
    const rest = matchFrom(tokens, words.slice(length), at + 1, lengthsOf, fits);
    if (rest) return [{ token, words: said }, ...rest];
  }
  return undefined;
}

const textOf = (words: readonly HeardWord[]): string => words.map(({ word }) => word).join(' ');

function isOneWay({ ways }: Token, words: readonly HeardWord[]): boolean {
  return ways.some((way) => way.join(' ') === textOf(words));
}

/** More words for one number than anybody says. */
const mostInSlot = 12;

function slotLengths({ ways, kind }: Token): readonly number[] {
  const lengths = ways.map((way) => way.length);
  const isLong = kind !== null && Math.max(...lengths) > 1;
  return isLong ? Array.from({ length: mostInSlot }, (_, index) => index + 1) : lengths;
}

function isInSlot(token: Token, words: readonly HeardWord[]): boolean {
  const { kind } = token;
  return kind === null ? isOneWay(token, words) : words.every(({ word }) => slotWords[kind].includes(word));
}
