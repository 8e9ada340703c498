import { beginsWith, linesOf } from '../contentLine';
import ICAL from 'ical.js';
import {
  dayNumber,
  daysOf,
  isMonthDay,
  isTimeZone,
  joinTimes,
  mostDatedWeeks,
  readDate,
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
import { plainName } from '../../text';
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
    /** Another rule holds from some day on (RANGE=THISANDFUTURE). */
    | 'changesLater'
    /** Taken as the days on which it comes in the next two years. */
    | 'daysOnly'
    /** It comes on no day of the next two years. */
    | 'never'
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

export type ReadSpan = ReadTimes & { readonly day: Weekday };

/** A week that holds from a day on. */
export interface ReadWeek {
  /** As in ISO 8601. */
  readonly from: string;
  readonly week: readonly ReadSpan[];
}

/** What a calendar says of hours. Nothing is changed by reading it. */
export interface ReadCalendar {
  /** The week as it is now. */
  readonly week: readonly ReadSpan[];
  /** Those that take its place in the next two years, in their order. */
  readonly datedWeeks: readonly ReadWeek[];
  readonly special: readonly ReadSpecial[];
  readonly notCarried: readonly NotRead[];
}

export const calendarLimits = { characters: 2_000_000, events: 5000, timesEach: 60, daysAhead: 731 } as const;

type Component = InstanceType<typeof ICAL.Component>;
type Time = InstanceType<typeof ICAL.Time>;
type Recur = InstanceType<typeof ICAL.Recur>;

/**
 * Reads a calendar (RFC 5545): what recurs every week makes the week, and those that begin when it ends or others begin;
 * events of whole days are special dates on which it
 * is closed, other events and exceptions are special dates with times of their own.
 *
 * @param today the day from which on it is read; what was over before is left out
 */
export function readCalendar(text: string, zone: TimeZone, today: DayNumber): Result<ReadCalendar, CalendarProblem> {
  if (text.length > calendarLimits.characters) return wrong({ type: 'tooLarge', characters: text.length });
  if (!beginsWith(text, 'VCALENDAR')) return wrong({ type: 'notACalendar' });
  const events = componentsIn(text, 'VEVENT');
  if (events.length === 0) return wrong({ type: 'noEvents' });
  if (events.length > calendarLimits.events) return wrong({ type: 'tooManyEvents', count: events.length });
  const reader = new Reader(zone, today, zonesIn(text));
  for (const event of events) reader.take(event);
  return right(reader.result());
}

/** The text of each component of a kind, in one pass over the lines: one that is broken does not take the others with it. */
function componentsIn(text: string, kind: 'VEVENT' | 'VTIMEZONE'): readonly string[] {
  const found: string[] = [];
  let within: string[] | null = null;
  for (const line of linesOf(text)) {
    const mark = line.trimEnd().toUpperCase();
    if (mark === `BEGIN:${kind}`) within = [];
    within?.push(line);
    if (mark !== `END:${kind}` || !within) continue;
    found.push(within.join('\r\n'));
    within = null;
    if (found.length > calendarLimits.events) break;
  }
  return found;
}

function zonesIn(text: string): ReadonlyMap<string, InstanceType<typeof ICAL.Timezone>> {
  const found = componentsIn(text, 'VTIMEZONE').flatMap((each) => {
    const zone = quietly(() => {
      const component = new ICAL.Component(ICAL.parse(each) as unknown as string);
      return changesYearly(component) ? new ICAL.Timezone(component) : undefined;
    });
    return zone?.tzid ? [[zone.tzid, zone] as const] : [];
  });
  return new Map(found);
}

/** Clocks are changed by rules of every year, and not by thousands of them: others would take for ever to follow. */
function changesYearly(zone: Component): boolean {
  const changes = zone.getAllSubcomponents();
  const rules = changes.flatMap((each) => each.getAllProperties('rrule'));
  return changes.length <= 500 && rules.every((rule) => (rule.getFirstValue() as Recur | null)?.freq === 'YEARLY');
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
  /** Days on which it comes besides (RDATE), at the same time of day. */
  readonly besides: readonly DayNumber[];
}

/** A weekly event, and from when to when it comes. */
interface Weekly {
  readonly span: ReadSpan;
  readonly except: ReadonlySet<DayNumber>;
  readonly from: DayNumber;
  /** Infinity where it never ends. */
  readonly last: DayNumber;
}

/** What begins so soon is there now, unless it takes the place of something that ends. */
const soonDays = 13;

class Reader {
  private weekly: readonly Weekly[] = [];
  private readonly wholeDays: ReadSpecial[] = [];
  private readonly singles = new Map<DayNumber, ReadTimes[]>();
  private readonly notCarried: NotRead[] = [];
  /** Days that an event of the same id has instead of what its rule says. */
  private readonly overridden = new Map<string, DayNumber[]>();
  /** How many times of rules are still looked at: many rules together are to be read at once, too. */
  private stepsLeft = 20_000;
  private readonly later: { readonly uid: string; readonly event: Understood }[] = [];

  constructor(
    private readonly zone: TimeZone,
    private readonly today: DayNumber,
    private readonly zones: ReadonlyMap<string, InstanceType<typeof ICAL.Timezone>>,
  ) {}

  take(text: string): void {
    const calendar = quietly(() => new ICAL.Component(ICAL.parse(text) as unknown as string));
    if (!calendar) return this.leave(nameIn(text), 'unreadable');
    const summary = plainName(String(calendar.getFirstPropertyValue('summary') ?? '')).trim();
    const named = summary.slice(0, specialLimits.name) || 'Event';
    const uid = String(calendar.getFirstPropertyValue('uid') ?? '');
    const instead = calendar.getFirstProperty('recurrence-id');
    if (instead?.getFirstParameter('range')) return this.leave(named, 'changesLater');
    const at = instead && quietly(() => this.wallOf(instead.getFirstValue() as Time, instead));
    if (at && typeof at !== 'string') this.overridden.set(uid, [...(this.overridden.get(uid) ?? []), at.day]);
    // A single time that is cancelled is left out; a whole event that is cancelled is none.
    if (String(calendar.getFirstPropertyValue('status') ?? '').toUpperCase() === 'CANCELLED') return;
    const understood = quietly(() => this.understand(calendar, named));
    if (typeof understood === 'string') return this.leave(named, understood);
    if (!understood) return this.leave(named, 'unreadable');
    this.later.push({ uid, event: understood });
  }

  result(): ReadCalendar {
    for (const { uid, event } of this.later) {
      const except = [...event.except, ...(this.overridden.get(uid) ?? [])];
      const isPlaced = quietly(() => {
        this.place({ ...event, except });
        return true;
      });
      // A rule may only be found out to make no sense as it is followed.
      if (!isPlaced) this.leave(event.name, 'unreadable');
    }
    this.weekly = begunSoon(this.weekly, this.today);
    const datedWeeks = this.datedWeeks();
    const days = new Set([
      ...this.singles.keys(),
      ...this.weekly.flatMap(({ except, from, last }) => [...except].filter((day) => day >= from && day <= last)),
    ]);
    const soon = [...days].filter((day) => day >= this.today && day <= this.today + calendarLimits.daysAhead);
    const ofDays = soon.sort((one, other) => one - other).flatMap((day) => this.dayOf(day));
    const special = [...this.wholeDays, ...ofDays];
    if (special.length > specialLimits.most) this.leave(`${special.length - specialLimits.most} dates`, 'tooMany');
    return {
      week: this.weekOn(this.today),
      datedWeeks,
      special: special.slice(0, specialLimits.most),
      notCarried: this.notCarried,
    };
  }

  private weekOn(day: DayNumber): readonly ReadSpan[] {
    return this.weekly.filter(({ from, last }) => from <= day && day <= last).map(({ span }) => span);
  }

  /** The weeks that take the place of today's, each from the first day that is other than by the one before. */
  private datedWeeks(): readonly ReadWeek[] {
    const end = this.today + calendarLimits.daysAhead;
    const turns = [...new Set(this.weekly.flatMap(({ from, last }) => [from, last + 1]))]
      .filter((day) => day > this.today && day <= end)
      .sort((one, other) => one - other);
    const found: ReadWeek[] = [];
    let held = this.weekOn(this.today);
    turns.forEach((from, index) => {
      const week = this.weekOn(from);
      const days = Math.min(7, (turns[index + 1] ?? Infinity) - from);
      // The weekend between Friday's last time and Monday's first is as it was.
      const isOther = Array.from({ length: days }, (_, by) => weekdayOf(from + by)).some(
        (day) => timesKey(held, day) !== timesKey(week, day),
      );
      if (!isOther) return;
      held = week;
      found.push({ from: showDate(from), week });
    });
    if (found.length > mostDatedWeeks) this.leave(`${found.length - mostDatedWeeks} weeks`, 'tooMany');
    return found.slice(0, mostDatedWeeks);
  }

  private leave(name: string, why: NotRead['why']): void {
    if (!this.notCarried.some((each) => each.name === name && each.why === why)) this.notCarried.push({ name, why });
  }

  private understand(event: Component, name: string): Understood | NotRead['why'] | undefined {
    const property = event.getFirstProperty('dtstart');
    const start = property?.getFirstValue() as Time | undefined;
    if (!property || !start || !isOnADay(property)) return undefined;
    if (start.year > this.lastYear) return 'never';
    const rule = (event.getFirstPropertyValue('rrule') as Recur | null) ?? null;
    const words = String(event.getFirstPropertyValue('description') ?? '').slice(0, specialLimits.words);
    const from = this.wallOf(start, property);
    if (typeof from === 'string') return from;
    // A time of another clock is taken as it is here now, not as it was when it came first.
    if (rule && !start.isDate) from.minute = this.minuteNow(start, property) ?? from.minute;
    const endProperty = event.getFirstProperty('dtend');
    if (endProperty && !isOnADay(endProperty)) return undefined;
    const lasts = event.getFirstPropertyValue('duration') as { toSeconds: () => number } | null;
    const end = endProperty && this.wallOf(endProperty.getFirstValue() as Time, endProperty);
    if (typeof end === 'string') return end;
    const usualMin = start.isDate ? 1440 : 60;
    const startThen = this.wallOf(start, property);
    const lastsMin =
      end && typeof startThen !== 'string'
        ? (end.day - startThen.day) * 1440 + end.minute - startThen.minute
        : lasts
          ? lasts.toSeconds() / 60
          : usualMin;
    const endMin = from.minute + lastsMin;
    const daysOf = (kind: 'exdate' | 'rdate'): readonly DayNumber[] =>
      event.getAllProperties(kind).flatMap((each) =>
        each.getValues().flatMap((value) => {
          // A period (RFC 5545, section 3.3.9) begins at its start.
          const time = (value as { readonly start?: Time }).start ?? (value as Time);
          const day = this.wallOf(time, each);
          return typeof day === 'string' ? [] : [day.day];
        }),
      );
    if (from.isOther || (rule && start.zone?.tzid === 'UTC' && this.changesClocks())) this.leave(name, 'otherZone');
    const common = { name, words, from: from.day, rule, start, except: daysOf('exdate'), besides: daysOf('rdate') };
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
    if (atMs === undefined) return 'unknownZone';
    return { ...wallTime(this.zone, atMs), isOther: !isUtc && !this.isSameClock(tzid ?? '') };
  }

  /** What the line's clock reads, in minutes, when a time that recurs comes about today. */
  private minuteNow(start: Time, property: InstanceType<typeof ICAL.Property>): number | undefined {
    const behind = this.today - dayNumber(start.year, start.month, start.day);
    if (behind <= 0) return undefined;
    const moved = start.clone();
    moved.adjust(Math.ceil(behind / 7) * 7, 0, 0, 0);
    const wall = this.wallOf(moved, property);
    return typeof wall === 'string' ? undefined : wall.minute;
  }

  /** What comes after it is of no use to anybody. */
  private get lastYear(): number {
    return yearOf(this.today) + 20;
  }

  private readonly sameClock = new Map<string, boolean>();

  /** Whether a zone's clocks go as the line's do in the next two years, by whatever name. */
  private isSameClock(tzid: string): boolean {
    const known = this.sameClock.get(tzid);
    if (known !== undefined) return known;
    const isSame = this.overTwoYears((day) => {
      const [year, month, date] = showDate(day).split('-').map(Number);
      const noon = new ICAL.Time(
        { year, month, day: date, hour: 12, minute: 0, second: 0, isDate: false },
        ICAL.Timezone.localTimezone,
      );
      const atMs = this.instantOf(noon, tzid);
      return atMs !== undefined && wallTime(this.zone, atMs).minute === 720;
    });
    this.sameClock.set(tzid, isSame);
    return isSame;
  }

  /** Whether the line's clocks are changed within the next two years. */
  private changesClocks(): boolean {
    const minuteAt = (day: DayNumber): number => wallTime(this.zone, day * 86_400_000 + 43_200_000).minute;
    return !this.overTwoYears((day) => minuteAt(day) === minuteAt(this.today));
  }

  private overTwoYears(holds: (day: DayNumber) => boolean): boolean {
    for (let day = this.today; day <= this.today + calendarLimits.daysAhead; day += 7) if (!holds(day)) return false;
    return true;
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
    // The library goes through the clock changes of every year up to it.
    if (!known || time.year > this.lastYear) return undefined;
    const there = time.clone();
    there.zone = known;
    return there.toUnixTime() * 1000;
  }

  private place(event: Understood): void {
    const { rule, name, from, to } = event;
    const besides = event.besides.filter((day) => day >= this.today && day <= this.today + calendarLimits.daysAhead);
    for (const day of besides.slice(0, calendarLimits.timesEach)) this.placeDay(event, day);
    if (!rule) {
      if (to < this.today) return besides.length > 0 ? undefined : this.leave(name, 'over');
      return this.placeDay(event, from);
    }
    const last = this.lastDay(rule, event);
    if (last !== undefined && last < this.today) return this.leave(name, 'over');
    if ((rule.interval ?? 1) > mostInterval) return this.leave(name, 'otherTimeOfYear');
    const isEach = (rule.freq === 'WEEKLY' || rule.freq === 'DAILY') && (rule.interval ?? 1) === 1;
    const isWeekly = isEach && onlyHas(rule, ['BYDAY']);
    if (isEach && !isWeekly && event.times) return this.leave(name, 'otherTimeOfYear');
    if (isWeekly && event.times) return this.placeWeekly(event, event.times, last);
    // A rule of every year has no days left out: with some, it is taken day by day.
    const isOnce = event.times || (last !== undefined && last < this.today + 366);
    const leavesOut = event.except.some((day) => day >= this.today);
    const when = isOnce || leavesOut ? undefined : yearlyWhen(event);
    if (when) {
      this.wholeDays.push({ name, when, times: [], words: event.words });
      return;
    }
    this.expand(event, last);
  }

  /** The last day on which a rule can come; undefined for ever. What it says in UTC is read by the line's clock. */
  private lastDay(rule: Recur, { from, times, start }: Understood): DayNumber | undefined {
    const { until } = rule;
    if (until) {
      const said = dayNumber(until.year, until.month, until.day);
      if (until.isDate || !times) return said;
      const isUtc = until.zone?.tzid === 'UTC';
      const wall = isUtc
        ? wallTime(this.zone, until.toUnixTime() * 1000)
        : { day: said, minute: until.hour * 60 + until.minute };
      return wall.minute < times.startMin ? wall.day - 1 : wall.day;
    }
    if (!rule.count) return undefined;
    // Counted as the rule itself counts, as far as that is worth it.
    const steps = rule.iterator(start);
    const shift = from - dayNumber(start.year, start.month, start.day);
    let last: DayNumber | undefined;
    for (let step = 0; step < rule.count; step += 1) {
      const next = (this.stepsLeft -= 1) < 0 ? null : (steps.next() as Time | null);
      if (!next) break;
      last = dayNumber(next.year, next.month, next.day) + shift;
      if (last > this.today + calendarLimits.daysAhead) return last;
    }
    return last;
  }

  private placeWeekly(event: Understood, times: DayTime, last = Infinity): void {
    const { name, rule, from, except, start } = event;
    if (from > this.today + calendarLimits.daysAhead) return this.leave(name, 'never');
    // What comes once or twice makes no week.
    if (from > this.today && last - from <= soonDays) return this.expand(event, last);
    const shift = from - dayNumber(start.year, start.month, start.day);
    const codes = (rule?.parts.BYDAY as readonly string[] | undefined) ?? [];
    const named = codes.map((code) => weekdayCodes.indexOf(code as 'MO')).filter((index) => index >= 0);
    const all = rule?.freq === 'DAILY' ? [0, 1, 2, 3, 4, 5, 6] : [weekdayOf(from) - 1 - shift];
    for (const index of named.length > 0 ? named : all) {
      const day = (((index + shift + 14) % 7) + 1) as Weekday;
      const exceptThen = except.filter((each) => weekdayOf(each) === day);
      const weekly = { span: { period: name, day, ...times }, except: new Set(exceptThen), from, last };
      this.weekly = [...this.weekly, weekly];
    }
  }

  /** Each time that it comes in the next two years, as a day of its own. */
  private expand(event: Understood, last: number | undefined): void {
    const { rule, start, name, from } = event;
    const end = Math.min(last ?? Infinity, this.today + calendarLimits.daysAhead);
    const shift = from - dayNumber(start.year, start.month, start.day);
    const steps = rule?.iterator(start);
    const months = ((rule?.parts.BYMONTH ?? []) as readonly (string | number)[]).map(Number);
    const days: DayNumber[] = [];
    for (let step = 0; step < 5000; step += 1) {
      if ((this.stepsLeft -= 1) < 0) return this.leave(name, 'tooMany');
      const next = steps?.next() as Time | null | undefined;
      if (!next) break;
      const day = dayNumber(next.year, next.month, next.day) + shift;
      if (day > end) break;
      // A day that a month has not, such as 30 February, is given as one of the next month.
      if (months.length > 0 && !months.includes(next.month)) continue;
      if (day >= this.today && !event.except.includes(day)) days.push(day);
      if (days.length > calendarLimits.timesEach) return this.leave(name, 'tooOften');
    }
    this.leave(name, days.length > 0 ? 'daysOnly' : 'never');
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
    const left = this.weekly.flatMap(({ span, except, from, last }) => {
      const comes = span.day === weekdayOf(day) && from <= day && day <= last && !except.has(day);
      return whole < 0 && comes ? [timesOf(span)] : [];
    });
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

/** Those that begin soon, as begun already where nothing ends that they might take the place of. */
function begunSoon(weekly: readonly Weekly[], today: DayNumber): readonly Weekly[] {
  if (weekly.some(({ last }) => last < today + soonDays)) return weekly;
  return weekly.map((each) => (each.from <= today + soonDays ? { ...each, from: Math.min(each.from, today) } : each));
}

function timesKey(week: readonly ReadSpan[], day: Weekday): string {
  const times = week
    .filter((span) => span.day === day)
    .map(({ period, startMin, endMin }) => [period, startMin, endMin]);
  return JSON.stringify(times.map((time) => JSON.stringify(time)).sort());
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

/** What an event is called that cannot be read as a whole. */
function nameIn(text: string): string {
  const line = text.split('\r\n').find((each) => /^SUMMARY[;:]/i.test(each));
  const name = line && quietly(() => String(ICAL.Property.fromString(line).getFirstValue()));
  return name ? plainName(name).trim().slice(0, specialLimits.name) : 'Event';
}

/** Rules that come less often than this come not at all. */
const mostInterval = 1000;

/** Whether a rule says nothing besides these parts (and where its weeks begin). */
function onlyHas(rule: Recur, parts: readonly string[]): boolean {
  return Object.keys(rule.parts).every((part) => parts.includes(part) || part === 'WKST');
}

/** A rule of every year, as a special date has it. */
/** Whether its date is one, before the library makes 30 February into 2 March. */
function isOnADay(property: InstanceType<typeof ICAL.Property>): boolean {
  return readDate(String(property.toJSON()[3]).slice(0, 10)) !== undefined;
}

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
  if (!byDay) return isMonthDay({ month, day }) ? { type: 'yearly', month, day, days } : undefined;
  const nth = /^([+-]?\d)([A-Z]{2})$/.exec(byDay);
  const weekday = weekdayCodes.indexOf(nth?.[2] as 'MO') + 1;
  const which = Number(nth?.[1]);
  const isKnown = isMonthDay({ month, day: 1 }) && weekday > 0 && [1, 2, 3, 4, 5, -1].includes(which) && parts.BYMONTH;
  if (!isKnown) return undefined;
  return { type: 'nthWeekday', nth: which as Nth, weekday: weekday as Weekday, month, plusDays: 0, days };
}
