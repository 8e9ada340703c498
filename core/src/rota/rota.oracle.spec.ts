import fc from 'fast-check';
import { Temporal } from 'temporal-polyfill';
import { groupDefaults, personId, rotaDefaults, type Group, type PersonId, type Rota } from '../directory';
import { readDate, showDate, wallInstant } from '../hours';
import { zones } from '../testing/zones';
import {
  changeTurns,
  dutiesBetween,
  dutyAt,
  dutyDay,
  keepToMembers,
  membersAt,
  onCallOn,
  swapDays,
  withoutSwaps,
} from '.';

const ids = ['ada', 'ben', 'cyd', 'dov', 'eve'].map((name) => personId.create(name));
const first = readDate('2026-01-05') ?? NaN;

const anyRota = fc
  .record({
    turns: fc.array(fc.constantFrom(...ids), { minLength: 1, maxLength: 7 }),
    from: fc.integer({ min: first - 20, max: first + 20 }).map(showDate),
    handoverOn: fc.subarray([1, 2, 3, 4, 5, 6, 7], { minLength: 1 }),
    handoverMin: fc.integer({ min: 0, max: 1439 }),
    thenOthers: fc.boolean(),
    swaps: fc.uniqueArray(
      fc.record({
        date: fc.integer({ min: first - 30, max: first + 200 }).map(showDate),
        personId: fc.constantFrom(...ids),
      }),
      { maxLength: 12, selector: ({ date }) => date },
    ),
  })
  .map((rota): Rota => rota);

const anyDay = fc.integer({ min: first - 40, max: first + 400 });

/** Tells who is on call by going through every day since the first turn. */
class SlowRota {
  constructor(private readonly rota: Rota) {}

  private readonly known = new Map<number, PersonId | null>();

  onCall(day: number): PersonId | null {
    if (!this.known.has(day)) this.known.set(day, this.count(day));
    return this.known.get(day) ?? null;
  }

  private count(day: number): PersonId | null {
    const { from, turns, handoverOn, swaps } = this.rota;
    const begins = Temporal.PlainDate.from(from);
    const date = Temporal.PlainDate.from(showDate(day));
    if (Temporal.PlainDate.compare(date, begins) < 0) return null;
    let turn = 0;
    for (let each = begins; Temporal.PlainDate.compare(each, date) < 0;) {
      each = each.add({ days: 1 });
      if (handoverOn.includes(each.dayOfWeek)) turn = (turn + 1) % turns.length;
    }
    return swaps.find((swap) => swap.date === date.toString())?.personId ?? turns[turn] ?? null;
  }
}

function group(rota: Rota): Pick<Group, 'members' | 'order' | 'rota'> {
  return { ...groupDefaults, order: 'onCall', members: ids.map((each) => ({ personId: each, tier: 1 })), rota };
}

const instant = (zone: string, day: number, minute: number): number =>
  Temporal.PlainDate.from(showDate(day)).toZonedDateTime({
    timeZone: zone,
    plainTime: { hour: Math.floor(minute / 60), minute: minute % 60 },
  }).epochMilliseconds;

describe('who is on call', () => {
  it('is told as by counting every handover since the first turn', () => {
    fc.assert(
      fc.property(anyRota, anyDay, (rota, day) => {
        expect(onCallOn(rota, day)?.personId ?? null).toBe(new SlowRota(rota).onCall(day));
      }),
      { numRuns: 300 },
    );
  });

  it('changes at the minute of handover by the clock of the place, in any zone', () => {
    fc.assert(
      fc.property(anyRota, anyDay, fc.constantFrom(...zones), (rota, day, zone) => {
        const atMs = instant(zone, day, rota.handoverMin);
        expect(dutyDay(rota, zone, atMs)).toBe(day);
        expect(dutyDay(rota, zone, atMs - 1)).toBe(day - 1);
      }),
      { numRuns: 100 },
    );
  });

  it('is told in duties without gaps, each by the day that it begins and ends on', () => {
    fc.assert(
      fc.property(anyRota, anyDay, fc.integer({ min: 0, max: 90 }), (rota, from, days) => {
        const slow = new SlowRota(rota);
        const duties = dutiesBetween(rota, from, from + days);
        duties.forEach((duty, index) => {
          const next = duties[index + 1];
          if (next) expect(duty.until).toBe(next.from);
          const last = Math.min(duty.until ?? from + days, from + days + 1);
          for (let day = duty.from; day < last; day += 1) expect(slow.onCall(day)).toBe(duty.personId);
          expect(onCallOn(rota, duty.from - 1)).not.toEqual({ personId: duty.personId, insteadOf: duty.insteadOf });
        });
        for (let day = from; day <= from + days; day += 1) {
          const isTold = duties.some((duty) => duty.from <= day && (duty.until ?? Infinity) > day);
          expect(isTold).toBe(slow.onCall(day) !== null);
        }
      }),
      { numRuns: 12 },
    );
  });

  it('rings whoever is on call first, the others once each after them, and last who is replaced', () => {
    fc.assert(
      fc.property(anyRota, anyDay, fc.constantFrom(...zones), (rota, day, zone) => {
        const atMs = wallInstant(zone, day, rota.handoverMin);
        const rung = membersAt(group(rota), zone, atMs).map((each) => each.personId);
        const on = onCallOn(rota, day);
        if (!on) return expect(rung).toEqual(ids);
        expect(rung[0]).toBe(on.personId);
        if (!rota.thenOthers) return expect(rung).toHaveLength(1);
        expect([...rung].sort()).toEqual([...ids].sort());
        if (on.insteadOf) expect(rung.at(-1)).toBe(on.insteadOf);
      }),
      { numRuns: 400 },
    );
  });
});

