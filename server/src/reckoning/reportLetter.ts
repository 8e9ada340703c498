import type { PersonId } from '@locutor/core/directory';
import type { DayRange } from '@locutor/core/hours';
import type { Names } from '@locutor/core/line';
import {
  reportOf,
  spanBefore,
  writeReportHtml,
  writeReportText,
  type Dial,
  type ReportHead,
} from '@locutor/core/traffic';
import { PNG } from 'pngjs';
import { drawDays } from './drawDays';
import type { Summed } from './daysOfCalls';
import { answeredOf, pressedOf, whenSums, workOf } from './trafficSums';

/** What a report is made of. */
export interface ReportAsked {
  readonly database: string;
  readonly lineId: Summed['lineId'];
  readonly span: DayRange;
  readonly head: ReportHead;
  readonly names: Names;
  readonly order: readonly PersonId[];
  readonly dial: Dial;
  readonly cost: string | null;
  /** Where the picture is found. */
  readonly picture: string;
}

/** A report as it is mailed: both texts, and the picture (PNG). */
export interface ReportLetter {
  readonly text: string;
  readonly html: string;
  readonly days: Uint8Array;
}

const usualWithinS = 20;

export function reportLetter(asked: ReportAsked): ReportLetter {
  const { database, lineId, span, head, names, order, dial, cost, picture } = asked;
  const of = { lineId, ...span };
  const report = reportOf(
    {
      when: whenSums(database, of),
      before: whenSums(database, { lineId, ...spanBefore(span) }),
      answered: answeredOf(database, of, usualWithinS),
      pressed: pressedOf(database, of),
      work: workOf(database, of),
    },
    { span, names, order, dial, cost },
  );
  return {
    text: writeReportText(head, report),
    html: writeReportHtml(head, report, picture),
    days: PNG.sync.write(drawDays(report.days)),
  };
}
