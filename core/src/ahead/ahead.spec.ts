import * as ical from 'node-ical';
import type { VEvent } from 'node-ical';
import { closedAllDay, datedWeekId, instantOf, readDate, seasonId, specialDateId, type Hours } from '../hours';
import { hours as boatyard, line, open } from '../testing/boatyard';
import { changesAhead, describeAhead, writeAheadCalendar, type AheadSubject } from '.';

const zone = 'America/New_York';
const day = (text: string): number => readDate(text) ?? NaN;
const until = (to: string) => ({ from: day('2026-11-28'), to: day(to) });
const saturday = { periodId: open.id, day: 6, startMin: 540, endMin: 720 } as const;
const summer = { id: seasonId.create('summer'), name: 'Summer', week: [] };
const hours: Hours = {
  ...boatyard,
  datedWeeks: [
    { id: datedWeekId.create('spring'), name: 'Spring', from: '2027-01-04', week: [...boatyard.week, saturday] },
  ],
  seasons: [{ ...summer, from: { month: 5, day: 15 }, to: { month: 9, day: 15 } }],
  special: [
    {
      id: specialDateId.create('pause'),
      name: 'Christmas to New Year',
      when: { type: 'yearly', month: 12, day: 24, days: 9 },
      moved: 'stays',
      hours: closedAllDay,
      words: '',
    },
  ],
};
const nothing: AheadSubject = {
  line: { ...line, timeZone: zone, hoursId: hours.id },
  lines: [],
  contacts: [],
  allHours: [],
  planned: null,
  switched: null,
  cards: [],
  budgetSpentBy: null,
};
const told = (subject: Partial<AheadSubject>, to = '2027-12-31'): readonly string[] =>
  changesAhead({ ...nothing, ...subject }, until(to)).map(
    (change) => `${new Date(change.day * 86_400_000).toISOString().slice(0, 10)} ${describeAhead(change, hours.id)}`,
  );

describe('what changes ahead', () => {
  it('is nothing where nothing changes', () => {
    expect(told({ allHours: [boatyard] })).toEqual([]);
  });

  it('holds weeks from a date on with what they change, seasons and special dates, the nearest first', () => {
    expect(told({ allHours: [hours] })).toEqual([
      '2026-12-24 Christmas to New Year until Fri 1 January 2027: closed.',
      '2027-01-04 Spring. Open, on Saturdays: 9:00 to 12:00 instead of closed.',
      '2027-05-15 Summer begins, with a week of its own.',
      '2027-09-16 Summer is over; Spring holds again.',
      '2027-12-24 Christmas to New Year until Sat 1 January 2028: closed.',
    ]);
    expect(told({ allHours: [hours] }, '2026-12-31')).toHaveLength(1);
  });

  it('says one thing where one season follows the other at once', () => {
    const autumn = {
      ...summer,
      id: seasonId.create('autumn'),
      name: 'Autumn',
      from: { month: 9, day: 16 },
      to: { month: 11, day: 1 },
    };
    const of = { ...hours, datedWeeks: [], special: [], seasons: [...hours.seasons, autumn] };
    expect(told({ allHours: [of] })).toEqual([
      '2027-05-15 Summer begins, with a week of its own.',
      '2027-09-16 Autumn begins, with a week of its own.',
      '2027-11-02 Autumn is over; the regular week holds again.',
    ]);
  });

  it('names hours that are not the line’s, and still tells what goes on today', () => {
    const shed = { ...hours, id: 'hours:shed' as Hours['id'], name: 'Shed', datedWeeks: [], seasons: [] };
    const from = day('2026-12-30');
    const found = changesAhead({ ...nothing, allHours: [shed] }, { from, to: from });
    expect(found.map((change) => describeAhead(change, hours.id))).toEqual([
      'Shed: Christmas to New Year until Fri 1 January 2027: closed.',
    ]);
  });

  it('holds what goes on air by itself, the end of the switch, service, prices and a budget that will be spent', () => {
    const at = (text: string) => instantOf(`${text}T23:30`, zone);
    const card = { from: '2027-02-01' } as AheadSubject['cards'][number];
    expect(
      told({
        planned: { at: at('2026-12-01'), by: 'Tamsin', versionId: null },
        switched: {
          to: { type: 'closed' },
          fromMs: 0,
          untilMs: at('2026-11-28'),
          words: '',
        } as unknown as AheadSubject['switched'],
        lines: [{ name: 'Boatyard', serviceFrom: '2020-01-01', serviceUntil: '2026-12-31' }],
        contacts: [{ name: 'Harbor master', serviceFrom: '2027-03-01', serviceUntil: null }],
        cards: [card],
        budgetSpentBy: day('2026-11-30'),
      }),
    ).toEqual([
      '2026-11-28 The switch ends, and the hours decide again.',
      '2026-11-30 By then the month’s budget is likely to be spent.',
      '2026-12-01 A new version goes on air, planned by Tamsin.',
      '2026-12-31 Boatyard: the last day of the line’s service.',
      '2027-02-01 Calls cost what the next rate card says.',
      '2027-03-01 Harbor master: the first day of the number’s service.',
    ]);
  });

  it('is a calendar that another program reads: whole days, instants, and no two events alike', () => {
    const planned = { at: instantOf('2026-12-01T06:00', zone), by: 'Tamsin', versionId: null };
    const changes = changesAhead({ ...nothing, allHours: [hours], planned }, until('2027-12-31'));
    const text = writeAheadCalendar(changes, hours.id, 'Ahead', Date.UTC(2026, 10, 28));
    const events = Object.values(ical.sync.parseICS(text)).filter((each): each is VEvent => each?.type === 'VEVENT');
    expect(events.map(({ summary }) => summary)).toEqual(changes.map((change) => describeAhead(change, hours.id)));
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(changes.length);
    const [plan, pause] = events;
    expect(plan?.start.toISOString()).toBe('2026-12-01T11:00:00.000Z');
    expect([pause?.datetype, (Number(pause?.end) - Number(pause?.start)) / 86_400_000]).toEqual(['date', 9]);
    for (const each of text.split('\r\n')) expect(Buffer.byteLength(each)).toBeLessThanOrEqual(75);
  });
});
