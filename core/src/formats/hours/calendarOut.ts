import ICAL from 'ical.js';
import {
  dayPlan,
  dayNumber,
  occurrences,
  spansOfWeekOn,
  showDate,
  wallInstant,
  weekdayOf,
  weekStretches,
  yearOf,
  type DayNumber,
  type DayRange,
  type DaySpan,
  type Hours,
  type SpecialDate,
  type TimeZone,
  type Weekday,
  type WeekSpan,
} from '../../hours';
import { addEvent, dayTime, instantTime, startCalendar, type CalendarComponent } from './calendarParts';
import { weekdayCodes } from './weekdayCodes';
import { zoneComponent } from './zoneComponent';

/** What a calendar cannot hold as the hours have it. */
export type NotWritten =
  /** It ends on a day; the hours go on. */
  | { readonly type: 'endsOn'; readonly day: DayNumber }
  /** Its days until then are in the calendar, the rule that they follow is not. */
  | { readonly type: 'daysOnly'; readonly name: string }
  /** What callers hear first on that date is only a note. */
  | { readonly type: 'words'; readonly name: string };

export interface WrittenCalendar {
  readonly text: string;
  readonly notCarried: readonly NotWritten[];
}

/**
 * Hours as one calendar (RFC 5545): periods as weekly events, special dates as events of whole days, with the times that
 * are left on them, and the zone's clock changes (VTIMEZONE). Exact from the first to the last of the days.
 *
 * @param atMs when it is written, in ms since 1970: the stamp of every event
 */
export function writeCalendar(
  hours: Hours,
  zone: TimeZone,
  days: DayRange,
  name: string,
  atMs: number,
): WrittenCalendar {
  const calendar = startCalendar(name, 'Hours');
  calendar.addSubcomponent(zoneComponent(zone, days));
  const add = (uid: string, fill: (event: CalendarComponent) => void): void =>
    fill(addEvent(calendar, `${uid}-${hours.id}`, atMs));
  const periodName = (span: DaySpan): string => hours.periods.find(({ id }) => id === span.periodId)?.name ?? '';
  for (const stretch of weekStretches(hours, days)) {
    for (const { span, weekdays } of sameTimes(stretch.week.of.week)) {
      const first = firstOn(weekdays, stretch.from);
      if (first > stretch.to) continue;
      add(`week-${span.periodId}-${span.startMin}-${span.endMin}-${showDate(stretch.from)}`, (event) => {
        event.addPropertyWithValue('summary', periodName(span));
        addTimes(event, zone, first, span);
        event.addPropertyWithValue('rrule', weeklyUntil(weekdays, wallInstant(zone, stretch.to + 1, 0) - 1000));
        for (const day of missing(hours, span, weekdays, stretch)) {
          event.addProperty(localTime('exdate', zone, day, span.startMin));
        }
      });
    }
  }
  for (let day = days.from; day <= days.to; day += 1) {
    const plan = dayPlan(hours, day);
    if (!plan.special) continue;
    const usual = spansOfWeekOn(hours, day).filter((span) => span.day === weekdayOf(day));
    for (const span of plan.spans.filter((each) => !usual.some((other) => isSame(each, other)))) {
      add(`day-${showDate(day)}-${span.periodId}-${span.startMin}`, (event) => {
        event.addPropertyWithValue('summary', periodName(span));
        addTimes(event, zone, day, span);
      });
    }
  }
  const notCarried: NotWritten[] = [{ type: 'endsOn', day: days.to }];
  for (const date of hours.special) {
    const come = occurrences({ ...hours, special: [date] }, days.from, days.to);
    const rule = yearlyRule(date, days);
    if (!rule && date.when.type !== 'once') notCarried.push({ type: 'daysOnly', name: date.name });
    if (date.words !== '') notCarried.push({ type: 'words', name: date.name });
    for (const each of rule ? come.slice(0, 1) : come) {
      add(`special-${date.id}-${showDate(each.from)}`, (event) => {
        event.addPropertyWithValue('summary', date.name);
        event.addPropertyWithValue('dtstart', dayTime(each.from));
        event.addPropertyWithValue('dtend', dayTime(each.to + 1));
        event.addPropertyWithValue('transp', 'TRANSPARENT');
        if (date.words !== '') event.addPropertyWithValue('description', date.words);
        if (rule) event.addPropertyWithValue('rrule', rule);
      });
    }
  }
  return { text: `${calendar.toString()}\r\n`, notCarried };
}

