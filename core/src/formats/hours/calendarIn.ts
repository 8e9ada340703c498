import ICAL from 'ical.js';
import {
  dayNumber,
  daysOf,
  isTimeZone,
  joinTimes,
  showDate,
  specialLimits,
  wallTime,
  weekdayOf,
  yearOf,
  type DayNumber,
  type DayTime,
  type Nth,
  type TimeZone,
  type Weekday,
  type When,
} from '../../hours';
import { right, wrong, type Result } from '../../result';
import { weekdayCodes } from './weekdayCodes';

/** Why a calendar cannot be read at all. */
export type CalendarProblem =
  | { readonly type: 'tooLarge'; readonly characters: number }
  | { readonly type: 'notACalendar' }
  | { readonly type: 'tooManyEvents'; readonly count: number }
  | { readonly type: 'noEvents' };

/** Why an event of a calendar is not taken, or not as it is there. */
export interface NotRead {
  readonly name: string;
  readonly why:
    | 'unreadable'
    | 'unknownZone'
    | 'over'
    | 'otherTimeOfYear'
    | 'tooOften'
    /** Taken as the days on which it comes in the next two years. */
    | 'daysOnly'
    /** Taken at the line's own time, as the zones differ now. */
    | 'otherZone'
    | 'tooLong'
    | 'tooMany';
}

/** Times of a day, of a period called by the events' name. */
export interface ReadTimes extends DayTime {
  readonly period: string;
}

export interface ReadSpecial {
  readonly name: string;
  readonly when: When;
  /** What runs on those days; nothing where they are closed. */
  readonly times: readonly ReadTimes[];
  readonly words: string;
}

/** What a calendar says of hours. Nothing is changed by reading it. */
export interface ReadCalendar {
  readonly week: readonly (ReadTimes & { readonly day: Weekday })[];
  readonly special: readonly ReadSpecial[];
  readonly notCarried: readonly NotRead[];
}

export const calendarLimits = { characters: 2_000_000, events: 5000, timesEach: 60, daysAhead: 731 } as const;

type Component = InstanceType<typeof ICAL.Component>;
type Time = InstanceType<typeof ICAL.Time>;
type Recur = InstanceType<typeof ICAL.Recur>;

/**
 * Reads a calendar (RFC 5545): what recurs every week makes the week, events of whole days are special dates on which it
 * is closed, other events and exceptions are special dates with times of their own.
 *
 * @param today the day from which on it is read; what was over before is left out
 */
export function readCalendar(text: string, zone: TimeZone, today: DayNumber): Result<ReadCalendar, CalendarProblem> {
  if (text.length > calendarLimits.characters) return wrong({ type: 'tooLarge', characters: text.length });
  if (!/^\s*(?:\ufeff)?BEGIN:VCALENDAR/i.test(text)) return wrong({ type: 'notACalendar' });
  const events = text.match(/^BEGIN:VEVENT\b[\s\S]*?^END:VEVENT\b/gim) ?? [];
  if (events.length === 0) return wrong({ type: 'noEvents' });
  if (events.length > calendarLimits.events) return wrong({ type: 'tooManyEvents', count: events.length });
  const reader = new Reader(zone, today, zonesIn(text));
  for (const event of events) reader.take(event);
  return right(reader.result());
}

function zonesIn(text: string): ReadonlyMap<string, InstanceType<typeof ICAL.Timezone>> {
  const found = (text.match(/^BEGIN:VTIMEZONE\b[\s\S]*?^END:VTIMEZONE\b/gim) ?? []).flatMap((each) => {
    const zone = quietly(() => new ICAL.Timezone(new ICAL.Component(ICAL.parse(each) as unknown as string)));
    return zone?.tzid ? [[zone.tzid, zone] as const] : [];
  });
  return new Map(found);
}

function quietly<Made>(make: () => Made): Made | undefined {
  try {
    return make();
  } catch {
    return undefined;
  }
}

/** One event as it is understood: a time by the line's clock, or whole days. */
interface Understood {
  readonly name: string;
  readonly words: string;
  readonly from: DayNumber;
  /** Whole days: the last of them. */
  readonly to: DayNumber;
  /** Null for whole days. */
  readonly times: DayTime | null;
  readonly rule: Recur | null;
  readonly start: Time;
  readonly except: readonly DayNumber[];
}

/** A weekly event, and from when to when it comes. */
interface Weekly {
  readonly span: ReadTimes & { readonly day: Weekday };
  readonly except: ReadonlySet<DayNumber>;
}

