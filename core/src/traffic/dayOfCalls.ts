import type { Outcome } from '../call';
import type { E164, GroupId, QueueId } from '../directory';
import type { CallId } from '../exchange';
import type { DayNumber } from '../hours';
import type { SheetId } from '../line';
import type { PressedSum } from './pressed';
import type { Who } from './rings';
import type { Choice } from './visits';

/** A call of some day and line, as far as figures over very many calls need it. */
export interface DayCall {
  /** Of the day, by the line's clock. */
  readonly minute: number;
  readonly outcome: Outcome;
  /** From when the line picked up to when somebody did, in ms; null where nobody did. */
  readonly toPersonMs: number | null;
  readonly lengthMs: number;
  /** The group or queue that brought the call to somebody, or who was rung themselves; null where nobody answered. */
  readonly way: GroupId | QueueId | Who | null;
  readonly firstSheetId: SheetId | null;
  readonly firstChoice: Choice | null;
  /** Calls out that came of it. */
  readonly outside: readonly { readonly number: E164; readonly forMs: number }[];
}

/** The calls of a day, in the order in which they began; of several lines a day may come more than once. */
export interface DayOfCalls {
  readonly day: DayNumber;
  readonly calls: readonly DayCall[];
  /** The id of the call at a place among them: of very many calls those of a few are told. */
  readonly idOf: (at: number) => CallId;
}

/**
 * The calls of a day and line as columns, every name told once, so that a hundred thousand calls are read as some hundred of
 * these: row by row they take ten times as long. Names are told by their place in `names`; -1 is none.
 */
export interface DayColumns {
  readonly names: readonly string[];
  readonly minute: readonly number[];
  readonly outcome: readonly number[];
  readonly toPersonMs: readonly (number | null)[];
  readonly lengthMs: readonly number[];
  readonly way: readonly number[];
  readonly firstSheetId: readonly number[];
  readonly firstChoice: readonly number[];
  /** Which call, to which number, for how many ms. */
  readonly outside: readonly (readonly [call: number, number: number, forMs: number])[];
}

/** Visits as columns, in the same way. */
export interface VisitColumns {
  readonly names: readonly string[];
  readonly sheetId: readonly number[];
  readonly choice: readonly number[];
  readonly second: readonly (number | null)[];
  readonly visits: readonly number[];
}

class NamesTold {
  readonly names: string[] = [];
  private readonly places = new Map<string, number>();

  placeOf(name: string | null): number {
    if (name === null) return -1;
    let place = this.places.get(name);
    if (place === undefined) {
      this.places.set(name, (place = this.names.length));
      this.names.push(name);
    }
    return place;
  }
}

export function writeDay(calls: readonly DayCall[]): DayColumns {
  const told = new NamesTold();
  const places = (of: (call: DayCall) => string | null): number[] => calls.map((call) => told.placeOf(of(call)));
  return {
    minute: calls.map(({ minute }) => minute),
    outcome: places(({ outcome }) => outcome),
    toPersonMs: calls.map(({ toPersonMs }) => toPersonMs),
    lengthMs: calls.map(({ lengthMs }) => lengthMs),
    way: places(({ way }) => way),
    firstSheetId: places(({ firstSheetId }) => firstSheetId),
    firstChoice: places(({ firstChoice }) => firstChoice),
    outside: calls.flatMap(({ outside }, call) =>
      outside.map(({ number, forMs }) => [call, told.placeOf(number), forMs] as const),
    ),
    names: told.names,
  };
}

const noneOutside: DayCall['outside'] = [];

/** The calls again, in their order. */
export function readDay(day: DayColumns): DayCall[] {
  const named = (place: number | undefined): string | null => day.names[place ?? -1] ?? null;
  const outside = new Map<number, DayCall['outside'][number][]>();
  for (const [call, number, forMs] of day.outside) {
    const of = outside.get(call) ?? [];
    of.push({ number: named(number) as E164, forMs });
    outside.set(call, of);
  }
  return day.minute.map((minute, call) => ({
    minute,
    outcome: named(day.outcome[call]) as Outcome,
    toPersonMs: day.toPersonMs[call] ?? null,
    lengthMs: day.lengthMs[call] ?? 0,
    way: named(day.way[call]) as DayCall['way'],
    firstSheetId: named(day.firstSheetId[call]) as SheetId | null,
    firstChoice: named(day.firstChoice[call]) as Choice | null,
    outside: outside.get(call) ?? noneOutside,
  }));
}

export function writeVisits(sums: readonly PressedSum[]): VisitColumns {
  const told = new NamesTold();
  return {
    sheetId: sums.map(({ sheetId }) => told.placeOf(sheetId)),
    choice: sums.map(({ choice }) => told.placeOf(choice)),
    second: sums.map(({ second }) => second),
    visits: sums.map(({ visits }) => visits),
    names: told.names,
  };
}

export function readVisits(day: VisitColumns): PressedSum[] {
  return day.visits.map((visits, at) => ({
    sheetId: day.names[day.sheetId[at] ?? -1] as SheetId,
    choice: day.names[day.choice[at] ?? -1] as Choice,
    second: day.second[at] ?? null,
    visits,
  }));
}
