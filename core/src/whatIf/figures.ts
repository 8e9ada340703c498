import { MonthBill, type Numbered, type Rates } from '../cost';
import { weekdayOf, weekdays, type DayNumber, type Weekday } from '../hours';
import { fateOf, type Who } from '../traffic';
import type { PlayedCall } from './playDay';

/** Sums over calls of one run, of a weekday or of all; each can be added to others of its kind. */
export interface Sums {
  calls: number;
  reached: number;
  /** Of those, how many within the seconds that were asked for. */
  within: number;
  /** From the line picking up to somebody answering, of those who were reached, in ms. */
  toPersonMs: number;
  message: number;
  missed: number;
  gaveUpInQueue: number;
  gaveUpRinging: number;
  gaveUpInMenu: number;
  /** Waits in queues, how many were answered within those seconds of waiting, and how long they were, in ms. */
  waits: number;
  waitedWithin: number;
  waitedMs: number;
}

/** One run of a plan. */
export interface RunSums {
  readonly all: Sums;
  readonly byWeekday: ReadonlyMap<Weekday, Sums>;
  /** How long everybody who was rung talked, in ms, of each hour of the week (0 is Monday midnight) in which they did. */
  readonly talked: ReadonlyMap<Who, ReadonlyMap<number, number>>;
  /** What the calls cost, rents left out; null without a rate card. In millionths of the currency. */
  readonly cost: number | null;
}

export function noSums(): Sums {
  return {
    ...{ calls: 0, reached: 0, within: 0, toPersonMs: 0, message: 0, missed: 0 },
    ...{ gaveUpInQueue: 0, gaveUpRinging: 0, gaveUpInMenu: 0, waits: 0, waitedWithin: 0, waitedMs: 0 },
  };
}

/** What calls are charged by; null where no rate card is known. */
export interface Charges {
  readonly rates: Rates;
  readonly lines: readonly Numbered[];
}

/** Adds up the calls of a run, day by day. */
export class RunCounter {
  private readonly all = noSums();
  private readonly byWeekday = new Map(weekdays.map((weekday) => [weekday, noSums()]));
  private readonly talked = new Map<Who, Map<number, number>>();
  private readonly bill: MonthBill | null;

  /** @param first of the days of the run: the included minutes of its month hold for the whole run */
  constructor(
    private readonly withinMs: number,
    charges: Charges | null,
    first: DayNumber,
    private readonly lineId: PlayedLine,
  ) {
    this.bill = charges && new MonthBill(charges.rates, [], first);
  }

  add(day: DayNumber, calls: readonly PlayedCall[]): void {
    const weekday = weekdayOf(day);
    const ofDay = this.byWeekday.get(weekday);
    for (const call of calls) {
      if (ofDay) count(ofDay, call, this.withinMs);
      count(this.all, call, this.withinMs);
      const { facts, lengthMs, caller } = call;
      for (const { who, talkMs } of facts.rings) {
        if (talkMs <= 0) continue;
        const hour = (weekday - 1) * 24 + Math.floor(caller.minute / 60);
        let hours = this.talked.get(who);
        if (!hours) this.talked.set(who, (hours = new Map()));
        hours.set(hour, (hours.get(hour) ?? 0) + talkMs);
      }
      if (facts.outcome !== 'blocked') this.bill?.add({ lineId: this.lineId, day, lengthMs, outside: facts.outside });
    }
  }

  sums(): RunSums {
    const cost = this.bill?.cost();
    return { all: this.all, byWeekday: this.byWeekday, talked: this.talked, cost: cost ? cost.in + cost.out : null };
  }
}

type PlayedLine = Parameters<MonthBill['add']>[0]['lineId'];

function count(sums: Sums, { facts }: PlayedCall, withinMs: number): void {
  const { outcome, toPersonMs, waits } = facts;
  const fate = fateOf[outcome];
  if (fate === 'aside') return;
  sums.calls += 1;
  if (fate === 'reached' && toPersonMs !== null) {
    sums.reached += 1;
    sums.toPersonMs += toPersonMs;
    if (toPersonMs <= withinMs) sums.within += 1;
  }
  if (fate === 'message') sums.message += 1;
  if (outcome === 'missed') sums.missed += 1;
  if (outcome === 'gaveUpInQueue' || outcome === 'gaveUpRinging' || outcome === 'gaveUpInMenu') sums[outcome] += 1;
  for (const { waitedMs, end } of waits) {
    sums.waits += 1;
    if (end === 'answered' && waitedMs <= withinMs) sums.waitedWithin += 1;
    sums.waitedMs += waitedMs;
  }
}
