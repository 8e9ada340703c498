import { dayNumber, showDate } from '../hours';
import { noor, moorings } from '../testing/boatyard';
import {
  answeredFigures,
  reportOf,
  reportSpan,
  writeReportHtml,
  writeReportText,
  type ReportSums,
  type WhenSums,
} from '.';

const monday = dayNumber(2026, 11, 16);
const span = { from: monday, to: monday + 6 };

function sums(answered: number, lost: number): WhenSums {
  const of = (outcome: 'answered' | 'gaveUpInMenu', calls: number) => ({ outcome, calls });
  const rows = [of('answered', answered), of('gaveUpInMenu', lost)].filter(({ calls }) => calls > 0);
  return {
    byHour: rows.map((row) => ({ weekday: 2, hour: 14, ...row })),
    byDay: rows.map((row) => ({ day: monday + 1, ...row })),
    firstDay: monday - 100,
  };
}
const row = {
  ...{ lengthMs: 60_000, outside: [], minute: 840, outcome: 'answered' as const, toPersonMs: 9000 },
  ...{ way: moorings.id, firstSheetId: null, firstChoice: null },
};
const week: ReportSums = {
  ...{
    when: sums(30, 10),
    before: sums(40, 1),
    answered: answeredFigures([{ calls: [row], idOf: () => 'call:a' as never }], 20),
    pressed: [],
  },
  work: [{ who: noor.id, end: 'answered', rings: 30, talkMs: 600_000, holdMs: 0 }],
};
const names = { [noor.id]: 'Noor <Haldane>', [moorings.id]: 'Moorings & docks' };
const facts = { span, names, order: [noor.id], dial: 'twentyFour', cost: null } as const;
const head = { title: 'Calls of “Larkspur”', days: 'November 16 – 22, 2026' };

describe('a report of Traffic', () => {
  it('answers each question in words, beside as many days before', () => {
    const { parts, days } = reportOf(week, { ...facts, cost: 'November has cost $5.' });
    expect(parts.map(({ title }) => title)).toEqual([
      ...['When do people call?', 'What did it come to?', 'How soon are they answered?', 'Who answers?'],
      'What does it cost?',
    ]);
    expect(parts[0]?.sentences[0]).toContain('Tuesdays between 14:00 and 15:00');
    expect(parts[1]?.sentences).toContainEqual(
      expect.stringMatching(/^25% hung up or reached nobody, 2% before: .* more\.$/),
    );
    expect(parts[3]?.table?.rows).toEqual([['Noor <Haldane>', '30', '30', '10 min', '100%']]);
    expect(days).toHaveLength(7);
    expect(days[1]).toEqual({ day: monday + 1, reached: 30, message: 0, served: 0, lost: 10 });
    expect(reportOf(week, facts).parts.some(({ title }) => title === 'What does it cost?')).toBe(false);
  });

  it('is nothing but words of an empty week', () => {
    const empty: ReportSums = {
      ...week,
      when: sums(0, 0),
      before: sums(0, 0),
      answered: answeredFigures([], 20),
      work: [],
    };
    const report = reportOf(empty, facts);
    expect(report.parts[0]?.sentences).toEqual(['Nobody called.']);
    expect(writeReportText(head, report)).not.toMatch(/NaN|Infinity|undefined/);
    expect(writeReportHtml(head, report, 'cid:days')).not.toMatch(/NaN|Infinity|undefined/);
  });

  it('is written as text in columns, and as a page in which names are text', () => {
    const report = reportOf(week, facts);
    const text = writeReportText(head, report);
    expect(text.startsWith('Calls of “Larkspur”\nNovember 16 – 22, 2026\n\nWHEN DO PEOPLE CALL?\n')).toBe(true);
    expect(text).toMatch(/^Noor <Haldane> {2} {2}30 {8}30 {2}10 min {14}100%$/m);
    const html = writeReportHtml(head, report, 'cid:days');
    expect(html).toContain('Noor &lt;Haldane&gt;');
    expect(html).toContain('Moorings &amp; docks');
    expect(html).toContain('<img src="cid:days"');
    expect(html).toContain('alt="Monday 2026-11-16: 0 calls, 0 lost; Tuesday 2026-11-17: 40 calls, 10 lost;');
    expect(html).not.toMatch(/<script|https?:/);
  });

  it('is of the last whole week or month', () => {
    const shown = (every: 'week' | 'month', day: number) => {
      const { from, to } = reportSpan(every, day);
      return [showDate(from), showDate(to)];
    };
    expect(shown('week', monday + 7)).toEqual(['2026-11-16', '2026-11-22']);
    expect(shown('week', monday + 6)).toEqual(['2026-11-09', '2026-11-15']);
    expect(shown('month', monday)).toEqual(['2026-10-01', '2026-10-31']);
  });
});
