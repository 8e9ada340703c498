/** A sum of money that words state, and what it is said to be for, as far as the words before it tell. */
export interface PriceSaid {
  readonly price: string;
  readonly about: string;
}

const money = /(?:[$€£]\s?\d[\d,]*(?:\.\d{2})?|\b\d[\d,]*(?:\.\d{2})?\s?(?:dollars|euros|pounds sterling|cents)\b)/giu;

/** The sums of money that words state. */
export function pricesSaid(words: string): readonly PriceSaid[] {
  return [...words.matchAll(money)].map((found) => {
    const sentence =
      words
        .slice(0, found.index)
        .split(/[.!?;]/)
        .at(-1) ?? '';
    // Of several sums in a sentence each is for what stands between it and the one before.
    const own = sentence.split(money).at(-1) ?? '';
    return { price: found[0].replace(/\s+/g, ' '), about: own.trim() };
  });
}
