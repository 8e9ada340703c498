import type { HeardPart } from '../line';
import type { HeardWord } from './heardWord';
import { match, matchSentences, type Matched } from './match';
import type { Token } from './tokens';

/** What a recogniser made of a recording: empty where it could not fit it. */
export interface Hearing {
  /** Held to exactly what should be said. */
  readonly exact: readonly HeardWord[];
  /** Free to hear other numbers and days, and sentences left out. */
  readonly slots: readonly HeardWord[];
  /** Free to hear anything. */
  readonly free: readonly HeardWord[];
  /** Whether the recording carries no more than a telephone does: then everything fits less well. */
  readonly isNarrow: boolean;
}

/** What listening tells of a recording. */
export type Verdict =
  | { readonly type: 'right' }
  | { readonly type: 'other'; readonly parts: readonly HeardPart[] }
  | { readonly type: 'unclear' };

/**
 * How well words have to fit, a hundredth of a second on the average, found on made recordings of several voices: right ones
 * lie above -13 in all and -36 at their worst word, wrong ones below -40 somewhere.
 */
const limits = {
  wide: { inAll: -17, right: -37, other: -40 },
  narrow: { inAll: -22, right: -45, other: -50 },
} as const;
/** By how much another number must fit better in all, to be sure of it; and to be in doubt. */
const otherNumber = { sure: 250, doubt: 30 } as const;
/** Shorter words fit by chance, or do not. */
const shortestWord = 12;
/** Around a word that does not fit, those that fit so badly are in doubt too. */
const doubtful = -24;

/** Whether a recording says what it should, and where not, what was heard. */
export function verdictOf(
  sentences: readonly string[],
  tokens: readonly (readonly Token[])[],
  hearing: Hearing,
): Verdict {
  const { exact, slots, isNarrow } = hearing;
  const { inAll, right, other } = limits[isNarrow ? 'narrow' : 'wide'];
  const freer = matchSentences(tokens, wordsOf(slots));
  const isOtherwise = freer?.some((sentence) => sentence === null || sentence.some(isOther)) ?? false;
  const fitsFreer = slots.length > 0 && average(slots) >= inAll && worst(slots) >= right;
  if (exact.length === 0) {
    if (isOtherwise && fitsFreer && freer) return { type: 'other', parts: partsOfSlots(sentences, freer) };
    return somethingElse(sentences, hearing);
  }
  const better = isOtherwise ? total(slots) - total(exact) : -Infinity;
  if (better > otherNumber.sure && freer) return { type: 'other', parts: partsOfSlots(sentences, freer) };
  const least = worst(exact);
  if (least < other) return elsewhere(tokens, hearing, other) ?? somethingElse(sentences, hearing);
  if (average(exact) < inAll) return somethingElse(sentences, hearing);
  return better > otherNumber.doubt || least < right ? { type: 'unclear' } : { type: 'right' };
}

const isWord = ({ word }: HeardWord): boolean => /^[a-z]/.test(word);
const wordsOf = (heard: readonly HeardWord[]): readonly HeardWord[] => heard.filter(isWord);
const total = (heard: readonly HeardWord[]): number => heard.reduce((sum, { score }) => sum + score, 0);
const framesOf = ({ from, until }: HeardWord): number => Math.max(1, until - from);
const isOther = ({ token, words }: Matched): boolean =>
  !token.ways.some((way) => way.join(' ') === words.map(({ word }) => word).join(' '));

function average(heard: readonly HeardWord[]): number {
  return total(heard) / heard.reduce((sum, each) => sum + framesOf(each), 0);
}

/** How badly the worst word fits, or two next to each other. */
function worst(heard: readonly HeardWord[]): number {
  const words = wordsOf(heard);
  const alone = words.filter((each) => framesOf(each) >= shortestWord).map((each) => average([each]));
  const pairs = words.slice(1).flatMap((each, index) => {
    const before = words[index];
    return before ? [average([before, each])] : [];
  });
  return Math.min(0, ...alone, ...pairs);
}

