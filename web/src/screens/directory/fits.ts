import { folded } from '@locutor/core/line';

/** Whether any of the texts contains what is searched for; every word of it must be somewhere. */
export function fits(search: string, ...texts: readonly string[]): boolean {
  const all = folded(texts.join(' '));
  return folded(search)
    .split(' ')
    .every((word) => all.includes(word));
}
