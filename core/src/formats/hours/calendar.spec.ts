import ical, { type VEvent } from 'node-ical';
import { isSame } from '../../merging';
import { calendarLimits } from './calendarIn';
import {
  checkHours,
  closedAllDay,
  datedWeekId,
  dayPlan,
  instantOf,
  openTimesOn,
  periodId,
  readDate,
  seasonId,
  showDate,
  specialDateId,
  wallInstant,
  type Hours,
  type SpecialDate,
} from '../../hours';
import { hours as week, lunch, open, zone } from '../../testing/boatyard';
import {
  calendarDays,
  describeCalendarProblem,
  describeNotRead,
  describeNotWritten,
  readCalendar,
  takeCalendar,
  writeCalendar,
  type ReadCalendar,
} from '.';

const day = (text: string): number => readDate(text) ?? 0;
const today = day('2026-11-24');
const days = calendarDays(today);
const atMs = instantOf('2026-11-24T09:00', zone);

const special = (name: string, more: Partial<SpecialDate>): SpecialDate => ({
  id: specialDateId.create(name.replace(/\W/g, '').toLowerCase()),
  name,
  when: { type: 'nthWeekday', nth: 4, weekday: 4, month: 11, plusDays: 0, days: 1 },
  moved: 'stays',
  hours: closedAllDay,
  words: '',
  ...more,
});
const hours: Hours = {
  ...week,
  week: [...week.week, { periodId: open.id, day: 5, startMin: 1200, endMin: 1500 }],
  special: [
    special('Thanksgiving', {}),
    special('Independence Day', { when: { type: 'yearly', month: 7, day: 4, days: 1 }, moved: 'nearestWorkday' }),
    special('Year’s end; a pause, at last', {
      when: { type: 'yearly', month: 12, day: 24, days: 9 },
      words: 'Closed.',
    }),
    special('Party', {
      when: { type: 'once', from: '2026-12-18', to: '2026-12-18' },
      hours: { type: 'times', spans: [{ periodId: open.id, startMin: 480, endMin: 720 }] },
    }),
  ],
};
const inSeasons: Hours = {
  ...hours,
  seasons: [
    {
      id: seasonId.create('summer'),
      name: 'Summer',
      from: { month: 5, day: 15 },
      to: { month: 9, day: 15 },
      week: hours.week.map((span) => ({ ...span, startMin: Math.max(0, span.startMin - 60) })),
    },
  ],
};

const later = (name: string, from: string, byMin: number) => ({
  ...{ id: datedWeekId.create(name), name, from },
  week: hours.week.map((span) => ({ ...span, startMin: span.startMin + byMin })),
});
/** Changed on a Monday and on a Thursday, in the middle of a season too. */
const inWeeks: Hours = {
  ...inSeasons,
  datedWeeks: [
    later('winter', '2027-01-04', 60),
    later('midsummer', '2027-07-01', 30),
    later('next', '2027-11-04', 90),
  ],
};

/** When events of a name begin, as another parser has it. */
function starts(text: string, name: string): readonly string[] {
  const events = Object.values(ical.sync.parseICS(text)).filter(
    (each): each is VEvent => each?.type === 'VEVENT' && each.summary === name,
  );
  const from = new Date(wallInstant(zone, days.from, 0));
  const to = new Date(wallInstant(zone, days.to + 1, 0));
  return events
    .flatMap((event) => ical.expandRecurringEvent(event, { from, to }).map((each) => each.start.toISOString()))
    .sort();
}

function plannedStarts(of: Hours, periodId: string): readonly string[] {
  return Array.from({ length: days.to - days.from + 1 }, (_, index) => days.from + index)
    .flatMap((each) =>
      dayPlan(of, each)
        .spans.filter((span) => span.periodId === periodId)
        .map((span) => new Date(wallInstant(zone, each, span.startMin)).toISOString()),
    )
    .sort();
}

