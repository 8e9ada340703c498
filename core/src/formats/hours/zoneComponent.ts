import ICAL from 'ical.js';
import { Temporal } from 'temporal-polyfill';
import { wallInstant, type DayRange, type TimeZone } from '../../hours';

/**
 * A zone's clock changes over some days as a calendar has them (VTIMEZONE, RFC 5545, section 3.6.5): one observance for
 * each change, the one before the first day among them.
 */
export function zoneComponent(zone: TimeZone, { from, to }: DayRange): InstanceType<typeof ICAL.Component> {
  const component = new ICAL.Component('vtimezone');
  component.addPropertyWithValue('tzid', zone);
  const start = Temporal.Instant.fromEpochMilliseconds(wallInstant(zone, from, 0)).toZonedDateTimeISO(zone);
  const end = wallInstant(zone, to + 2, 0);
  let change = start.add({ nanoseconds: 1 }).getTimeZoneTransition('previous');
  if (!change) {
    // Clocks that never changed: one observance from long ago.
    addObservance(
      component,
      start.offsetNanoseconds,
      start.offsetNanoseconds,
      Temporal.PlainDateTime.from('1970-01-01T00:00'),
    );
    change = start.getTimeZoneTransition('next');
  }
  while (change && change.epochMilliseconds <= end) {
    const before = change.subtract({ nanoseconds: 1 });
    const onset = change
      .toInstant()
      .toZonedDateTimeISO('UTC')
      .add({ nanoseconds: before.offsetNanoseconds })
      .toPlainDateTime();
    // Summer time is what the clocks go back from within a year; a change for good is none.
    const yearLater = change.add({ months: 11 });
    const isSummer = [3, 6, 9].some(
      (months) => change?.add({ months }).offsetNanoseconds !== change?.offsetNanoseconds,
    );
    const isAhead =
      change.offsetNanoseconds > before.offsetNanoseconds && yearLater.offsetNanoseconds < change.offsetNanoseconds;
    addObservance(component, before.offsetNanoseconds, change.offsetNanoseconds, onset, isSummer && isAhead);
    change = change.getTimeZoneTransition('next');
  }
  return component;
}

function addObservance(
  component: InstanceType<typeof ICAL.Component>,
  fromNs: number,
  toNs: number,
  onset: Temporal.PlainDateTime,
  isSummer = false,
): void {
  const observance = new ICAL.Component(isSummer ? 'daylight' : 'standard');
  const { year, month, day, hour, minute, second } = onset;
  observance.addPropertyWithValue(
    'dtstart',
    new ICAL.Time({ year, month, day, hour, minute, second, isDate: false }, ICAL.Timezone.localTimezone),
  );
  observance.addPropertyWithValue('tzoffsetfrom', offset(fromNs));
  observance.addPropertyWithValue('tzoffsetto', offset(toNs));
  component.addSubcomponent(observance);
}

function offset(nanoseconds: number): InstanceType<typeof ICAL.UtcOffset> {
  return ICAL.UtcOffset.fromSeconds(nanoseconds / 1e9);
}
