import fc from 'fast-check';
import { hours as boatyardHours, lunch, open } from '../testing/boatyard';
import { zones } from '../testing/zones';
import {
  answersAt,
  answerSpans,
  closedAllDay,
  datedWeekId,
  instantOf,
  isSameAnswer,
  nextChange,
  seasonId,
  specialDateId,
  type Hours,
  type Season,
  type SpecialDate,
  type Weekday,
  type When,
} from '.';
import { cases } from '../testing/cases';

/**
 * Special dates, seasons and dated weeks told a second time, from the words of their description: each day is taken from the
 * platform's own calendar in the zone, and days are counted one by one.
 */
const dayMs = 86_400_000;
const minuteMs = 60_000;

interface Wall {
  /** Midnight of the day in UTC, as a date without a zone. */
  readonly date: Date;
  readonly minute: number;
}

const formats = new Map<string, Intl.DateTimeFormat>();
function wall(zone: string, atMs: number): Wall {
  let format = formats.get(zone);
  if (!format) {
    format = new Intl.DateTimeFormat('en-US', {
      timeZone: zone,
      year: 'numeric',
      month: 'numeric',
      day: 'numeric',
      hour: 'numeric',
      minute: 'numeric',
      hourCycle: 'h23',
    });
    formats.set(zone, format);
  }
  const { year, month, day, hour, minute } = Object.fromEntries(
    format.formatToParts(atMs).map(({ type, value }) => [type, Number(value)]),
  ) as Record<string, number>;
  const date = new Date(Date.UTC(year ?? 0, (month ?? 1) - 1, day));
  return { date, minute: (hour ?? 0) * 60 + (minute ?? 0) };
}

const isoWeekday = (date: Date): number => date.getUTCDay() || 7;
const plus = (date: Date, days: number): Date => new Date(date.getTime() + days * dayMs);

/** Whether a date that recurs begins on this very day, before it is moved. */
function beginsOn(when: When, date: Date): boolean {
  switch (when.type) {
    case 'once':
      return date.toISOString().startsWith(when.from);
    case 'yearly': {
      const isLast = plus(date, 1).getUTCMonth() !== date.getUTCMonth();
      const isDay = date.getUTCDate() === when.day || (isLast && date.getUTCDate() < when.day);
      return date.getUTCMonth() + 1 === when.month && isDay;
    }
    case 'nthWeekday': {
      const day = plus(date, -when.plusDays);
      if (day.getUTCMonth() + 1 !== when.month || isoWeekday(day) !== when.weekday) return false;
      if (when.nth === -1) return plus(day, 7).getUTCMonth() !== day.getUTCMonth();
      let count = 0;
      for (let each = 1; each <= day.getUTCDate(); each += 1) {
        if (isoWeekday(new Date(Date.UTC(day.getUTCFullYear(), day.getUTCMonth(), each))) === when.weekday) count += 1;
      }
      return count === when.nth;
    }
    case 'easter': {
      const sunday = plus(date, -when.plusDays);
      return sunday.getTime() === knownEasters[sunday.getUTCFullYear()];
    }
  }
}

/** Western Easter Sundays, as printed in almanacs. */
const knownEasters: Readonly<Record<number, number>> = Object.fromEntries(
  ['2024-03-31', '2025-04-20', '2026-04-05', '2027-03-28', '2028-04-16', '2029-04-01', '2030-04-21'].map((day) => [
    Number(day.slice(0, 4)),
    Date.parse(`${day}T00:00Z`),
  ]),
);

function lengthOf(when: When): number {
  return when.type === 'once' ? (Date.parse(when.to) - Date.parse(when.from)) / dayMs + 1 : when.days;
}

/** Whether a day is one of the days of a special date, moved ones where they were moved to. */
function isOn({ when, moved }: SpecialDate, date: Date): boolean {
  for (let back = -3; back < lengthOf(when) + 3; back += 1) {
    const begins = plus(date, -back);
    if (!beginsOn(when, begins)) continue;
    const weekday = isoWeekday(begins);
    let shift = 0;
    if (moved === 'nextWorkday' && weekday >= 6) shift = 8 - weekday;
    if (moved === 'nearestWorkday' && weekday === 6) shift = -1;
    if (moved === 'nearestWorkday' && weekday === 7) shift = 1;
    if (back - shift >= 0 && back - shift < lengthOf(when)) return true;
  }
  return false;
}