describe('hours as a calendar', () => {
  it.each([
    ['a regular week', hours],
    ['seasons', inSeasons],
    ['weeks from a date on', inWeeks],
  ])('are read by another parser at the very instants at which periods begin, for years: %s', (_, of) => {
    const { text } = writeCalendar(of, zone, days, 'Larkspur Cove Boatyard', atMs);
    expect(starts(text, 'Open')).toEqual(plannedStarts(of, open.id));
    expect(starts(text, 'Year’s end; a pause, at last')).toHaveLength(3);
  });

  it('have lines of 75 octets at most, ends of lines and a zone as the standard has them', () => {
    const { text } = writeCalendar(hours, zone, days, 'Larkspur Cove Boatyard, moorings and '.repeat(4), atMs);
    expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
    for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
    expect(text).toContain('TZID:America/New_York\r\nBEGIN:STANDARD\r\nDTSTART:20261101T020000\r\n');
    expect(new Set(text.match(/^UID:.*$/gm)).size).toBe(text.match(/^BEGIN:VEVENT/gm)?.length);
  });

  it('have a zone that never changes its clocks, and one that is half an hour off', () => {
    for (const [each, offset] of [
      ['UTC', '+0000'],
      ['Asia/Kolkata', '+0530'],
    ] as const) {
      const { text } = writeCalendar(hours, each, days, 'Yard', atMs);
      expect(text.match(/BEGIN:(STANDARD|DAYLIGHT)/g)).toHaveLength(1);
      expect(text).toContain(`TZOFFSETTO:${offset}`);
    }
  });

  it('have a zone without summer time as standard time, though its clocks were once set forward', () => {
    const { text } = writeCalendar(hours, 'Asia/Kathmandu', days, 'Yard', atMs);
    expect(text).toContain('BEGIN:STANDARD');
    expect(text).not.toContain('BEGIN:DAYLIGHT');
    expect(writeCalendar(hours, zone, days, 'Yard', atMs).text).toContain('BEGIN:DAYLIGHT');
  });

  it('tell what a calendar cannot hold', () => {
    const { notCarried } = writeCalendar(hours, zone, days, 'Yard', atMs);
    expect(notCarried.map(describeNotWritten)).toEqual([
      'It holds the days until Sun 31 December 2028. Save it again before then.',
      'Independence Day is there with its days until then, not with its rule.',
      'What callers hear first on Year’s end; a pause, at last is only a note on the event.',
    ]);
  });
});

function read(text: string, at = zone): ReadCalendar {
  const found = readCalendar(text, at, today);
  if (!found.ok) throw new Error(found.problems.map(describeCalendarProblem).join(' '));
  return found.value;
}
const calendar = (...events: readonly string[]): string =>
  `BEGIN:VCALENDAR\r\nVERSION:2.0\r\n${events.map((event) => `BEGIN:VEVENT\r\n${event.replaceAll('\n', '\r\n')}\r\nEND:VEVENT`).join('\r\n')}\r\nEND:VCALENDAR\r\n`;
const why = (found: ReadCalendar): readonly string[] => found.notCarried.map(describeNotRead);

