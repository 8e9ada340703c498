/** Numbers from 0 up to 1, evenly spread, the same ones for the same seed (mulberry32). */
export function chanceFrom(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** How long until something happens that is as likely at every moment, with this mean. */
export function exponential(chance: () => number, mean: number): number {
  return -mean * Math.log(1 - chance());
}
