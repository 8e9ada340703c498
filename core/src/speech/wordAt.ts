/** A word of a text: where it begins and ends in it. */
export interface WordPlace {
  readonly from: number;
  readonly to: number;
}

/** A digit is said about as long as four letters are; marks make a short pause. */
const digitWeight = 4;
const markWeight = 2;

/**
 * The word being said when a part of a text, 0 to 1, has been: by how many letters come before it, which is how a
 * voice spends its time near enough to follow by eye. Undefined where there are no words.
 */
export function wordAt(text: string, part: number): WordPlace | undefined {
  const words = [...text.matchAll(/\S+/g)].map((found) => ({ from: found.index, to: found.index + found[0].length }));
  const weights = words.map(({ from, to }) => weightOf(text.slice(from, to)));
  const due = part * weights.reduce((sum, weight) => sum + weight, 0);
  let said = 0;
  return words.find((_, index) => (said += weights[index] ?? 0) > due) ?? words.at(-1);
}

function weightOf(word: string): number {
  const digits = word.match(/\d/g)?.length ?? 0;
  const marks = word.match(/[.,;:!?]/g)?.length ?? 0;
  return word.length + 1 + (digitWeight - 1) * digits + (markWeight - 1) * marks;
}