describe('a calendar as hours', () => {
  it.each([
    ['seasons', inSeasons],
    ['weeks from a date on', inWeeks],
  ])('gives back %s as the weeks that follow one another: every day of two years is as it was', (_, of) => {
    const found = read(writeCalendar(of, zone, days, 'Yard', atMs).text);
    let id = 0;
    const ids = {
      period: () => periodId.create(`new${(id += 1)}`),
      special: () => specialDateId.create(`new${(id += 1)}`),
      week: () => datedWeekId.create(`new${(id += 1)}`),
    };
    const periodOf = (name: string) => (name === 'Open' ? open.id : null);
    const taken = takeCalendar({ ...hours, week: [], special: [] }, { ...found, periodOf }, ids, today);
    expect(checkHours(taken).ok).toBe(true);
    const all = Array.from({ length: calendarLimits.daysAhead }, (_, by) => today + by);
    expect(all.filter((day) => !isSame(openTimesOn(taken, day), openTimesOn(of, day))).map(showDate)).toEqual([]);
  });

  it('has a week of its own from the day on which one rule ends and another begins, not from the weekend between', () => {
    const found = read(
      calendar(
        'SUMMARY:Open\nDTSTART:20250106T080000\nDTEND:20250106T170000\nRRULE:FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR;UNTIL=20270101',
        'SUMMARY:Open\nDTSTART:20270104T090000\nDTEND:20270104T160000\nRRULE:FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR',
        'SUMMARY:Open\nDTSTART:20270306T100000\nDTEND:20270306T120000\nRRULE:FREQ=WEEKLY;BYDAY=SA',
      ),
    );
    const times = (week: ReadCalendar['week']) =>
      week.map(({ day, startMin, endMin }) => [day, startMin / 60, endMin / 60]);
    expect(times(found.week)).toEqual([1, 2, 3, 4, 5].map((day) => [day, 8, 17]));
    expect(found.datedWeeks.map(({ from, week }) => [from, ...times(week)])).toEqual([
      ['2027-01-04', ...[1, 2, 3, 4, 5].map((day) => [day, 9, 16])],
      ['2027-03-06', ...[1, 2, 3, 4, 5].map((day) => [day, 9, 16]), [6, 10, 12]],
    ]);
    expect(why(found)).toEqual([]);
  });

  it('takes what comes once or twice as days, and what has not begun yet for the week where nothing else holds', () => {
    const found = read(
      calendar(
        'SUMMARY:Open\nDTSTART:20261123T080000\nDTEND:20261123T170000\nRRULE:FREQ=WEEKLY',
        'SUMMARY:Market\nDTSTART:20270206T090000\nDTEND:20270206T120000\nRRULE:FREQ=WEEKLY;COUNT=2',
      ),
    );
    expect([found.week.length, found.datedWeeks]).toEqual([1, []]);
    expect(found.special.map(({ name, when }) => [name, when.type === 'once' && when.from])).toEqual([
      ['Market', '2027-02-06'],
      ['Market', '2027-02-13'],
    ]);
  });

  it('gives back what was written: the same open times on every day, and rules of every year as rules', () => {
    const { week: spans, special: dates } = read(writeCalendar(hours, zone, days, 'Yard', atMs).text);
    const again: Hours = {
      ...week,
      week: spans.map(({ day: weekday, startMin, endMin }) => ({ periodId: open.id, day: weekday, startMin, endMin })),
      special: dates.map(({ name, when, times }, index) =>
        special(`${name} ${index}`, {
          when,
          hours: { type: 'times', spans: times.map((time) => ({ periodId: open.id, ...time })) },
        }),
      ),
    };
    for (let each = days.from; each <= days.from + 731; each += 1) {
      expect([each, openTimesOn(again, each)]).toEqual([each, openTimesOn(hours, each)]);
    }
    expect(dates.map(({ when }) => when.type)).toContain('nthWeekday');
  });

  it('takes weekly events of other programs, in the line’s zone, in UTC and in others, and says so', () => {
    const found = read(
      calendar(
        'SUMMARY:Open\nDTSTART;TZID=America/New_York:20260907T080000\nDTEND;TZID=America/New_York:20260907T120000\nRRULE:FREQ=WEEKLY;BYDAY=MO,WE',
        'SUMMARY:Open\nDTSTART:20261106T180000Z\nDURATION:PT2H\nRRULE:FREQ=WEEKLY',
        'SUMMARY:Paris call\nDTSTART;TZID=Europe/Paris:20261102T233000\nDTEND;TZID=Europe/Paris:20261103T003000\nRRULE:FREQ=WEEKLY;BYDAY=MO',
      ),
    );
    expect(found.week).toEqual([
      { period: 'Open', day: 1, startMin: 480, endMin: 720 },
      { period: 'Open', day: 3, startMin: 480, endMin: 720 },
      { period: 'Open', day: 5, startMin: 13 * 60, endMin: 15 * 60 },
      { period: 'Paris call', day: 1, startMin: 17 * 60 + 30, endMin: 18 * 60 + 30 },
    ]);
    expect(why(found)).toEqual([
      'Open is in another time zone; its times are taken as they are here now.',
      'Paris call is in another time zone; its times are taken as they are here now.',
    ]);
  });

  it('knows a zone by another name when the calendar tells of its clocks', () => {
    const zones = `BEGIN:VTIMEZONE\r\nTZID:Eastern Standard Time\r\nBEGIN:STANDARD\r\nDTSTART:16010101T020000\r\nTZOFFSETFROM:-0500\r\nTZOFFSETTO:-0500\r\nEND:STANDARD\r\nEND:VTIMEZONE\r\n`;
    const event =
      'SUMMARY:Open\nDTSTART;TZID=Eastern Standard Time:20261123T080000\nDTEND;TZID=Eastern Standard Time:20261123T120000\nRRULE:FREQ=WEEKLY';
    const text = calendar(event);
    expect(why(read(text))).toEqual(['Open is in a time zone that is not known.']);
    expect(read(text.replace('VERSION:2.0\r\n', `VERSION:2.0\r\n${zones}`)).week).toEqual([
      { period: 'Open', day: 1, startMin: 480, endMin: 720 },
    ]);
  });

  it('takes exceptions: left out, moved to another time, added, and closed for whole days', () => {
    const { special: dates } = read(
      calendar(
        'UID:a\nSUMMARY:Open\nDTSTART:20261102T080000\nDTEND:20261102T170000\nRRULE:FREQ=WEEKLY;BYDAY=MO,TU\nEXDATE:20261130T080000',
        'UID:a\nSUMMARY:Open\nRECURRENCE-ID:20261201T080000\nDTSTART:20261201T100000\nDTEND:20261201T120000',
        'SUMMARY:Open house\nDTSTART:20261206T100000\nDTEND:20261206T160000',
        'SUMMARY:Snow\nDTSTART;VALUE=DATE:20261214\nDTEND;VALUE=DATE:20261216',
        'SUMMARY:Labour Day\nDTSTART;VALUE=DATE:20260501\nRRULE:FREQ=YEARLY',
        'SUMMARY:Called off\nSTATUS:CANCELLED\nDTSTART;VALUE=DATE:20261220',
      ),
    );
    const once = (from: string, to = from) => ({ type: 'once', from, to });
    expect(dates).toEqual([
      { name: 'Snow', when: once('2026-12-14', '2026-12-15'), times: [], words: '' },
      { name: 'Labour Day', when: { type: 'yearly', month: 5, day: 1, days: 1 }, times: [], words: '' },
      { name: 'Other hours', when: once('2026-11-30'), times: [], words: '' },
      {
        name: 'Other hours',
        when: once('2026-12-01'),
        times: [{ period: 'Open', startMin: 600, endMin: 720 }],
        words: '',
      },
      {
        name: 'Open house',
        when: once('2026-12-06'),
        times: [{ period: 'Open house', startMin: 600, endMin: 960 }],
        words: '',
      },
    ]);
  });

  it('leaves out a single time that is cancelled, and adds those that come besides', () => {
    const { special: dates, week } = read(
      calendar(
        'UID:a\nSUMMARY:Open\nDTSTART:20261102T080000\nDTEND:20261102T170000\nRRULE:FREQ=WEEKLY;BYDAY=MO',
        'UID:a\nSUMMARY:Open\nSTATUS:CANCELLED\nRECURRENCE-ID:20261207T080000\nDTSTART:20261207T080000',
        'SUMMARY:Market\nDTSTART:20261205T090000\nDTEND:20261205T110000\nRDATE:20261212T090000,20261219T090000',
      ),
    );
    expect(week).toHaveLength(1);
    expect(
      dates.map(({ when, times }) => [when.type === 'once' && when.from, times.map((each) => each.startMin)]),
    ).toEqual([
      ['2026-12-05', [540]],
      ['2026-12-07', []],
      ['2026-12-12', [540]],
      ['2026-12-19', [540]],
    ]);
  });

  it('takes a rule of every year with a year left out as its days, so that the office is open then', () => {
    const found = read(
      calendar('SUMMARY:Fair\nDTSTART;VALUE=DATE:20260601\nRRULE:FREQ=YEARLY\nEXDATE;VALUE=DATE:20270601'),
    );
    expect(found.special.map(({ when }) => when)).toEqual([{ type: 'once', from: '2028-06-01', to: '2028-06-01' }]);
    expect(why(found)).toEqual(['Fair is taken as its days of the next two years, not as a rule.']);
  });

  it('takes no rule for every week that is one for some months, and none to the day after its end', () => {
    const found = read(
      calendar(
        'SUMMARY:Summer\nDTSTART:20260601T100000\nDTEND:20260601T110000\nRRULE:FREQ=WEEKLY;BYMONTH=6,7,8',
        'SUMMARY:Course\nDTSTART;VALUE=DATE:20261201\nRRULE:FREQ=WEEKLY;UNTIL=20261215',
        'UID:b\nSUMMARY:Open\nDTSTART:20261102T080000\nDTEND:20261102T170000\nRRULE:FREQ=WEEKLY',
        'UID:b\nSUMMARY:Open\nRECURRENCE-ID;RANGE=THISANDFUTURE:20270104T080000\nDTSTART:20270104T090000\nDTEND:20270104T170000',
      ),
    );
    expect(found.week.map(({ period }) => period)).toEqual(['Open']);
    expect(found.special.map(({ when }) => when.type === 'once' && when.from)).toEqual([
      '2026-12-01',
      '2026-12-08',
      '2026-12-15',
    ]);
    expect(why(found)).toEqual([
      'Open comes otherwise from some day on, which is not carried: look at it there, and enter it.',
      'Summer comes every week, but not all through the coming weeks: enter it as a season.',
      'Course is taken as its days of the next two years, not as a rule.',
    ]);
  });

  it('ends a rule at the moment it says, by the line’s clock', () => {
    const until = (utc: string) =>
      read(
        calendar(
          `SUMMARY:Talk\nDTSTART;TZID=America/New_York:20261201T180000\nDTEND;TZID=America/New_York:20261201T190000\nRRULE:FREQ=DAILY;INTERVAL=2;UNTIL=${utc}`,
        ),
      ).special.map(({ when }) => when.type === 'once' && when.from.slice(8));
    expect(until('20261205T230000Z')).toEqual(['01', '03', '05']);
    expect(until('20261205T225959Z')).toEqual(['01', '03']);
    expect(until('20261206T030000Z')).toEqual(['01', '03', '05']);
  });

  it('knows names with escapes, folded lines and parameters, and not an alarm’s for the event’s', () => {
    const found = read(
      calendar(
        'BEGIN:VALARM\nSUMMARY:Alarm\nACTION:DISPLAY\nTRIGGER:-PT5M\nEND:VALARM\nSUMMARY;LANGUAGE=en;X-A="a:b":Stock\\, taking\\; all d\n ay\nDTSTART;VALUE=DATE:20261210',
      ),
    );
    expect(found.special.map(({ name }) => name)).toEqual(['Stock, taking; all day']);
  });

  it('draws no caution for a zone of another name whose clocks go as the line’s', () => {
    const event = (tzid: string) =>
      `SUMMARY:Open\nDTSTART;TZID=${tzid}:20260907T080000\nDTEND;TZID=${tzid}:20260907T120000\nRRULE:FREQ=WEEKLY`;
    expect(why(read(calendar(event('America/Detroit'))))).toEqual([]);
    expect(why(read(calendar(event('America/Panama'))))).toHaveLength(1);
  });

  it('answers at once, or refuses at once, whatever rules there are', () => {
    const rare = read(calendar('SUMMARY:Rare\nDTSTART:20261201T100000\nRRULE:FREQ=DAILY;INTERVAL=999999999'));
    expect(rare.special).toEqual([]);
    const monthly = Array.from(
      { length: 2000 },
      (_, at) => `SUMMARY:M${at}\nDTSTART;VALUE=DATE:19700101\nRRULE:FREQ=MONTHLY`,
    );
    const far = 'SUMMARY:Far\nDTSTART;TZID=Here:99991231T100000\nDTEND;TZID=Here:99991231T110000\nRRULE:FREQ=WEEKLY';
    expect(why(read(calendar(far)))).toEqual(['Far comes on no day of the next two years.']);
    expect(read(calendar(...monthly)).notCarried.length).toBeGreaterThan(0);
    const endless = `BEGIN:VCALENDAR\r\n${'BEGIN:VEVENT\r\nSUMMARY:A\r\n'.repeat(20_000)}`;
    expect(readCalendar(endless, zone, today).ok).toBe(false);
  });

  it('lists what it cannot take, each with why, and takes the rest', () => {
    const found = read(
      calendar(
        'SUMMARY:Broken\nDTSTART:someday',
        'SUMMARY:Odd rule\nDTSTART:20261201T100000\nRRULE:FREQ=NEVER',
        'SUMMARY:Old fair\nDTSTART;VALUE=DATE:20200101',
        'SUMMARY:Every day for ever\nDTSTART;VALUE=DATE:20261201\nRRULE:FREQ=DAILY',
        'SUMMARY:Every other week\nDTSTART:20261201T100000\nDTEND:20261201T110000\nRRULE:FREQ=WEEKLY;INTERVAL=2;COUNT=3',
        'SUMMARY:Next summer\nDTSTART:20270601T100000\nDTEND:20270601T110000\nRRULE:FREQ=WEEKLY',
        'SUMMARY:Long\nDTSTART:20261201T100000\nDTEND:20261204T110000',
        'SUMMARY:Every second\nDTSTART:20261201T100000\nDTEND:20261201T110000\nRRULE:FREQ=SECONDLY',
        'SUMMARY:Ninth Thursday\nDTSTART;VALUE=DATE:20261126\nRRULE:FREQ=YEARLY;BYMONTH=11;BYDAY=9TH',
        'SUMMARY:Thirtieth of February\nDTSTART;VALUE=DATE:20260227\nRRULE:FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30',
        'SUMMARY:Thirteenth month\nDTSTART;VALUE=DATE:20261126\nRRULE:FREQ=YEARLY;BYMONTH=13;BYDAY=4TH',
        'SUMMARY:No such day\nDTSTART;VALUE=DATE:20270230',
        'SUMMARY:Open\nDTSTART:20261102T080000\nDTEND:20261102T170000\nRRULE:FREQ=WEEKLY',
      ),
    );
    expect(why(found)).toEqual([
      'Broken cannot be read.',
      'Odd rule cannot be read.',
      'Long lasts too long.',
      'Thirteenth month cannot be read.',
      'No such day cannot be read.',
      'Old fair is over.',
      'Every day for ever comes more than 60 times in two years.',
      'Every other week is taken as its days of the next two years, not as a rule.',
      'Every second comes more than 60 times in two years.',
      'Ninth Thursday comes on no day of the next two years.',
      'Thirtieth of February comes on no day of the next two years.',
    ]);
    expect([found.week.length, found.datedWeeks.length]).toEqual([1, 1]);
    expect(found.special.map(({ name }) => name)).toEqual(Array.from({ length: 3 }, () => 'Every other week'));
  });

  it.each([
    ['', 'That is not a calendar. Choose a file that ends in .ics.'],
    ['%PDF-1.7', 'That is not a calendar. Choose a file that ends in .ics.'],
    ['BEGIN:VCALENDAR\r\nEND:VCALENDAR\r\n', 'That calendar has no events.'],
    [`BEGIN:VCALENDAR\r\n${'X'.repeat(20_000_000)}`, 'That calendar is too large: 20.0 MB; the most is 2.0 MB.'],
    [
      calendar(...Array.from({ length: 5001 }, () => 'SUMMARY:A')),
      'That calendar has 5,001 events; the most is 5,000.',
    ],
  ])('refuses in words what it cannot read', (text, says) => {
    const found = readCalendar(text, zone, today);
    expect(found.ok).toBe(false);
    if (!found.ok) expect(found.problems.map(describeCalendarProblem).join(' ')).toContain(says);
  });

  it('keeps lunch apart from opening', () => {
    const withLunch: Hours = {
      ...week,
      week: [...week.week, { periodId: lunch.id, day: 1, startMin: 720, endMin: 750 }],
    };
    const { week: spans } = read(writeCalendar(withLunch, zone, days, 'Yard', atMs).text);
    expect(spans.filter(({ period }) => period === 'Lunch')).toEqual([
      { period: 'Lunch', day: 1, startMin: 720, endMin: 750 },
    ]);
  });
});