function specialOn({ special }: Hours, date: Date): SpecialDate | undefined {
  const on = special.filter((each) => isOn(each, date));
  const single = on.filter(({ when }) => when.type === 'once');
  const candidates = single.length > 0 ? single : on;
  const shortest = Math.min(...candidates.map(({ when }) => lengthOf(when)));
  return candidates.find(({ when }) => lengthOf(when) === shortest);
}

/** Whether a season of some years is there: by the year of the day that it began on, going back to that day. */
function isOfItsYears({ from, years }: Season, date: Date): boolean {
  let begun = date;
  while (begun.getUTCMonth() + 1 !== from.month || begun.getUTCDate() !== from.day) begun = plus(begun, -1);
  const year = begun.getUTCFullYear();
  return year >= (years?.first ?? 0) && year <= (years?.last ?? 9999);
}

/** The week that holds outside the seasons: of those that have begun, the one that began last. */
function weekSince({ week, datedWeeks }: Hours, date: Date): Hours['week'] {
  const begun = datedWeeks.filter(({ from }) => from <= date.toISOString().slice(0, 10));
  const [last] = begun.sort((one, other) => (one.from < other.from ? 1 : -1));
  return last?.week ?? week;
}

/** What begins on a day: the times of its special date, else of its season, else of the week that holds. */
function beginning(hours: Hours, date: Date): readonly { periodId: string; startMin: number; endMin: number }[] {
  const special = specialOn(hours, date);
  if (special?.hours.type === 'times') return special.hours.spans;
  const code = (date.getUTCMonth() + 1) * 100 + date.getUTCDate();
  const season = hours.seasons.find((each) => {
    const { from, to } = each;
    const [first, last] = [from.month * 100 + from.day, to.month * 100 + to.day];
    const isIn = first <= last ? code >= first && code <= last : code >= first || code <= last;
    return isIn && isOfItsYears(each, date);
  });
  const week = (season?.week ?? weekSince(hours, date)).filter(({ day }) => day === isoWeekday(date));
  return special ? [] : week;
}

/** The answer in a word: the id of a period or special date, or "otherwise". Lunch is asked before Open. */
function answerInAWord(hours: Hours, zone: string, atMs: number): string {
  const { date, minute } = wall(zone, atMs);
  const running = [
    ...beginning(hours, plus(date, -1)).filter(({ endMin }) => endMin > minute + 1440),
    ...beginning(hours, date).filter(({ startMin, endMin }) => startMin <= minute && minute < endMin),
  ].map(({ periodId }) => periodId);
  const special = specialOn(hours, date);
  if (special && running.length === 0) return special.id;
  return [lunch.id, open.id].find((id) => running.includes(id)) ?? 'otherwise';
}

const rules = [
  { type: 'special', specialId: null },
  { type: 'period', periodId: lunch.id },
  { type: 'period', periodId: open.id },
] as const;

const minutes = fc.integer({ min: 0, max: 1439 });
const daySpan = fc
  .record({
    periodId: fc.constantFrom(open.id, lunch.id),
    startMin: minutes,
    length: fc.integer({ min: 1, max: 1440 }),
  })
  .map(({ periodId, startMin, length }) => ({ periodId, startMin, endMin: startMin + length }));
const weekSpan = fc
  .tuple(daySpan, fc.integer({ min: 1, max: 7 }))
  .map(([span, day]) => ({ ...span, day: day as Weekday }));
