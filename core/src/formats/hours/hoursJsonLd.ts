import {
  dayGroups,
  dayPlan,
  minutesOfDay,
  openTimesOn,
  spansOfWeekOn,
  weekIdOn,
  showDate,
  weekdayName,
  type DayNumber,
  type DayRange,
  type DayTime,
  type Hours,
} from '../../hours';

interface Specification {
  readonly '@type': 'OpeningHoursSpecification';
  readonly dayOfWeek?: readonly string[];
  readonly validFrom?: string;
  readonly validThrough?: string;
  /** `08:00`. The same as `closes` where it is closed. */
  readonly opens: string;
  /** Before `opens` where it is of the day after. */
  readonly closes: string;
}

/**
 * Hours for a web site, as JSON-LD in the words of schema.org: `openingHoursSpecification` for the week, that of each
 * week with the days on which it holds, and `specialOpeningHoursSpecification` for special dates; of some days.
 */
export function writeHoursJsonLd(hours: Hours, days: DayRange, business: { name: string; telephone: string }): string {
  const document = {
    '@context': 'https://schema.org',
    '@type': 'LocalBusiness',
    ...business,
    openingHoursSpecification: weekSpecifications(hours, days),
    specialOpeningHoursSpecification: specialSpecifications(hours, days),
  };
  return JSON.stringify(document, null, 2);
}

/** The same as it goes into a page: nothing in it can end the element early. */
export function writeHoursScript(json: string): string {
  return `<script type="application/ld+json">\n${json.replaceAll('<', '\\u003c')}\n</script>\n`;
}

function weekSpecifications(hours: Hours, days: DayRange): readonly Specification[] {
  const isOne = hours.seasons.length + hours.datedWeeks.length === 0;
  return stretchesOf(days, (day) => weekIdOn(hours, day) ?? '').flatMap(({ from, to }) => {
    const valid = isOne ? {} : { validFrom: showDate(from), validThrough: showDate(to) };
    return dayGroups(hours, spansOfWeekOn(hours, from)).flatMap((group) => {
      const dayOfWeek = (by: number) =>
        group.days.map((day) => `https://schema.org/${weekdayName(((day - 1 + by) % 7) + 1)}`);
      return group.times.map((time) =>
        specification(ofItsDay(time), { dayOfWeek: dayOfWeek(daysLater(time)), ...valid }),
      );
    });
  });
}

function specialSpecifications(hours: Hours, days: DayRange): readonly Specification[] {
  const keyOf = (day: DayNumber): string => {
    const { special } = dayPlan(hours, day);
    return special ? `${special.id} ${JSON.stringify(openTimesOn(hours, day))}` : '';
  };
  return stretchesOf(days, keyOf).flatMap(({ from, to }) => {
    if (!dayPlan(hours, from).special) return [];
    const times = openTimesOn(hours, from);
    return (times.length > 0 ? times : [{ startMin: 0, endMin: 0 }]).map((time) => {
      const later = daysLater(time);
      return specification(ofItsDay(time), { validFrom: showDate(from + later), validThrough: showDate(to + later) });
    });
  });
}

/** What is left after a break of a time over midnight may begin on the day after. */
function daysLater({ startMin }: DayTime): number {
  return Math.floor(startMin / minutesOfDay);
}

function ofItsDay(time: DayTime): DayTime {
  const by = daysLater(time) * minutesOfDay;
  return { startMin: time.startMin - by, endMin: time.endMin - by };
}

/** Days next to each other that are alike. */
function stretchesOf({ from, to }: DayRange, keyOf: (day: DayNumber) => string): readonly DayRange[] {
  const found: { from: number; to: number; key: string }[] = [];
  for (let day = from; day <= to; day += 1) {
    const key = keyOf(day);
    const last = found.at(-1);
    if (last?.key === key) last.to = day;
    else found.push({ from: day, to: day, key });
  }
  return found;
}

function specification(
  { startMin, endMin }: DayTime,
  more: Pick<Specification, 'dayOfWeek' | 'validFrom' | 'validThrough'>,
): Specification {
  // A day that is open around the clock, by the convention of those who read it.
  const closes = endMin - startMin === minutesOfDay && startMin === 0 ? '23:59' : clock(endMin % minutesOfDay);
  return { '@type': 'OpeningHoursSpecification', ...more, opens: clock(startMin), closes };
}

function clock(minutes: number): string {
  const two = (value: number): string => String(value).padStart(2, '0');
  return `${two(Math.floor(minutes / 60))}:${two(minutes % 60)}`;
}
