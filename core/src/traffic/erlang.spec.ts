import fc from 'fast-check';
import { cases } from '../testing/cases';
import { chanceFrom, erlangB, erlangC, exponential, linesFor, membersFor, waitingWith, type Demand } from '.';

/** The formula as it is written, with factorials. */
function erlangBAsWritten(load: number, lines: number): number {
  const terms = [1];
  for (let count = 1; count <= lines; count += 1) terms.push(((terms[count - 1] ?? 0) * load) / count);
  return (terms[lines] ?? 0) / terms.reduce((sum, each) => sum + each, 0);
}

/** Callers one by one, as they come: what is counted, not what is reckoned. */
function played(demand: Demand, members: number, callers: number, withinS: number) {
  const chance = chanceFrom(20_261_128);
  const freeAt = Array.from({ length: members }, () => 0);
  let [nowS, waited, gaveUp, within, waits] = [0, 0, 0, 0, 0];
  for (let caller = 0; caller < callers; caller += 1) {
    nowS += exponential(chance, 3600 / demand.callsPerHour);
    const first = freeAt.indexOf(Math.min(...freeAt));
    const waitS = Math.max(0, (freeAt[first] ?? 0) - nowS);
    const patienceS = demand.patienceS === null ? Infinity : exponential(chance, demand.patienceS);
    const talkS = exponential(chance, demand.servedS);
    waits += Number(waitS > 0);
    waited += Math.min(waitS, patienceS);
    if (waitS > patienceS) gaveUp += 1;
    else {
      freeAt[first] = nowS + waitS + talkS;
      within += Number(waitS <= withinS);
    }
  }
  return { waits: waits / callers, gaveUp: gaveUp / callers, meanS: waited / callers, within: within / callers };
}

describe('Erlang B', () => {
  it.each([
    // From the published tables, to their last digit.
    [1, 1, 0.5],
    [5, 10, 0.0184],
    [10, 10, 0.2146],
    [20, 30, 0.0085],
    [0, 3, 0],
    [3, 0, 1],
  ])('of %d erlang on %d lines', (load, lines, blocked) => {
    expect(erlangB(load, lines)).toBeCloseTo(blocked, 4);
  });

  it('is what the formula says, and its inverse is the least number of lines', () => {
    const load = fc.double({ min: 0.01, max: 60, noNaN: true });
    fc.assert(
      fc.property(
        load,
        fc.integer({ min: 0, max: 90 }),
        fc.double({ min: 0.0001, max: 0.5, noNaN: true }),
        (erlang, lines, most) => {
          expect(erlangB(erlang, lines)).toBeCloseTo(erlangBAsWritten(erlang, lines), 9);
          const needed = linesFor(erlang, most)!;
          expect(erlangB(erlang, needed)).toBeLessThanOrEqual(most);
          expect(needed === 0 || erlangB(erlang, needed - 1) > most).toBe(true);
        },
      ),
      cases(400),
    );
    expect([linesFor(5, 0), linesFor(0, 0.01)]).toEqual([null, 0]);
  });
});

describe('Erlang C', () => {
  it.each([
    [1, 2, 0.3333],
    [10, 12, 0.4494],
    [5, 5, 1],
    [0, 1, 0],
  ])('of %d erlang with %d members', (load, members, waits) => {
    expect(erlangC(load, members)).toBeCloseTo(waits, 3);
  });

  it('is what the formula says', () => {
    const load = fc.double({ min: 0.01, max: 40, noNaN: true });
    fc.assert(
      fc.property(load, fc.integer({ min: 1, max: 60 }), (erlang, more) => {
        const members = Math.floor(erlang) + more;
        const blocked = erlangBAsWritten(erlang, members);
        const lost = (blocked * members) / (members - erlang);
        expect(erlangC(erlang, members)).toBeCloseTo(lost / (1 - blocked + lost), 9);
      }),
      cases(400),
    );
  });

  it('grows without end where more call than can be served', () => {
    const over = waitingWith({ callsPerHour: 100, servedS: 300, patienceS: null }, 4);
    expect(over).toMatchObject({ waits: 1, meanS: null, busy: 1, gaveUp: 0 });
    expect(over.within(60)).toBe(0);
  });
});

describe('a queue whose callers give up (Erlang A)', () => {
  it.each([
    [60, 180, 120, 3],
    [30, 240, 60, 2],
    [200, 200, 300, 11],
    [20, 600, 45, 2],
    [90, 180, null, 6],
  ])(
    '%d calls an hour of %d s, patience %s s, %d members: as it is when it is played',
    (calls, servedS, patienceS, members) => {
      const demand = { callsPerHour: calls, servedS, patienceS };
      const reckoned = waitingWith(demand, members);
      const counted = played(demand, members, 60_000, 20);
      expect(Math.abs(reckoned.waits - counted.waits)).toBeLessThan(0.02);
      expect(Math.abs(reckoned.gaveUp - counted.gaveUp)).toBeLessThan(0.015);
      expect(Math.abs(reckoned.within(20) - counted.within)).toBeLessThan(0.02);
      expect(Math.abs((reckoned.meanS ?? 0) - counted.meanS) / counted.meanS).toBeLessThan(0.1);
    },
  );

  it('never leaves what shares can be, and is better with every member', () => {
    const demand = fc.record({
      callsPerHour: fc.double({ min: 0.1, max: 600, noNaN: true }),
      servedS: fc.double({ min: 5, max: 1200, noNaN: true }),
      patienceS: fc.option(fc.double({ min: 1, max: 3600, noNaN: true })),
    });
    fc.assert(
      fc.property(demand, fc.integer({ min: 0, max: 40 }), fc.integer({ min: 0, max: 300 }), (of, members, seconds) => {
        const [less, more] = [waitingWith(of, members), waitingWith(of, members + 1)];
        for (const { waits, gaveUp, busy, within, meanS } of [less, more]) {
          for (const share of [waits, gaveUp, busy, within(seconds)]) {
            expect(share).toBeGreaterThanOrEqual(0);
            expect(share).toBeLessThanOrEqual(1 + 1e-9);
          }
          expect(meanS === null || (Number.isFinite(meanS) && meanS >= 0)).toBe(true);
        }
        expect(more.within(seconds)).toBeGreaterThanOrEqual(less.within(seconds) - 1e-6);
        expect(less.within(seconds + 30)).toBeGreaterThanOrEqual(less.within(seconds) - 1e-9);
      }),
      cases(300),
    );
  });

  it('tells how many members a target takes, and that none reach all callers', () => {
    const demand = { callsPerHour: 60, servedS: 180, patienceS: 120 };
    const target = { share: 0.9, withinS: 20 };
    const members = membersFor(demand, target)!;
    expect(waitingWith(demand, members).within(20)).toBeGreaterThanOrEqual(0.9);
    expect(waitingWith(demand, members - 1).within(20)).toBeLessThan(0.9);
    expect(membersFor(demand, { share: 1, withinS: 20 })).toBeNull();
    expect(membersFor({ ...demand, callsPerHour: 0 }, target)).toBe(0);
  });
});