const days = fc.integer({ min: 1, max: 5 });
const month = fc.integer({ min: 1, max: 12 });
const plusDays = fc.integer({ min: -3, max: 3 });
const anyWhen: fc.Arbitrary<When> = fc.oneof(
  fc
    .tuple(fc.integer({ min: Date.UTC(2025, 0, 1) / dayMs, max: Date.UTC(2028, 0, 1) / dayMs }), days)
    .map(([from, count]): When => {
      const text = (day: number) => new Date(day * dayMs).toISOString().slice(0, 10);
      return { type: 'once', from: text(from), to: text(from + count - 1) };
    }),
  fc.record({ type: fc.constant('yearly' as const), month, day: fc.integer({ min: 1, max: 28 }), days }),
  fc.record({
    type: fc.constant('nthWeekday' as const),
    nth: fc.constantFrom(1, 2, 3, 4, 5, -1),
    weekday: fc.integer({ min: 1, max: 7 }),
    month,
    plusDays,
    days,
  }) as fc.Arbitrary<When>,
  fc.record({ type: fc.constant('easter' as const), church: fc.constant('western' as const), plusDays, days }),
);
const anySpecial: fc.Arbitrary<SpecialDate> = fc
  .record({
    when: anyWhen,
    moved: fc.constantFrom('stays' as const, 'nextWorkday' as const, 'nearestWorkday' as const),
    spans: fc.option(fc.array(daySpan, { maxLength: 2 })),
    name: fc.string({ minLength: 6, maxLength: 12, unit: fc.constantFrom(...'abcdefghij') }),
  })
  .map(({ when, moved, spans, name }) => ({
    id: specialDateId.create(name),
    name,
    when,
    moved,
    hours: spans ? { type: 'times' as const, spans } : closedAllDay,
    words: '',
  }));
const winter: Season = {
  id: seasonId.create('winter'),
  name: 'Winter',
  from: { month: 11, day: 15 },
  to: { month: 3, day: 1 },
  week: [{ periodId: open.id, day: 2, startMin: 540, endMin: 1600 }],
};
const someYear = fc.option(fc.integer({ min: 2024, max: 2028 }));
const seasons = fc.oneof(
  fc.constantFrom<Hours['seasons']>([], [winter]),
  fc
    .tuple(someYear, someYear)
    .map(([one, other]) => [
      { ...winter, years: { first: one, last: other === null ? null : Math.max(one ?? 0, other) } },
    ]),
);
const datedWeeks = fc
  .uniqueArray(
    fc.record({
      from: fc.integer({ min: Date.UTC(2025, 0, 1) / dayMs, max: Date.UTC(2028, 11, 1) / dayMs }),
      week: fc.array(weekSpan, { maxLength: 4 }),
    }),
    { selector: ({ from }) => from, maxLength: 4 },
  )
  .map((weeks) =>
    weeks.map(({ from, week }, index) => ({
      id: datedWeekId.create(`week${index}`),
      name: `Week ${index}`,
      from: new Date(from * dayMs).toISOString().slice(0, 10),
      week,
    })),
  );
const anyHours: fc.Arbitrary<Hours> = fc
  .record({
    week: fc.array(weekSpan, { maxLength: 8 }),
    special: fc.array(anySpecial, { maxLength: 5 }),
    seasons,
    datedWeeks,
  })
  .map((content) => ({ ...boatyardHours, ...content }));
const anyInstant = fc.integer({ min: Date.UTC(2025, 0, 2) / minuteMs, max: Date.UTC(2028, 11, 30) / minuteMs });

const inAWord = (hours: Hours, zone: string, atMs: number): string => {
  const answer = answersAt(rules, hours, zone, atMs);
  if (answer.type === 'period') return answer.periodId;
  return answer.type === 'special' ? answer.specialId : answer.type;
};

