import * as ical from 'node-ical';
import type { VEvent } from 'node-ical';
import { personId, rotaDefaults, type Rota } from '../directory';
import { readDate, wallInstant } from '../hours';
import { dutyAt, rotaProblem, writeRotaCalendar } from '.';

const [bram, mateo, cormac] = ['bram', 'mateo', 'cormac'].map((name) => personId.create(name)) as [never, never, never];
const names: Record<string, string> = { [bram]: 'Bram', [mateo]: 'Mateo; the engines', [cormac]: 'Cormac' };
const rota: Rota = {
  ...rotaDefaults,
  turns: [bram, mateo, cormac],
  from: '2026-10-05',
  handoverOn: [1, 5],
  handoverMin: 1050,
  swaps: [{ date: '2026-10-28', personId: mateo }],
};
const zone = 'America/New_York';
const day = (date: string): number => readDate(date) ?? NaN;

describe('a rota as a calendar', () => {
  const days = { from: day('2026-10-20'), to: day('2026-11-20') };
  const text = writeRotaCalendar(rota, { zone, days, key: 'group:on-call' }, 'On call', (id) => names[id] ?? '', 0);
  const events = Object.values(ical.sync.parseICS(text)).filter((each): each is VEvent => each?.type === 'VEVENT');

  it('says at every hour who is on call, over the end of summer time too', () => {
    for (let atMs = wallInstant(zone, days.from, 1060); atMs < wallInstant(zone, days.to, 0); atMs += 3_600_000) {
      const meant = events.filter((each) => each.start.getTime() <= atMs && atMs < each.end!.getTime());
      const on = dutyAt(rota, zone, atMs);
      expect(meant.map(({ summary }) => summary)).toEqual([`On call: ${names[on?.personId ?? '']}`]);
    }
  });

  it('tells who is stood in for, and keeps the same events when it is written again', () => {
    expect(events.filter(({ description }) => description === 'Instead of Bram')).toHaveLength(1);
    const again = writeRotaCalendar(rota, { zone, days, key: 'group:on-call' }, 'On call', () => '', 1);
    const uids = (written: string): string[] => written.match(/^UID:.*$/gm) ?? [];
    expect(uids(again)).toEqual(uids(text));
    expect(new Set(uids(text)).size).toBe(events.length);
  });
});

describe('what is wrong with a rota', () => {
  const members = [bram, mateo, cormac].map((each) => ({ personId: each, tier: 1 }));

  it.each([
    [{}, undefined],
    [{ from: '2026-02-30' }, { type: 'from' }],
    [{ handoverOn: [] }, { type: 'handoverOn' }],
    [{ handoverOn: [1, 1] }, { type: 'handoverOn' }],
    [{ swaps: [{ date: '24 December', personId: bram }] }, { type: 'swapDate' }],
    [
      {
        swaps: [
          { date: '2026-12-24', personId: bram },
          { date: '2026-12-24', personId: mateo },
        ],
      },
      { type: 'swapTwice', date: '2026-12-24' },
    ],
    [{ turns: [bram, personId.create('eve')] }, { type: 'noMember', personId: personId.create('eve') }],
  ])('%j', (changes, problem) => {
    expect(rotaProblem({ ...rota, ...(changes as Partial<Rota>) }, members)).toEqual(problem);
  });
});
