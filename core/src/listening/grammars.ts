import { slotWords, type SlotKind, type Token } from './tokens';

/** A grammar for a speech recogniser (JSGF 1.0), and every word in it. */
export interface Grammar {
  readonly jsgf: string;
  readonly words: readonly string[];
}

/** Just what should be said, each number in any of the ways in which it is. */
export function exactGrammar(sentences: readonly (readonly Token[])[]): Grammar {
  return grammar([], sentences.map((tokens) => tokens.map(({ ways }) => oneOf(ways)).join(' ')).join(' '), sentences);
}

/**
 * What may have been said instead: any sentence left out, and in each slot any other word of its kind.
 */
export function slotGrammar(sentences: readonly (readonly Token[])[]): Grammar {
  const kinds = new Set(sentences.flat().flatMap(({ kind }) => kind ?? []));
  const rules = [...kinds].map((kind) => `<${kind}> = ${slotWords[kind].join(' | ')};`);
  const body = sentences.map((tokens) => `[ ${tokens.map(slotOf).join(' ')} ]`).join(' ');
  return grammar(rules, body, sentences, [...kinds]);
}

function slotOf({ ways, kind }: Token): string {
  if (!kind) return oneOf(ways);
  const longest = Math.max(...ways.map((way) => way.length));
  return longest > 1 ? `( <${kind}> )+` : `<${kind}>`;
}

function oneOf(ways: Token['ways']): string {
  const [only = [], ...others] = ways;
  return others.length === 0 ? only.join(' ') : `( ${ways.map((way) => way.join(' ')).join(' | ')} )`;
}

function grammar(
  rules: readonly string[],
  body: string,
  sentences: readonly (readonly Token[])[],
  kinds: readonly SlotKind[] = [],
): Grammar {
  const jsgf = ['#JSGF V1.0;', 'grammar recording;', ...rules, `public <heard> = ${body};`, ''].join('\n');
  const words = [...sentences.flat().flatMap(({ ways }) => ways.flat()), ...kinds.flatMap((kind) => slotWords[kind])];
  return { jsgf, words: [...new Set(words)] };
}
