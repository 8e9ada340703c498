import type { Choice, SheetPresses } from '../traffic';
import { closedId, fuelId, openMoment, script, welcomeId } from '../testing/boatyard';
import { findWays, wayShares } from '.';

const presses = (
  sheetId: SheetPresses['sheetId'],
  visits: number,
  of: Partial<Record<Choice, number>>,
): SheetPresses => ({
  ...{ sheetId, visits, seconds: [] },
  choices: Object.entries(of).map(([choice, count]) => ({ choice: choice as Choice, visits: count, medianS: null })),
});

describe('which part of all callers goes each way', () => {
  const { ways } = findWays(script, { atMs: openMoment, once: true });
  const shareOf = (shares: ReadonlyMap<number, number>, key: string) =>
    shares.get(
      ways.find(({ turn }) => turn?.type === 'key' && turn.sheetId === welcomeId && turn.key === key)?.index ?? -1,
    );

  it('follows what they were seen to choose, from menu to menu', () => {
    const shares = wayShares(ways, [
      presses(welcomeId, 200, { 1: 100, 2: 40, nothing: 20, wrongKeys: 10, hungUp: 30 }),
    ]);
    expect(shares.get(0)).toBe(1);
    expect([shareOf(shares, '1'), shareOf(shares, '2'), shareOf(shares, '9')]).toEqual([0.5, 0.2, 0]);
    const silent = ways.find(({ turn }) => turn?.type === 'silence' && turn.sheetId === welcomeId);
    expect(shares.get(silent?.index ?? -1)).toBe(0.1);
    for (const { index, parent } of ways) {
      if (parent !== null) expect(shares.get(index) ?? 0).toBeLessThanOrEqual(shares.get(parent) ?? 1);
    }
  });

  it('leaves out what the log tells nothing of', () => {
    const none = wayShares(ways, [presses(fuelId, 0, {}), presses(closedId, 5, { 1: 5 })]);
    expect([...none.keys()]).toEqual([0]);
  });
});