class Reader {
  private readonly weekly: Weekly[] = [];
  private readonly wholeDays: ReadSpecial[] = [];
  private readonly singles = new Map<DayNumber, ReadTimes[]>();
  private readonly notCarried: NotRead[] = [];
  /** Days that an event of the same id has instead of what its rule says. */
  private readonly overridden = new Map<string, DayNumber[]>();
  private readonly later: { readonly uid: string; readonly event: Understood }[] = [];

  constructor(
    private readonly zone: TimeZone,
    private readonly today: DayNumber,
    private readonly zones: ReadonlyMap<string, InstanceType<typeof ICAL.Timezone>>,
  ) {}

  take(text: string): void {
    const calendar = quietly(() => new ICAL.Component(ICAL.parse(text) as unknown as string));
    const named = /^SUMMARY[^:\r\n]*:(.*)$/im.exec(text)?.[1]?.trim().slice(0, specialLimits.name) ?? 'Event';
    if (!calendar) return this.leave(named, 'unreadable');
    const status = String(calendar.getFirstPropertyValue('status') ?? '').toUpperCase();
    if (status === 'CANCELLED') return;
    const understood = quietly(() => this.understand(calendar, named));
    if (typeof understood === 'string') return this.leave(named, understood);
    if (!understood) return this.leave(named, 'unreadable');
    const uid = String(calendar.getFirstPropertyValue('uid') ?? '');
    const instead = calendar.getFirstProperty('recurrence-id');
    const at = instead && quietly(() => this.wallOf(instead.getFirstValue() as Time, instead));
    if (at && typeof at !== 'string') this.overridden.set(uid, [...(this.overridden.get(uid) ?? []), at.day]);
    this.later.push({ uid, event: understood });
  }

  result(): ReadCalendar {
    for (const { uid, event } of this.later) {
      this.place({ ...event, except: [...event.except, ...(this.overridden.get(uid) ?? [])] });
    }
    const days = new Set([...this.singles.keys(), ...this.weekly.flatMap(({ except }) => [...except])]);
    const soon = [...days].filter((day) => day >= this.today && day <= this.today + calendarLimits.daysAhead);
    const ofDays = soon.sort((one, other) => one - other).flatMap((day) => this.dayOf(day));
    const special = [...this.wholeDays, ...ofDays];
    if (special.length > specialLimits.most) this.leave(`${special.length - specialLimits.most} dates`, 'tooMany');
    return {
      week: this.weekly.map(({ span }) => span),
      special: special.slice(0, specialLimits.most),
      notCarried: this.notCarried,
    };
  }

  private leave(name: string, why: NotRead['why']): void {
    if (!this.notCarried.some((each) => each.name === name && each.why === why)) this.notCarried.push({ name, why });
  }

  private understand(event: Component, name: string): Understood | NotRead['why'] | undefined {
    const property = event.getFirstProperty('dtstart');
    const start = property?.getFirstValue() as Time | undefined;
    if (!property || !start) return undefined;
    const rule = (event.getFirstPropertyValue('rrule') as Recur | null) ?? null;
    const words = String(event.getFirstPropertyValue('description') ?? '').slice(0, specialLimits.words);
    const from = this.wallOf(start, property);
    if (typeof from === 'string') return from;
    const endProperty = event.getFirstProperty('dtend');
    const lasts = event.getFirstPropertyValue('duration') as { toSeconds: () => number } | null;
    const end = endProperty && this.wallOf(endProperty.getFirstValue() as Time, endProperty);
    if (typeof end === 'string') return end;
    const usualMin = start.isDate ? 1440 : 60;
    const endMin = end
      ? (end.day - from.day) * 1440 + end.minute
      : from.minute + (lasts ? lasts.toSeconds() / 60 : usualMin);
    const except = event.getAllProperties('exdate').flatMap((each) =>
      each.getValues().flatMap((value) => {
        const day = this.wallOf(value as Time, each);
        return typeof day === 'string' ? [] : [day.day];
      }),
    );
    if (from.isOther) this.leave(name, 'otherZone');
    const common = { name, words, from: from.day, rule, start, except };
    if (start.isDate) return { ...common, to: from.day + Math.max(1, Math.round(endMin / 1440)) - 1, times: null };
    if (endMin <= from.minute || endMin - from.minute > 1440) return 'tooLong';
    const times = { startMin: Math.round(from.minute), endMin: Math.round(endMin) };
    return { ...common, to: from.day, times };
  }

