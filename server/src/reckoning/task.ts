import type { Cost, Numbered, Rates } from '@locutor/core/cost';
import type { CallScript } from '@locutor/core/call';
import type { TrialResult } from '@locutor/core/exchange';
import type { FirstCall } from '@locutor/core/firstCalls';
import type { Hours, TimeZone } from '@locutor/core/hours';
import type { LineId, Names } from '@locutor/core/line';
import type { Finding, ProofSubject } from '@locutor/core/proof';
import type { Rehearsal, Rehearsed } from '@locutor/core/rehearsals';
import type { AnsweredFigures, QuietHours, RingSum, SheetPresses, WhenSums } from '@locutor/core/traffic';
import type { Unpressed } from '@locutor/core/line';
import type { LoggedCaller } from '@locutor/core/whatIf';
import type { Spoken, Tracks } from './spoken';
import type { ReportAsked, ReportLetter } from './reportLetter';
import type { TodayAsked, TodaySums, UnpressedAsked } from './todaySums';
import type { Summed } from './daysOfCalls';
import type { TrialDto } from '../trials/trial.dto';

/** A finding in words. */
export interface SaidFinding extends Finding {
  readonly says: string;
  readonly why: string;
  readonly advice: string;
}

/** A query for rows of the database, as TypeORM writes it. */
export interface Query {
  readonly sql: string;
  readonly parameters: readonly unknown[];
}

/** A page of the log: the ids of the calls on it, and how many there are in all. */
export interface PageOfIds {
  readonly ids: readonly string[];
  readonly inAll: number;
}

/** What takes long to reckon, by what it is called: what it is reckoned from, and what comes of it. */
export interface Reckonings {
  readonly proof: {
    readonly from: { readonly subject: ProofSubject; readonly names: Names };
    readonly to: SaidFinding[];
  };
  /** What callers of each line would meet once the office is otherwise, and do not meet now. */
  readonly newlyFound: {
    readonly from: {
      readonly lines: readonly { readonly now: ProofSubject; readonly change: Partial<ProofSubject> }[];
      readonly names: Names;
    };
    readonly to: SaidFinding[][];
  };
  readonly rehearse: {
    readonly from: { readonly script: CallScript; readonly rehearsals: readonly Rehearsal[] };
    readonly to: Rehearsed[];
  };
  readonly firstCalls: {
    readonly from: { readonly script: CallScript; readonly atMs: number; readonly names: Names };
    readonly to: readonly FirstCall[];
  };
  readonly trials: {
    readonly from: { readonly script: CallScript; readonly trials: readonly TrialDto[] };
    readonly to: readonly Pick<TrialResult, 'transcript' | 'ended'>[];
  };
  readonly page: {
    readonly from: { readonly database: string; readonly ids: Query; readonly inAll: Query };
    readonly to: PageOfIds;
  };
  /** Counts the calls that are over for Traffic; all of them, or those that are new. Gives how many. */
  readonly countCalls: {
    readonly from: { readonly database: string; readonly anew: boolean };
    readonly to: number;
  };
  /** When people called. */
  readonly when: {
    readonly from: { readonly database: string; readonly span: Summed };
    readonly to: WhenSums;
  };
  /** How long it took until somebody answered, and how many were within so many s. */
  readonly answered: {
    readonly from: { readonly database: string; readonly span: Summed; readonly withinS: number };
    readonly to: AnsweredFigures;
  };
  /** What callers did in each menu and announcement. */
  readonly pressed: {
    readonly from: { readonly database: string; readonly span: Summed };
    readonly to: readonly SheetPresses[];
  };
  /** How often each was rung, and how that ended. */
  readonly work: {
    readonly from: { readonly database: string; readonly span: Summed };
    readonly to: readonly RingSum[];
  };
  /** What calls cost, and what this month will have cost. */
  readonly cost: {
    readonly from: {
      readonly database: string;
      readonly span: Summed;
      readonly rates: Rates;
      readonly lines: readonly Numbered[];
      /** Today, and the minute of it. */
      readonly now: { readonly day: number; readonly minute: number };
    };
    readonly to: Cost;
  };
  /** A report of Traffic as it is mailed. */
  readonly report: { readonly from: ReportAsked; readonly to: ReportLetter };
  /** Keys of a version that nobody pressed in a span of so many days. */
  readonly unpressed: {
    readonly from: UnpressedAsked;
    readonly to: Unpressed;
  };
  /** The day so far, such days before it, and the last four weeks beside the four before. */
  readonly today: {
    readonly from: TodayAsked;
    readonly to: TodaySums;
  };
  /** What callers did, one by one. */
  readonly callers: {
    readonly from: { readonly database: string; readonly span: Summed };
    readonly to: readonly LoggedCaller[];
  };
  readonly quietest: {
    readonly from: {
      readonly database: string;
      readonly startedAt: Query;
      readonly hours: Hours;
      readonly zone: TimeZone;
      readonly nowMs: number;
    };
    readonly to: QuietHours;
  };
  /** A zip of texts as they are, and of files on disk, each by its name in it. */
  readonly zip: {
    readonly from: {
      readonly texts: Readonly<Record<string, string>>;
      readonly files: Readonly<Record<string, string>>;
    };
    readonly to: Uint8Array;
  };
  readonly spoken: { readonly from: Tracks; readonly to: Spoken };
  readonly leftAs: {
    readonly from: { readonly path: string; readonly mostMs: number };
    readonly to: Spoken | 'notWav' | 'tooLong';
  };
  /** Calls as a spreadsheet (CSV, RFC 4180): which, as a query for columns of `CallToWrite`, and what ids are called. */
  readonly callsCsv: {
    readonly from: {
      readonly database: string;
      readonly calls: Query;
      /** In whose language it is written; null for that of the first line. */
      readonly lineId: LineId | null;
      readonly names: Names;
      readonly rates: Rates;
    };
    readonly to: Uint8Array;
  };
}

export type ReckoningName = keyof Reckonings;

export type Task = {
  [Name in ReckoningName]: { readonly name: Name; readonly from: Reckonings[Name]['from'] };
}[ReckoningName];
