/** The least time of several turns, in ms: the one in which the machine was disturbed least. */
export function best(turns, work) {
  let least = Infinity;
  for (let turn = 0; turn < turns; turn += 1) {
    const began = performance.now();
    work();
    least = Math.min(least, performance.now() - began);
  }
  return least;
}