  /** What the line's clock reads at a time of the calendar. */
  private wallOf(time: Time, property: InstanceType<typeof ICAL.Property>) {
    const here = { day: dayNumber(time.year, time.month, time.day), minute: time.hour * 60 + time.minute };
    const tzid = property.getFirstParameter('tzid') || undefined;
    const isUtc = time.zone?.tzid === 'UTC';
    if (time.isDate || (!isUtc && (tzid === undefined || tzid === this.zone))) return { ...here, isOther: false };
    const atMs = isUtc ? time.toUnixTime() * 1000 : this.instantOf(time, tzid ?? '');
    return atMs === undefined ? 'unknownZone' : { ...wallTime(this.zone, atMs), isOther: !isUtc };
  }

  private instantOf(time: Time, tzid: string): number | undefined {
    const known = this.zones.get(tzid);
    if (isTimeZone(tzid)) {
      const utcMs = Date.UTC(time.year, time.month - 1, time.day, time.hour, time.minute);
      // The offset is that of the zone at about this time: twice is enough, also beside a clock change.
      const offsetAt = (ms: number): number => {
        const { day, minute } = wallTime(tzid, ms);
        return day * 86_400_000 + minute * 60_000 - ms;
      };
      return utcMs - offsetAt(utcMs - offsetAt(utcMs));
    }
    if (!known) return undefined;
    const there = time.clone();
    there.zone = known;
    return there.toUnixTime() * 1000;
  }

  private place(event: Understood): void {
    const { rule, name, from, to } = event;
    if (!rule) {
      if (to < this.today) return this.leave(name, 'over');
      return this.placeDay(event, from);
    }
    const last = lastDay(rule, event);
    if (last !== undefined && last < this.today) return this.leave(name, 'over');
    const isWeekly = (rule.freq === 'WEEKLY' || rule.freq === 'DAILY') && (rule.interval ?? 1) === 1;
    if (isWeekly && event.times) return this.placeWeekly(event, event.times, last);
    const when = event.times || (last !== undefined && last < this.today + 366) ? undefined : yearlyWhen(event);
    if (when) {
      this.wholeDays.push({ name, when, times: [], words: event.words });
      return;
    }
    this.expand(event, last);
  }

  private placeWeekly({ name, rule, from, except, start }: Understood, times: DayTime, last: number | undefined): void {
    if (from > this.today + 13 || (last !== undefined && last < this.today + 13))
      return this.leave(name, 'otherTimeOfYear');
    const shift = from - dayNumber(start.year, start.month, start.day);
    const codes = (rule?.parts.BYDAY as readonly string[] | undefined) ?? [];
    const named = codes.map((code) => weekdayCodes.indexOf(code as 'MO')).filter((index) => index >= 0);
    const all = rule?.freq === 'DAILY' ? [0, 1, 2, 3, 4, 5, 6] : [weekdayOf(from) - 1 - shift];
    for (const index of named.length > 0 ? named : all) {
      const day = (((index + shift + 14) % 7) + 1) as Weekday;
      const exceptThen = except.filter((each) => weekdayOf(each) === day);
      this.weekly.push({ span: { period: name, day, ...times }, except: new Set(exceptThen) });
    }
  }

  /** Each time that it comes in the next two years, as a day of its own. */
  private expand(event: Understood, last: number | undefined): void {
    const { rule, start, name, from } = event;
    const end = Math.min(last ?? Infinity, this.today + calendarLimits.daysAhead);
    const shift = from - dayNumber(start.year, start.month, start.day);
    const steps = rule?.iterator(start);
    const days: DayNumber[] = [];
    for (let step = 0; step < 5000; step += 1) {
      const next = steps?.next() as Time | null | undefined;
      if (!next) break;
      const day = dayNumber(next.year, next.month, next.day) + shift;
      if (day > end) break;
      if (day >= this.today && !event.except.includes(day)) days.push(day);
      if (days.length > calendarLimits.timesEach) return this.leave(name, 'tooOften');
    }
    this.leave(name, 'daysOnly');
    for (const day of days) this.placeDay(event, day);
  }

  private placeDay({ name, words, times, from, to }: Understood, day: DayNumber): void {
    if (times) {
      this.singles.set(day, [...(this.singles.get(day) ?? []), { period: name, ...times }]);
      return;
    }
    const last = day + to - from;
    if (last - day >= 366) return this.leave(name, 'tooLong');
    const when = { type: 'once', from: showDate(day), to: showDate(last) } as const;
    this.wholeDays.push({ name, when, times: [], words });
  }

