import fc from 'fast-check';
import { handOver, takeOver } from './handover';

const menu = (id: string, words: string) => ({ id, words, options: [{ key: '1', label: words }] });
const before = {
  today: '2026-11-28',
  sheets: [menu('a', 'Sales'), menu('b', 'Service')],
  gone: 1 as number | undefined,
};

/** As it arrives in the other thread, where nothing is the same thing any more. */
const carried = (was: unknown, now: unknown) => takeOver(was, structuredClone(handOver(was, now)));

describe('what one thread hands to another', () => {
  it('is only what became another thing', () => {
    const now = { ...before, sheets: [before.sheets[0], menu('b', 'Repairs')] };
    expect(JSON.stringify(handOver(before, now))).not.toContain('Sales');
    const arrived = carried(before, now) as typeof before;
    expect(arrived).toEqual(now);
    expect(arrived.sheets[0]).toBe(before.sheets[0]);
  });

  it('knows what moved in a list, came into it or left it', () => {
    const [a, b] = before.sheets;
    const lists = [[b, a], [a], [], [menu('c', 'Parts'), a, b], [a, a]];
    for (const sheets of lists) {
      const arrived = carried(before, { ...before, sheets }) as { sheets: unknown[] };
      expect(arrived.sheets).toEqual(sheets);
      expect(arrived.sheets.filter((each) => each === a)).toHaveLength(sheets.filter((each) => each === a).length);
    }
  });

  it('leaves out a field that went', () => {
    const rest = { today: before.today, sheets: before.sheets };
    expect(carried(before, rest)).toStrictEqual(rest);
  });

  it('is right for whatever comes after whatever', () => {
    fc.assert(
      fc.property(fc.jsonValue(), fc.jsonValue(), fc.boolean(), (one, other, isIn) => {
        const now = isIn ? { one, list: [other, one] } : other;
        expect(carried({ one, list: [one, other] }, now)).toEqual(now);
      }),
    );
  });
});