describe('changing a rota', () => {
  it('leaves whoever is on call on call until the next handover, and their turn where it is', () => {
    const turns = fc.array(fc.constantFrom(...ids), { minLength: 1, maxLength: 7 });
    const handoverOn = fc.subarray([1, 2, 3, 4, 5, 6, 7], { minLength: 1 });
    fc.assert(
      fc.property(anyRota, anyDay, turns, handoverOn, (rota, day, next, on) => {
        const before = onCallOn({ ...rota, swaps: [] }, day)?.personId;
        const after = changeTurns({ ...rota, swaps: [] }, { turns: next, handoverOn: on }, day);
        if (before && next.includes(before)) expect(onCallOn(after, day)?.personId).toBe(before);
        expect([...after.turns].sort()).toEqual([...next].sort());
      }),
      { numRuns: 400 },
    );
  });

  it('changes nobody’s turn where only the time of handover is another', () => {
    fc.assert(
      fc.property(anyRota, anyDay, fc.integer({ min: 0, max: 1439 }), (rota, day, handoverMin) => {
        const after = changeTurns(rota, { handoverMin }, day);
        for (let each = day; each < day + 60; each += 1) expect(onCallOn(after, each)).toEqual(onCallOn(rota, each));
      }),
      { numRuns: 200 },
    );
  });

  it('keeps two turns in a row two, and the one that runs where it is', () => {
    const rota: Rota = { ...rotaDefaults, turns: [ids[0]!, ids[0]!, ids[1]!], from: '2026-01-05' };
    const after = changeTurns(rota, { turns: [ids[0]!, ids[0]!, ids[1]!, ids[2]!] }, first + 8);
    const weekly = [7, 14, 21, 28].map((days) => onCallOn(after, first + days)?.personId);
    expect(weekly).toEqual([ids[0], ids[1], ids[2], ids[0]]);
  });

  it('goes on with whoever comes next when somebody leaves the group', () => {
    const rota: Rota = { ...rotaDefaults, turns: ids.slice(0, 4), from: '2026-01-05' };
    const members = ids.filter((each) => each !== ids[1]).map((each) => ({ personId: each, tier: 1 }));
    const kept = keepToMembers(rota, members, first + 8);
    const weekly = [8, 14, 21, 28].map((days) => onCallOn(kept, first + days)?.personId);
    expect(weekly).toEqual([ids[2], ids[3], ids[0], ids[2]]);
  });

  it('swaps days and gives them back, and swaps nothing that is theirs anyway', () => {
    fc.assert(
      fc.property(
        anyRota,
        anyDay,
        fc.integer({ min: 0, max: 20 }),
        fc.constantFrom(...ids),
        (rota, from, length, who) => {
          const days = { from, to: from + length };
          const swapped = swapDays(rota, days, who);
          for (let day = from; day <= days.to; day += 1) {
            const before = onCallOn(withoutSwaps(rota, days), day);
            if (before) expect(onCallOn(swapped, day)?.personId).toBe(who);
          }
          expect(new Set(swapped.swaps.map(({ date }) => date)).size).toBe(swapped.swaps.length);
          for (const day of [from - 1, days.to + 1]) expect(onCallOn(swapped, day)).toEqual(onCallOn(rota, day));
          const back = withoutSwaps(swapped, days);
          expect(onCallOn(back, from)?.insteadOf ?? null).toBeNull();
        },
      ),
      { numRuns: 300 },
    );
  });

  it('is a week each, from Monday at eight, unless somebody says otherwise', () => {
    const rota: Rota = { ...rotaDefaults, turns: ids.slice(0, 3), from: '2026-01-05' };
    const zone = 'America/New_York';
    const duty = dutyAt(rota, zone, wallInstant(zone, first + 10, 0));
    expect(duty).toEqual({ personId: ids[1], insteadOf: null, from: first + 7, until: first + 14 });
    expect(dutyAt(rota, zone, wallInstant(zone, first + 14, 479))?.personId).toBe(ids[1]);
    expect(dutyAt(rota, zone, wallInstant(zone, first + 14, 480))?.personId).toBe(ids[2]);
  });
});
