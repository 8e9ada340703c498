/**
 * A number from 0 up to 1 that follows from what it is for: the same for the same names and numbers, whatever was asked for before.
 * So that a caller is the same under every plan, and a seed gives the same result however often.
 */
export function chanceOf(seed: number, ...of: readonly (number | string)[]): number {
  let hash = seed | 0;
  for (const each of of) {
    if (typeof each === 'number') hash = mixed(hash ^ Math.imul(each | 0, 0x9e3779b1));
    else for (let at = 0; at < each.length; at += 1) hash = Math.imul(hash ^ each.charCodeAt(at), 0x01000193);
    hash = mixed(hash);
  }
  return (hash >>> 0) / 4_294_967_296;
}

/** Spreads a change of any bit over all of them (the last steps of MurmurHash3). */
function mixed(hash: number): number {
  let next = hash;
  next = Math.imul(next ^ (next >>> 16), 0x85ebca6b);
  next = Math.imul(next ^ (next >>> 13), 0xc2b2ae35);
  return next ^ (next >>> 16);
}