  /** A day with times of its own: those of the week that are left, and those that come but once. */
  private dayOf(day: DayNumber): readonly ReadSpecial[] {
    const own = this.singles.get(day) ?? [];
    const date = showDate(day);
    const whole = this.wholeDays.findIndex(({ when }) => when.type === 'once' && when.from <= date && when.to >= date);
    const left = this.weekly.flatMap(({ span, except }) =>
      whole < 0 && span.day === weekdayOf(day) && !except.has(day) ? [timesOf(span)] : [],
    );
    const times = joined([...left, ...own]);
    const covered = this.wholeDays[whole];
    if (covered?.when.type === 'once' && covered.when.from === covered.when.to) {
      this.wholeDays[whole] = { ...covered, times };
      return [];
    }
    if (own.length === 0 && this.isSpecial(day)) return [];
    const [first] = own;
    const isPeriod = first && this.weekly.some(({ span }) => span.period === first.period);
    const name = first && !isPeriod ? first.period : 'Other hours';
    return [{ name, when: { type: 'once', from: date, to: date }, times, words: '' }];
  }

  /** Whether a date entered already is why the week does not hold that day. */
  private isSpecial(day: DayNumber): boolean {
    return this.wholeDays.some(({ when }) =>
      [yearOf(day) - 1, yearOf(day)].some((year) => {
        const days = daysOf({ when, moved: 'stays' }, year);
        return days !== undefined && days.from <= day && day <= days.to;
      }),
    );
  }
}

function timesOf({ period, startMin, endMin }: ReadTimes): ReadTimes {
  return { period, startMin, endMin };
}

function joined(times: readonly ReadTimes[]): readonly ReadTimes[] {
  const periods = [...new Set(times.map(({ period }) => period))];
  return periods.flatMap((period) =>
    joinTimes(times.filter((each) => each.period === period).map(({ startMin, endMin }) => ({ startMin, endMin }))).map(
      (time) => ({ period, ...time }),
    ),
  );
}

/** The last day on which a rule can come; undefined for ever. */
function lastDay(rule: Recur, { from }: Understood): DayNumber | undefined {
  if (rule.until) return dayNumber(rule.until.year, rule.until.month, rule.until.day);
  if (!rule.count) return undefined;
  const perTurn = Math.max(1, (rule.parts.BYDAY as readonly unknown[] | undefined)?.length ?? 1);
  const turnDays = { DAILY: 1, WEEKLY: 7, MONTHLY: 31, YEARLY: 366 }[rule.freq as 'DAILY'] ?? 1;
  return from + Math.ceil(rule.count / perTurn) * turnDays * (rule.interval ?? 1);
}

/** A rule of every year, as a special date has it. */
function yearlyWhen({ rule, from, to }: Understood): When | undefined {
  if (!rule || rule.freq !== 'YEARLY' || (rule.interval ?? 1) !== 1) return undefined;
  const days = to - from + 1;
  if (days > specialLimits.days) return undefined;
  const parts = rule.parts as Readonly<Record<string, readonly (string | number)[] | undefined>>;
  const [month = Number(showDate(from).slice(5, 7)), more] = (parts.BYMONTH ?? []).map(Number);
  if (more !== undefined || Object.keys(parts).some((part) => !['BYMONTH', 'BYMONTHDAY', 'BYDAY'].includes(part))) {
    return undefined;
  }
  const [byDay, secondDay] = (parts.BYDAY ?? []).map(String);
  const [day = Number(showDate(from).slice(8)), second] = (parts.BYMONTHDAY ?? []).map(Number);
  if (second !== undefined || secondDay !== undefined || (byDay && parts.BYMONTHDAY)) return undefined;
  if (!byDay) return day > 0 ? { type: 'yearly', month, day, days } : undefined;
  const nth = /^([+-]?\d)([A-Z]{2})$/.exec(byDay);
  const weekday = weekdayCodes.indexOf(nth?.[2] as 'MO') + 1;
  const which = Number(nth?.[1]);
  const isKnown = weekday > 0 && [1, 2, 3, 4, 5, -1].includes(which) && parts.BYMONTH;
  if (!isKnown) return undefined;
  return { type: 'nthWeekday', nth: which as Nth, weekday: weekday as Weekday, month, plusDays: 0, days };
}
