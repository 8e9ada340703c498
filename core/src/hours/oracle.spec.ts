import fc from 'fast-check';
import { hours, lunch, open } from '../testing/boatyard';
import { zones } from '../testing/zones';
import { answersAt, nextChange, periodsAt, type Hours, type PeriodId, type Weekday, type WeekSpan } from '.';
import { cases } from '../testing/cases';

/**
 * The hours told a second time: the clock on the wall is read from the platform's own calendar, and each span is tried
 * against it by its words, "from Friday 22:00 until 2:00 the day after".
 */
const days = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
const formats = new Map<string, Intl.DateTimeFormat>();

function wallClock(zone: string, atMs: number): { day: number; minute: number } {
  let format = formats.get(zone);
  if (!format) {
    format = new Intl.DateTimeFormat('en-US', {
      timeZone: zone,
      weekday: 'short',
      hour: '2-digit',
      minute: '2-digit',
      hourCycle: 'h23',
    });
    formats.set(zone, format);
  }
  const parts = Object.fromEntries(format.formatToParts(atMs).map(({ type, value }) => [type, value]));
  return { day: days.indexOf(parts.weekday ?? '') + 1, minute: Number(parts.hour) * 60 + Number(parts.minute) };
}

function runsByTheWall(span: WeekSpan, { day, minute }: { day: number; minute: number }): boolean {
  if (span.day === day && minute >= span.startMin && minute < span.endMin) return true;
  const dayBefore = day === 1 ? 7 : day - 1;
  return span.day === dayBefore && minute + 1440 < span.endMin;
}

const anySpan: fc.Arbitrary<WeekSpan> = fc
  .record({
    periodId: fc.constantFrom<PeriodId>(open.id, lunch.id),
    day: fc.integer({ min: 1, max: 7 }),
    startMin: fc.integer({ min: 0, max: 1439 }),
    length: fc.integer({ min: 1, max: 1440 }),
  })
  .map(({ periodId, day, startMin, length }) => ({
    periodId,
    day: day as Weekday,
    startMin,
    endMin: startMin + length,
  }));
const anyHours: fc.Arbitrary<Hours> = fc.array(anySpan, { maxLength: 10 }).map((week) => ({ ...hours, week }));
const anyInstant = fc.integer({ min: Date.UTC(2024, 0, 1), max: Date.UTC(2030, 0, 1) });
const rules = [
  { type: 'period', periodId: lunch.id },
  { type: 'period', periodId: open.id },
] as const;

describe('the hours and the clock on the wall', () => {
  it('agree at any instant, in any zone', () => {
    fc.assert(
      fc.property(anyHours, fc.constantFrom(...zones), anyInstant, (any, zone, atMs) => {
        const clock = wallClock(zone, atMs);
        const expected = any.week.filter((span) => runsByTheWall(span, clock)).map(({ periodId }) => periodId);
        expect(periodsAt(any, zone, atMs)).toEqual(new Set(expected));
      }),
      cases(1500),
    );
  });

  it('agree around a clock change, minute by minute', () => {
    const nights: Hours = {
      ...hours,
      week: ([6, 7, 1] as const).map((day) => ({ periodId: open.id, day, startMin: 60, endMin: 175 })),
    };
    for (const zone of ['America/New_York', 'Europe/London', 'Australia/Lord_Howe']) {
      for (let atMs = Date.UTC(2026, 2, 7); atMs < Date.UTC(2026, 2, 10); atMs += 60_000) {
        const expected = nights.week.some((span) => runsByTheWall(span, wallClock(zone, atMs)));
        expect(periodsAt(nights, zone, atMs).has(open.id)).toBe(expected);
      }
    }
  });

  it('agree on the next change: nothing changes before it, and something does at it', () => {
    fc.assert(
      fc.property(anyHours, fc.constantFrom(...zones), anyInstant, (any, zone, raw) => {
        const atMs = raw - (raw % 60_000);
        const now = answersAt(rules, any, zone, atMs);
        const change = nextChange(rules, any, zone, atMs);
        const end = change?.atMs ?? atMs + 7 * 86_400_000;
        for (let step = 1; step <= 40; step += 1) {
          const between = atMs + Math.floor(((end - atMs) * step) / 41);
          expect(answersAt(rules, any, zone, between).type).toBe(now.type);
        }
        if (change) expect(change.answer).toEqual(answersAt(rules, any, zone, change.atMs));
      }),
      cases(300),
    );
  });
});