describe('special dates, seasons, dated weeks and the clock on the wall', () => {
  it('agree at any instant, in any zone', () => {
    fc.assert(
      fc.property(
        anyHours,
        fc.constantFrom(...zones),
        fc.array(anyInstant, { minLength: 12 }),
        (any, zone, instants) => {
          for (const minute of instants) {
            const atMs = minute * minuteMs;
            expect([minute, inAWord(any, zone, atMs)]).toEqual([minute, answerInAWord(any, zone, atMs)]);
          }
        },
      ),
      cases(400),
    );
  });

  it('agree on both sides of the midnight at which a dated week begins, minute by minute', () => {
    fc.assert(
      fc.property(anyHours, fc.constantFrom(...zones), (any, zone) => {
        for (const { from } of any.datedWeeks.slice(0, 2)) {
          const begins = instantOf(`${from}T00:00`, zone);
          for (let atMs = begins - 90 * minuteMs; atMs < begins + 90 * minuteMs; atMs += minuteMs) {
            expect(inAWord(any, zone, atMs)).toBe(answerInAWord(any, zone, atMs));
          }
        }
      }),
      cases(40),
    );
  });

  it('agree around every special date, minute by minute', () => {
    const year = (special: SpecialDate): readonly Date[] =>
      Array.from({ length: 365 }, (_, index) => new Date(Date.UTC(2026, 0, 1 + index))).filter((day) =>
        beginsOn(special.when, day),
      );
    fc.assert(
      fc.property(anyHours, fc.constantFrom(...zones), (any, zone) => {
        for (const begins of any.special.flatMap(year).slice(0, 2)) {
          const from = instantOf(`${begins.toISOString().slice(0, 10)}T00:00`, zone);
          for (let atMs = from - 90 * minuteMs; atMs < from + 90 * minuteMs; atMs += minuteMs) {
            expect(inAWord(any, zone, atMs)).toBe(answerInAWord(any, zone, atMs));
          }
        }
      }),
      cases(40),
    );
  });
});

describe('a whole year', () => {
  const hours: Hours = {
    ...boatyardHours,
    week: [
      ...([1, 2, 3, 4, 5] as const).map((day) => ({ periodId: open.id, day, startMin: 450, endMin: 1050 })),
      ...([1, 2, 3, 4, 5] as const).map((day) => ({ periodId: lunch.id, day, startMin: 720, endMin: 750 })),
      { periodId: open.id, day: 6, startMin: 1320, endMin: 1620 },
    ],
    seasons: [
      {
        id: seasonId.create('winter'),
        name: 'Winter',
        from: { month: 11, day: 15 },
        to: { month: 3, day: 1 },
        week: [{ periodId: open.id, day: 1, startMin: 540, endMin: 900 }],
      },
    ],
    datedWeeks: [
      {
        id: datedWeekId.create('june'),
        name: 'From June',
        from: '2026-06-03',
        week: [{ periodId: open.id, day: 3, startMin: 360, endMin: 1500 }],
      },
    ],
    special: [
      ['easter', { type: 'easter', church: 'western', plusDays: -2, days: 4 }],
      ['fourth', { type: 'yearly', month: 7, day: 4, days: 1 }],
      ['feast', { type: 'nthWeekday', nth: 4, weekday: 4, month: 11, plusDays: 0, days: 2 }],
    ].map(([name, when]) => ({
      id: specialDateId.create(name as string),
      name: name as string,
      when: when as When,
      moved: 'nearestWorkday',
      hours: closedAllDay,
      words: '',
    })),
  };

  it.each(zones)('is tiled without gap or overlap, as every minute of it says, in %s', (zone) => {
    const [from, to] = [Date.UTC(2026, 0, 1), Date.UTC(2027, 0, 1)];
    const spans = answerSpans(rules, hours, zone, from, to);
    expect(spans[0]?.fromMs).toBe(from);
    expect(spans.at(-1)?.toMs).toBe(to);
    let wrong = 0;
    spans.forEach(({ fromMs, toMs, answer }, index) => {
      expect(spans[index + 1]?.fromMs ?? to).toBe(toMs);
      for (let atMs = fromMs; atMs < toMs; atMs += minuteMs) {
        if (!isSameAnswer(answersAt(rules, hours, zone, atMs), answer)) wrong += 1;
      }
      const change = nextChange(rules, hours, zone, fromMs);
      if (index + 1 < spans.length) expect(change?.atMs).toBe(toMs);
    });
    expect(wrong).toBe(0);
  });
});
