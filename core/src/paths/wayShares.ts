import type { SheetPresses } from '../traffic';
import type { Turn, Way } from './way';

/**
 * Which part of all callers goes each way, from 0 to 1, by what callers were seen to choose in the menus it leads through. Ways
 * that the log tells nothing of, such as out of a queue or from a menu nobody has been to, are left out.
 */
export function wayShares(ways: readonly Way[], pressed: readonly SheetPresses[]): ReadonlyMap<number, number> {
  const shares = new Map<number, number>();
  // A way comes after the one that it goes on from.
  for (const { index, parent, turn } of ways) {
    const before = parent === null ? 1 : shares.get(parent);
    const share = turn === null ? 1 : shareOf(turn, pressed);
    if (before !== undefined && share !== undefined) shares.set(index, before * share);
  }
  return shares;
}

function shareOf(turn: Turn, pressed: readonly SheetPresses[]): number | undefined {
  if ('queueId' in turn) return undefined;
  const of = pressed.find(({ sheetId }) => sheetId === turn.sheetId);
  if (!of || of.visits === 0) return undefined;
  const choice = turn.type === 'key' ? turn.key : turn.type === 'silence' ? 'nothing' : 'wrongKeys';
  return (of.choices.find((each) => each.choice === choice)?.visits ?? 0) / of.visits;
}
