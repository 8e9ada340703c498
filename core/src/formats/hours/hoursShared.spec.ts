import { closedAllDay, readDate, seasonId, specialDateId, type Hours } from '../../hours';
import { hours, lunch, open } from '../../testing/boatyard';
import { writeHoursJsonLd, writeHoursScript, writeHoursText } from '.';

const from = readDate('2026-11-24') ?? 0;
const days = { from, to: from + 30 };
const yard: Hours = {
  ...hours,
  week: [
    ...hours.week,
    { periodId: lunch.id, day: 1, startMin: 720, endMin: 750 },
    { periodId: open.id, day: 6, startMin: 1200, endMin: 1560 },
    { periodId: open.id, day: 7, startMin: 0, endMin: 1440 },
  ],
  special: [
    {
      id: specialDateId.create('thanks'),
      name: 'Thanksgiving',
      when: { type: 'once', from: '2026-11-26', to: '2026-11-27' },
      moved: 'stays',
      hours: closedAllDay,
      words: '',
    },
  ],
};
const business = { name: 'Larkspur Cove </script> Boatyard', telephone: '+12075550140' };

describe('hours as text', () => {
  it('tell the week, seasons and special dates, and by which clock', () => {
    const winter = {
      id: seasonId.create('winter'),
      name: 'Winter',
      from: { month: 12, day: 1 },
      to: { month: 2, day: 28 },
      week: [],
    };
    expect(writeHoursText({ ...yard, seasons: [winter] }, 'America/New_York', days, 'Larkspur Cove Boatyard')).toBe(
      [
        'Larkspur Cove Boatyard',
        'Mondays: 8:00–12:00, 12:30–17:30',
        'Tuesday to Friday: 8:00–17:30',
        'Saturdays: 20:00–2:00',
        'Sundays: 0:00–24:00',
        '',
        'Winter, 1 December to 28 February',
        'Every day: closed',
        '',
        'Other days',
        'Thu 26 November 2026 to Fri 27 November 2026: Thanksgiving, closed',
        '',
        'All times are those of America/New York.',
        '',
      ].join('\n'),
    );
  });
});

describe('hours for a web site', () => {
  interface Specification {
    readonly dayOfWeek?: readonly string[];
    readonly validFrom?: string;
    readonly opens: string;
    readonly closes: string;
  }
  const of = (each: Hours) =>
    JSON.parse(writeHoursJsonLd(each, days, business)) as Readonly<
      Record<'openingHoursSpecification' | 'specialOpeningHoursSpecification', readonly Specification[]>
    >;

  it('have the week with breaks, over midnight and around the clock', () => {
    const week = of(yard).openingHoursSpecification.map(({ dayOfWeek, opens, closes }) => [
      dayOfWeek?.map((day) => day.replace('https://schema.org/', '')).join(' '),
      opens,
      closes,
    ]);
    expect(week).toEqual([
      ['Monday', '08:00', '12:00'],
      ['Monday', '12:30', '17:30'],
      ['Tuesday Wednesday Thursday Friday', '08:00', '17:30'],
      ['Saturday', '20:00', '02:00'],
      ['Sunday', '00:00', '23:59'],
    ]);
    expect(of(yard).openingHoursSpecification.some((each) => 'validFrom' in each)).toBe(false);
  });

  it('say when a special date is closed, and of which days each season is', () => {
    expect(of(yard).specialOpeningHoursSpecification).toEqual([
      {
        '@type': 'OpeningHoursSpecification',
        validFrom: '2026-11-26',
        validThrough: '2026-11-27',
        opens: '00:00',
        closes: '00:00',
      },
    ]);
    const winter = {
      id: seasonId.create('winter'),
      name: 'Winter',
      from: { month: 12, day: 1 },
      to: { month: 2, day: 1 },
    };
    const seasonal = of({ ...yard, seasons: [{ ...winter, week: yard.week.slice(0, 1) }] });
    const firsts = new Set(seasonal.openingHoursSpecification.map(({ validFrom }) => validFrom));
    expect([...firsts]).toEqual(['2026-11-24', '2026-12-01']);
  });

  it('cannot break out of the page by a name', () => {
    const script = writeHoursScript(writeHoursJsonLd(yard, days, business));
    expect(script.match(/<\/script>/g)).toHaveLength(1);
    const inside = script.replace(/^<script[^>]*>|<\/script>\s*$/g, '');
    expect((JSON.parse(inside) as { name: string }).name).toBe(business.name);
  });
});