/** Spans of a week that are alike but for their day. */
function sameTimes(week: readonly WeekSpan[]): readonly { readonly span: WeekSpan; readonly weekdays: Weekday[] }[] {
  const found: { readonly span: WeekSpan; readonly weekdays: Weekday[] }[] = [];
  for (const span of week) {
    const alike = found.find((each) => isSame(each.span, span));
    if (alike) alike.weekdays.push(span.day);
    else found.push({ span, weekdays: [span.day] });
  }
  return found;
}

function isSame(one: DaySpan, other: DaySpan): boolean {
  return one.periodId === other.periodId && one.startMin === other.startMin && one.endMin === other.endMin;
}

function firstOn(weekdays: readonly Weekday[], from: DayNumber): DayNumber {
  let day = from;
  while (!weekdays.includes(weekdayOf(day))) day += 1;
  return day;
}

/** The days on which a weekly span is not as usual. */
function missing(hours: Hours, span: DaySpan, weekdays: readonly Weekday[], { from, to }: DayRange): DayNumber[] {
  const days: DayNumber[] = [];
  for (let day = from; day <= to; day += 1) {
    if (!weekdays.includes(weekdayOf(day))) continue;
    if (!dayPlan(hours, day).spans.some((each) => isSame(each, span))) days.push(day);
  }
  return days;
}

function weeklyUntil(weekdays: readonly Weekday[], untilMs: number): InstanceType<typeof ICAL.Recur> {
  const until = instantTime(untilMs);
  return new ICAL.Recur({
    freq: 'WEEKLY',
    until,
    byday: weekdays.map((day) => weekdayCodes[day - 1] ?? 'MO'),
  } as never);
}

/** The rule of a date that comes every year, where a calendar has one for it. */
function yearlyRule({ when, moved }: SpecialDate, days: DayRange): InstanceType<typeof ICAL.Recur> | undefined {
  if (moved !== 'stays') return undefined;
  const until = dayTime(days.to);
  if (when.type === 'yearly' && !(when.month === 2 && when.day === 29)) {
    return new ICAL.Recur({ freq: 'YEARLY', until, bymonth: [when.month], bymonthday: [when.day] } as never);
  }
  if (when.type !== 'nthWeekday' || when.plusDays !== 0) return undefined;
  const byday = [`${when.nth}${weekdayCodes[when.weekday - 1] ?? 'MO'}`];
  return new ICAL.Recur({ freq: 'YEARLY', until, bymonth: [when.month], byday } as never);
}

function addTimes(event: CalendarComponent, zone: TimeZone, day: DayNumber, { startMin, endMin }: DaySpan): void {
  event.addProperty(localTime('dtstart', zone, day, startMin));
  event.addProperty(localTime('dtend', zone, day, endMin));
}

function localTime(name: string, zone: TimeZone, day: DayNumber, minute: number): InstanceType<typeof ICAL.Property> {
  const property = new ICAL.Property(name);
  property.setParameter('tzid', zone);
  const time = dayTime(day + Math.floor(minute / 1440));
  time.isDate = false;
  time.hour = Math.floor((minute % 1440) / 60);
  time.minute = minute % 60;
  property.setValue(time);
  return property;
}

/** As far as calendars are written: to the end of the year after next. */
export function calendarDays(today: DayNumber): DayRange {
  return { from: today, to: dayNumber(yearOf(today) + 2, 12, 31) };
}
