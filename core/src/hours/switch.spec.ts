import { hours, open, zone } from '../testing/boatyard';
import {
  answersAt,
  answerSpans,
  checkSwitch,
  explainAnswer,
  hoursWithSwitch,
  instantOf,
  isWorkingAt,
  nextChange,
  nextOpening,
  timesToday,
  usualEnds,
  weekdays,
  type OrderedRule,
  type Switch,
} from '.';

const at = (reading: string): number => instantOf(reading, zone);
const rules: readonly OrderedRule[] = [{ type: 'period', periodId: open.id }];
/** Closed in the middle of a Monday until Tuesday noon. */
const closed: Switch = {
  to: { type: 'closed' },
  fromMs: at('2026-11-23T14:00'),
  untilMs: at('2026-11-24T12:00'),
  words: 'Closed early because of the storm.',
  by: 'Noor Haldane',
};
const opened: Switch = { ...closed, to: { type: 'open', periodId: open.id } };

describe('the switch', () => {
  it('answers from its beginning until just before its end, and says until when', () => {
    const typeAt = (atMs: number) => answersAt(rules, hours, zone, atMs, { switched: closed }).type;
    expect(typeAt(closed.fromMs - 1)).toBe('period');
    expect(typeAt(closed.fromMs)).toBe('switch');
    expect(typeAt(closed.untilMs - 1)).toBe('switch');
    expect(typeAt(closed.untilMs)).toBe('period');
    expect(nextChange(rules, hours, zone, closed.fromMs, closed)).toMatchObject({
      atMs: closed.untilMs,
      answer: { type: 'period' },
    });
  });

  it('goes before lists of callers too, and every rule it beats is told', () => {
    const list = 'callers:friends' as never;
    const withList: readonly OrderedRule[] = [{ type: 'callers', callerListId: list }, ...rules];
    const circumstances = { callerLists: new Set([list]), switched: closed };
    const { answer, verdicts } = explainAnswer(withList, hours, zone, at('2026-11-23T15:00'), circumstances);
    expect(answer).toEqual({ type: 'switch', to: closed.to, untilMs: closed.untilMs });
    expect(verdicts.map(({ is }) => is)).toEqual(['beaten', 'beaten', 'beaten']);
  });

  it('is one stretch among those that tile the time', () => {
    const spans = answerSpans(rules, hours, zone, at('2026-11-23T00:00'), at('2026-11-25T00:00'), closed);
    expect(spans.filter(({ answer }) => answer.type === 'switch')).toEqual([
      expect.objectContaining({ fromMs: closed.fromMs, toMs: closed.untilMs }),
    ]);
    spans.slice(1).forEach((span, index) => expect(span.fromMs).toBe(spans[index]?.toMs));
  });

  it('changes when nobody answers by the clock, where only lists of callers have rules', () => {
    expect(nextChange([], hours, zone, closed.fromMs, closed)).toMatchObject({ atMs: closed.untilMs });
    expect(nextChange([], hours, zone, closed.untilMs, closed)).toBeUndefined();
  });
});

describe('hours with the switch, as greetings speak of them', () => {
  it('are cut by a switch that closes: today ends when it began, and it opens next when it ends', () => {
    const made = hoursWithSwitch(hours, zone, closed);
    expect(timesToday(made, zone, closed.fromMs).at(-1)?.endMin).toBe(14 * 60);
    expect(nextOpening(made, zone, closed.fromMs)).toMatchObject({ date: '2026-11-24', startMin: 12 * 60 });
  });

  it('agree with the regular ones outside of it, and with the switch inside, every quarter of an hour', () => {
    const nights = weekdays.map((day) => ({ periodId: open.id, day, startMin: 18 * 60, endMin: 28 * 60 }));
    const overMidnight = { ...closed, fromMs: at('2026-11-23T20:00'), untilMs: at('2026-11-24T01:00') };
    for (const [of, set] of [
      [hours, closed],
      [hours, opened],
      [{ ...hours, week: nights }, overMidnight],
    ] as const) {
      const made = hoursWithSwitch(of, zone, set);
      for (let atMs = at('2026-11-22T00:00'); atMs < at('2026-11-26T00:00'); atMs += 15 * 60_000) {
        const isOn = atMs >= set.fromMs && atMs < set.untilMs;
        const wanted = isOn ? set === opened : isWorkingAt(of, zone, atMs);
        expect(isWorkingAt(made, zone, atMs)).toBe(wanted);
      }
    }
  });

  it('stay as they are by a switch that leads to a sheet', () => {
    expect(hoursWithSwitch(hours, zone, { ...closed, to: { type: 'sheet', sheetId: 'sheet:storm' as never } })).toBe(
      hours,
    );
  });
});

describe('setting the switch', () => {
  it('offers the usual ends, the soonest first, all still to come', () => {
    const now = at('2026-11-23T14:07');
    const ends = usualEnds(hours, zone, now);
    expect(ends.map(({ is }) => is)).toEqual(['anHour', 'endOfDay', 'nextOpening', 'tomorrowNoon']);
    expect(ends.map(({ atMs }) => atMs)).toEqual([
      at('2026-11-23T15:07'),
      at('2026-11-24T00:00'),
      at('2026-11-24T08:00'),
      at('2026-11-24T12:00'),
    ]);
  });

  it('keeps the end of a day that the clocks make longer', () => {
    const ends = usualEnds(hours, zone, at('2026-11-01T00:30'));
    expect(ends.find(({ is }) => is === 'endOfDay')?.atMs).toBe(at('2026-11-02T00:00'));
  });

  it('refuses what is over, what lasts too long and what nobody signs', () => {
    const problem = (change: Partial<Switch>) => {
      const checked = checkSwitch({ ...closed, ...change });
      return checked.ok ? 'none' : checked.problems[0];
    };
    expect(problem({})).toBe('none');
    expect(problem({ untilMs: closed.fromMs })).toBe('endsBeforeNow');
    expect(problem({ untilMs: closed.fromMs + 32 * 86_400_000 })).toBe('tooLong');
    expect(problem({ words: 'x'.repeat(601) })).toBe('words');
    expect(problem({ by: ' ' })).toBe('by');
  });
});