/** Nothing of it fits: what was heard freely, unless that is much what was expected. */
function somethingElse(sentences: readonly string[], { free }: Hearing): Verdict {
  const heard = wordsOf(free).map(({ word }) => word);
  const expected =
    sentences
      .join(' ')
      .toLowerCase()
      .match(/[a-z']+/g) ?? [];
  const same = expected.filter((word) => heard.includes(word)).length;
  if (heard.length === 0 || same >= expected.length * muchTheSame) return { type: 'unclear' };
  return { type: 'other', parts: [{ text: heard.join(' '), insteadOf: sentences.join(' ') }] };
}

const muchTheSame = 0.85;

/** The words that do not fit, with what was heard there; undefined where the very same was. */
function elsewhere(
  tokens: readonly (readonly Token[])[],
  { exact, free }: Hearing,
  other: number,
): Verdict | undefined {
  const matched = match(tokens.flat(), wordsOf(exact));
  if (!matched) return undefined;
  const fits = matched.map(({ words }) => average(words));
  const isBad = fits.map((fit, index) => {
    const next = matched[index + 1];
    const before = matched[index - 1];
    const words = matched[index]?.words ?? [];
    const withNext = next ? average([...words, ...next.words]) : 0;
    const withBefore = before ? average([...before.words, ...words]) : 0;
    return (fit < other && lengthOf(words) >= shortestWord) || withNext < other || withBefore < other;
  });
  const isIn = isBad.map(
    (bad, index) => bad || ((isBad[index - 1] || isBad[index + 1] || false) && (fits[index] ?? 0) < doubtful),
  );
  const parts: HeardPart[] = [];
  for (let from = 0; from < matched.length;) {
    let to = from + 1;
    while (to < matched.length && isIn[to] === isIn[from]) to += 1;
    const stretch = matched.slice(from, to);
    const written = stretch.map(({ token }) => token.written).join(' ');
    parts.push(isIn[from] ? { text: heardIn(free, stretch), insteadOf: written } : { text: written, insteadOf: null });
    from = to;
  }
  const differs = parts.some(
    ({ text, insteadOf }) => insteadOf !== null && text.toLowerCase() !== insteadOf.toLowerCase(),
  );
  return differs ? { type: 'other', parts } : undefined;
}

const lengthOf = (words: readonly HeardWord[]): number => words.reduce((sum, each) => sum + framesOf(each), 0);

/** What was heard freely while something else should have been said. */
function heardIn(free: readonly HeardWord[], stretch: readonly Matched[]): string {
  const from = stretch[0]?.words[0]?.from ?? 0;
  const until = stretch.at(-1)?.words.at(-1)?.until ?? 0;
  return wordsOf(free)
    .filter((each) => (each.from + each.until) / 2 >= from && (each.from + each.until) / 2 <= until)
    .map(({ word }) => word)
    .join(' ');
}

/** What was heard where other numbers or days were, and sentences that were left out. */
function partsOfSlots(
  sentences: readonly string[],
  heard: readonly (readonly Matched[] | null)[],
): readonly HeardPart[] {
  return heard.flatMap((matched, index): HeardPart[] => {
    const sentence = sentences[index] ?? '';
    if (!matched) return [{ text: '', insteadOf: sentence }];
    if (!matched.some(isOther)) return [{ text: sentence, insteadOf: null }];
    return matched.map((each) =>
      isOther(each)
        ? { text: each.words.map(({ word }) => figureOf(word, each.token)).join(' '), insteadOf: each.token.written }
        : { text: each.token.written, insteadOf: null },
    );
  });
}

const figures = ['zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine'];

/** A digit as it is written where a figure was expected. */
function figureOf(word: string, { written }: Token): string {
  const digit = figures.indexOf(word === 'oh' ? 'zero' : word);
  return /^\d/.test(written) && digit >= 0 ? String(digit) : word;
}
