import type { E164 } from '../directory';
import { showDate, yearOf, dayNumber, monthDayOf, daysInMonth, type DayNumber } from '../hours';
import type { LineId } from '../line';
import type { Amount } from './money';
import { cardOn, perMinuteIn, perMinuteOut, rentOf, type RateCard, type Rates } from './rateCard';

/** A call as it is charged. Blocked ones are refused without an answer and are none. */
export interface ChargedCall {
  readonly lineId: LineId;
  readonly day: DayNumber;
  readonly lengthMs: number;
  /** Calls out to outside phones that came of it. */
  readonly outside: readonly { readonly number: E164; readonly forMs: number }[];
}

/** How many numbers a line has: its own, and those that reach a group or queue of it directly. */
export interface Numbered {
  readonly lineId: LineId;
  readonly numbers: number;
}

/** What a call costs, tax included; `null` where no rate card holds on its day. */
export type CallCost = { readonly in: Amount; readonly out: Amount } | null;

/** A month of the calendar, `2026-11`. */
export type Month = string;

export interface MonthCost {
  readonly month: Month;
  readonly calls: number;
  /** Calls on days before any rate card: they are in no sum. */
  readonly withoutCard: number;
  readonly inSeconds: number;
  /** Of those, how many the included minutes covered. */
  readonly includedSeconds: number;
  readonly outSeconds: number;
  /** Each with tax. */
  readonly rent: Amount;
  readonly in: Amount;
  readonly out: Amount;
  readonly total: Amount;
}

export function monthOf(day: DayNumber): Month {
  return showDate(day).slice(0, 7);
}

/** Its first and last day. */
export function daysOfMonth(day: DayNumber): { readonly from: DayNumber; readonly to: DayNumber } {
  const { month } = monthDayOf(day);
  const from = dayNumber(yearOf(day), month, 1);
  return { from, to: from + daysInMonth(yearOf(day), month) - 1 };
}

/** A length in whole steps, begun ones counted: what is charged, in s. Nothing takes no step. */
export function chargedSeconds(ms: number, stepSeconds: number): number {
  return ms <= 0 ? 0 : Math.ceil(ms / (stepSeconds * 1000)) * stepSeconds;
}

/** Charges calls of one month, in the order in which they began: the included minutes go to those who called first. */
export class MonthBill {
  private readonly sums = {
    ...{ calls: 0, withoutCard: 0, inSeconds: 0, includedSeconds: 0, outSeconds: 0 },
    ...{ in: 0, out: 0 },
  };
  private readonly rent: Amount;
  private freeSeconds: number;
  private day: DayNumber | undefined;
  private card: RateCard | undefined;

  /** @param inMonth any day of the month */
  constructor(
    private readonly rates: Rates,
    lines: readonly Numbered[],
    private readonly inMonth: DayNumber,
  ) {
    const { from, to } = daysOfMonth(inMonth);
    // Where the first card of all begins within the month, it is charged for it.
    const holding = cardOn(rates, from) ?? firstWithin(rates, from, to);
    this.freeSeconds = (holding?.includedMinutes ?? 0) * 60;
    this.rent = holding
      ? lines.reduce((sum, { lineId, numbers }) => sum + numbers * taxed(rentOf(holding, lineId), holding), 0)
      : 0;
  }

  /** @param call of this month, no earlier than the one before */
  add(call: ChargedCall): CallCost {
    const card = this.cardOf(call.day);
    if (!card) {
      this.sums.withoutCard += 1;
      return null;
    }
    const charge = chargeOf(call, card);
    const free = Math.min(charge.seconds, this.freeSeconds);
    const into = free === 0 ? charge.in : priced(charge.seconds - free, charge.perMinute, card);
    this.count({ calls: 1, inSeconds: charge.seconds, outSeconds: charge.outSeconds, in: into, out: charge.out }, free);
    return { in: into, out: charge.out };
  }

  /** The same as adding all of a day's calls, faster where the same day is added to many bills. */
  addDay(day: DayNumber, charges: DayCharges): void {
    const card = this.cardOf(day);
    if (!card) {
      this.sums.withoutCard += charges.calls.length;
      return;
    }
    const whole = charges.by(card);
    if (this.freeSeconds === 0) return this.count(whole, 0);
    if (this.freeSeconds >= whole.inSeconds) return this.count({ ...whole, in: 0 }, whole.inSeconds);
    for (const call of charges.calls) this.add({ ...call, day });
  }

  private cardOf(day: DayNumber): RateCard | undefined {
    if (day !== this.day) [this.day, this.card] = [day, cardOn(this.rates, day)];
    return this.card;
  }

  private count(some: Charged, free: number): void {
    const { sums } = this;
    this.freeSeconds -= free;
    sums.calls += some.calls;
    sums.inSeconds += some.inSeconds;
    sums.includedSeconds += free;
    sums.outSeconds += some.outSeconds;
    sums.in += some.in;
    sums.out += some.out;
  }

  cost(): MonthCost {
    const { sums, rent } = this;
    return { month: monthOf(this.inMonth), ...sums, rent, total: rent + sums.in + sums.out };
  }
}

/** What some calls are charged, none of it free. */
interface Charged {
  readonly calls: number;
  readonly inSeconds: number;
  readonly outSeconds: number;
  readonly in: Amount;
  readonly out: Amount;
}

/** A day's calls, and what they are charged by a card where nothing is free any more. */
export class DayCharges {
  private readonly charged = new Map<RateCard, Charged>();

  /** @param calls in the order in which they began */
  constructor(readonly calls: readonly ChargedCall[]) {}

  by(card: RateCard): Charged {
    let known = this.charged.get(card);
    if (!known) {
      const sums = { calls: this.calls.length, inSeconds: 0, outSeconds: 0, in: 0, out: 0 };
      for (const call of this.calls) {
        const charge = chargeOf(call, card);
        sums.inSeconds += charge.seconds;
        sums.outSeconds += charge.outSeconds;
        sums.in += charge.in;
        sums.out += charge.out;
      }
      this.charged.set(card, (known = sums));
    }
    return known;
  }
}

interface Charge {
  readonly seconds: number;
  readonly perMinute: Amount;
  readonly in: Amount;
  readonly outSeconds: number;
  readonly out: Amount;
}

/** What a call is charged where none of it is free. */
function chargeOf({ lineId, lengthMs, outside }: ChargedCall, card: RateCard): Charge {
  const seconds = chargedSeconds(lengthMs, card.stepSeconds);
  const perMinute = perMinuteIn(card, lineId);
  let [outSeconds, out] = [0, 0];
  for (const { number, forMs } of outside) {
    const charged = chargedSeconds(forMs, card.stepSeconds);
    outSeconds += charged;
    out += priced(charged, perMinuteOut(card, number), card);
  }
  return { seconds, perMinute, in: priced(seconds, perMinute, card), outSeconds, out };
}

function firstWithin({ cards }: Rates, from: DayNumber, to: DayNumber): RateCard | undefined {
  const [first, last] = [showDate(from), showDate(to)];
  const within = cards.filter((card) => card.from >= first && card.from <= last);
  return within.sort((one, other) => (one.from < other.from ? -1 : 1))[0];
}

function priced(seconds: number, perMinute: Amount, card: RateCard): Amount {
  return taxed((seconds / 60) * perMinute, card);
}

/** To the next millionth, so that the sum of calls is their sum. */
function taxed(amount: number, { taxPercent }: RateCard): Amount {
  return Math.round(amount * (1 + taxPercent / 100));
}