describe('taking a calendar in', () => {
  const read = (): ReadCalendar => ({
    week: [{ period: 'Office', day: 1, startMin: 540, endMin: 1020 }],
    datedWeeks: [],
    special: [
      { name: 'Thanksgiving', when: { type: 'yearly', month: 11, day: 26, days: 2 }, times: [], words: '' },
      {
        name: 'Open house',
        when: { type: 'once', from: '2026-12-06', to: '2026-12-06' },
        times: [{ period: 'Tour', startMin: 600, endMin: 660 }],
        words: '',
      },
    ],
    notCarried: [],
  });
  const ids = {
    period: () => periodId.create('tour'),
    special: () => specialDateId.create('new'),
    week: () => datedWeekId.create('new'),
  };
  const periodOf = (name: string) => (name === 'Office' ? open.id : null);

  it('puts its week in place of the old, makes periods that there are not, and keeps what it has no word of', () => {
    const taken = takeCalendar(hours, { ...read(), periodOf }, ids, today);
    expect(taken.week).toEqual([{ periodId: open.id, day: 1, startMin: 540, endMin: 1020 }]);
    expect(taken.periods.map(({ name }) => name)).toEqual(['Open', 'Lunch', 'Tour']);
    const names = taken.special.map(({ name }) => name);
    expect(names).toEqual(['Independence Day', 'Year’s end; a pause, at last', 'Party', 'Thanksgiving', 'Open house']);
    expect(taken.special.at(-1)?.hours).toEqual({
      type: 'times',
      spans: [{ periodId: periodId.create('tour'), startMin: 600, endMin: 660 }],
    });
    expect(checkHours(taken).ok).toBe(true);
  });

  it('puts its weeks in place of the one that holds and those to follow; what is over stays', () => {
    const dated = (name: string, from: string) => ({ id: datedWeekId.create(name), name, from, week: [] });
    const before: Hours = {
      ...hours,
      datedWeeks: [dated('over', '2025-01-01'), dated('holds', '2026-06-01'), dated('ahead', '2027-03-01')],
    };
    const ahead = [{ from: '2027-01-04', week: read().week }];
    const taken = takeCalendar(before, { ...read(), datedWeeks: ahead, periodOf }, ids, today);
    const monday = [{ periodId: open.id, day: 1, startMin: 540, endMin: 1020 }];
    expect(taken.week).toBe(hours.week);
    expect(taken.datedWeeks.map(({ name, from, week }) => [name, from, week])).toEqual([
      ['over', '2025-01-01', []],
      ['holds', '2026-06-01', monday],
      ['From 4 January 2027', '2027-01-04', monday],
    ]);
  });

  it('leaves the week when only dates are taken', () => {
    expect(takeCalendar(hours, { ...read(), week: [], periodOf }, ids, today).week).toBe(hours.week);
  });
});
