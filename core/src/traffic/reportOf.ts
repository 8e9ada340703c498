import type { Names } from '../line';
import type { PersonId } from '../directory';
import type { DayNumber, DayRange } from '../hours';
import type { AnsweredFigures } from './answered';
import { cameTo, changesBetween } from './came';
import type { SheetPresses } from './pressed';
import { workFigures, type RingSum } from './staffing';
import { namedSpan } from './spans';
import type { WhenSums } from './sums';
import { fateOf, whenFigures } from './when';
import { describeAnswered, saySeconds } from './words/answered.en';
import { describeCame, describeChange } from './words/came.en';
import { describeWork } from './words/staffing.en';
import { describeWhen, percent, type Dial } from './words/when.en';

/** What a report is made of: the sums of its days, and of as many before. */
export interface ReportSums {
  readonly when: WhenSums;
  readonly before: WhenSums;
  readonly answered: AnsweredFigures;
  readonly pressed: readonly SheetPresses[];
  readonly work: readonly RingSum[];
}

/** A question of Traffic, answered. */
export interface ReportPart {
  readonly title: string;
  readonly sentences: readonly string[];
  readonly table?: { readonly head: readonly string[]; readonly rows: readonly (readonly string[])[] };
}

/** Calls of a day, for a picture. */
export interface ReportDay {
  readonly day: DayNumber;
  readonly reached: number;
  readonly message: number;
  readonly served: number;
  readonly lost: number;
}

export interface Report {
  readonly parts: readonly ReportPart[];
  readonly days: readonly ReportDay[];
}

interface ReportFacts {
  readonly span: DayRange;
  readonly names: Names;
  /** The directory's order of people. */
  readonly order: readonly PersonId[];
  readonly dial: Dial;
  /** What the calls cost, in words; null without a rate card. */
  readonly cost: string | null;
}

/** A report of Traffic in words and tables: when, what it came to beside the days before, how soon, what was pressed, by whom, cost. */
export function reportOf(sums: ReportSums, { span, names, order, dial, cost }: ReportFacts): Report {
  const figures = whenFigures(sums.when, span, span.to);
  const [came, before] = [cameTo(sums.when), cameTo(sums.before)];
  const work = workFigures(sums.work, order);
  const nameOf = (id: string): string => names[id] ?? (id.startsWith('+') ? id : 'somebody deleted');
  const changes = before.calls > 0 && came.calls > 0 ? changesBetween(before, came).map(describeChange) : [];
  const parts: ReportPart[] = [
    { title: 'When do people call?', sentences: [describeWhen(figures, dial)] },
    { title: 'What did it come to?', sentences: [describeCame(came), ...changes] },
    {
      title: 'How soon are they answered?',
      sentences: [describeAnswered(sums.answered)],
      ...byWay(sums.answered, nameOf),
    },
    {
      title: 'Who answers?',
      sentences: [describeWork(work)],
      ...(work.length > 0 && {
        table: {
          head: ['', 'rung', 'answered', 'talked', 'part of all talk'],
          rows: work.map(({ who, rung, answered, talkMs, share }) => [
            ...[nameOf(who), String(rung), String(answered), saySeconds(talkMs), percent(share, 1)],
          ]),
        },
      }),
    },
    ...(cost === null ? [] : [{ title: 'What does it cost?', sentences: [cost] }]),
  ];
  return { parts, days: daysOf(sums.when, span) };
}

function byWay({ byWay: ways }: AnsweredFigures, nameOf: (id: string) => string): Pick<ReportPart, 'table'> {
  if (ways.length === 0) return {};
  return {
    table: {
      head: ['', 'answered', 'half within', '9 in 10 within'],
      rows: ways.map(({ to, reached, medianMs, nineTenthsMs }) => [
        nameOf(to),
        String(reached),
        medianMs === null ? '–' : saySeconds(medianMs),
        nineTenthsMs === null ? '–' : saySeconds(nineTenthsMs),
      ]),
    },
  };
}

function daysOf({ byDay }: WhenSums, { from, to }: DayRange): readonly ReportDay[] {
  return Array.from({ length: to - from + 1 }, (_, index): ReportDay => {
    const of = byDay.filter(({ day }) => day === from + index);
    const count = (fate: 'reached' | 'message' | 'served' | 'lost'): number =>
      of.reduce((sum, { outcome, calls }) => sum + (fateOf[outcome] === fate ? calls : 0), 0);
    return {
      ...{ day: from + index, reached: count('reached'), message: count('message') },
      ...{ served: count('served'), lost: count('lost') },
    };
  });
}

/** The last whole week, from Monday on, or the last whole month, that is over on a day. */
export function reportSpan(every: 'week' | 'month', today: DayNumber): DayRange {
  return namedSpan(every === 'week' ? 'lastWeek' : 'lastMonth', today);
}
