import type { E164 } from '../directory';
import type { LineId } from '../line';
import { readDate, type DayNumber } from '../hours';
import type { Amount, Currency } from './money';

/** What calls out to numbers that begin so cost a minute: "+44". */
export interface OutsidePrice {
  readonly beginsWith: string;
  readonly perMinute: Amount;
}

/** What a line's own numbers cost where it is not what the others do. */
export interface LinePrice {
  readonly lineId: LineId;
  /** A month, for each of its numbers. */
  readonly rent: Amount;
  readonly perMinuteIn: Amount;
}

/** What the provider of the numbers charges, from a day on; prices are without tax. */
export interface RateCard {
  /** The first day it holds, such as `2027-01-01`, by the line's calendar; it holds until the next one does. */
  readonly from: string;
  /** A month, for each number. */
  readonly rent: Amount;
  /** Minutes of calls to the numbers that are free each month, those of all lines together. */
  readonly includedMinutes: number;
  /** A minute of a call to a line, once those are used up. */
  readonly perMinuteIn: Amount;
  /** A minute of a call that is put through to an outside phone, on top of the caller's own. */
  readonly perMinuteOut: Amount;
  /** Of several that fit the longest holds. */
  readonly outside: readonly OutsidePrice[];
  readonly lines: readonly LinePrice[];
  /** Calls are charged in steps of so many seconds, begun ones whole. */
  readonly stepSeconds: number;
  /** On top of everything, in percent. */
  readonly taxPercent: number;
}

/** What calls cost, and from when; cards in any order, no two from the same day. */
export interface Rates {
  readonly currency: Currency;
  readonly cards: readonly RateCard[];
}

export const rateLimits = {
  cards: 60,
  outside: 200,
  lines: 100,
  includedMinutes: { least: 0, most: 10_000_000 },
  stepSeconds: { least: 1, most: 600 },
  taxPercent: { least: 0, most: 100 },
} as const;
export const beginsWithPattern = /^\+[1-9]\d{0,13}$/;

/** Nothing is known yet of what calls cost. */
export const noRates: Rates = { currency: 'USD', cards: [] };

export const newCard: Omit<RateCard, 'from'> = {
  ...{ rent: 0, includedMinutes: 0, perMinuteIn: 0, perMinuteOut: 0 },
  ...{ outside: [], lines: [], stepSeconds: 60, taxPercent: 0 },
};

/** What speaks against rates being kept, in words; null when nothing does. */
export function ratesProblem({ cards }: Rates): string | null {
  const days = cards.map(({ from }) => from);
  const wrong = days.find((day) => readDate(day) === undefined);
  if (wrong !== undefined) return `There is no day ${wrong} for a rate card to begin on.`;
  const twice = days.find((day, index) => days.indexOf(day) !== index);
  if (twice !== undefined) return `Two rate cards begin on ${twice}. Let one of them begin on another day.`;
  for (const { from, outside, lines } of cards) {
    const begin = outside.map(({ beginsWith }) => beginsWith);
    const said = begin.find((each, index) => begin.indexOf(each) !== index);
    if (said) return `The rate card from ${from} has two prices for numbers that begin with ${said}.`;
    const bad = begin.find((each) => !beginsWithPattern.test(each));
    if (bad !== undefined) return `“${bad}” is not how a number begins: + and digits, like +44.`;
    if (new Set(lines.map(({ lineId }) => lineId)).size < lines.length)
      return `The rate card from ${from} has two prices for the same line.`;
  }
  return null;
}

const inOrder = new WeakMap<Rates, readonly { readonly day: DayNumber; readonly card: RateCard }[]>();

/** The card that holds on a day; undefined before the first one. Asked for very many days: the order is remembered. */
export function cardOn(rates: Rates, day: DayNumber): RateCard | undefined {
  let cards = inOrder.get(rates);
  if (!cards) {
    cards = rates.cards
      .flatMap((card) => {
        const from = readDate(card.from);
        return from === undefined ? [] : [{ day: from, card }];
      })
      .sort((one, other) => one.day - other.day);
    inOrder.set(rates, cards);
  }
  return cards.findLast((each) => each.day <= day)?.card;
}

export function perMinuteIn(card: RateCard, lineId: LineId): Amount {
  return (card.lines.find((each) => each.lineId === lineId) ?? card).perMinuteIn;
}

export function rentOf(card: RateCard, lineId: LineId): Amount {
  return (card.lines.find((each) => each.lineId === lineId) ?? card).rent;
}

export function perMinuteOut({ outside, perMinuteOut: usual }: RateCard, number: E164): Amount {
  const fits = outside.filter(({ beginsWith }) => number.startsWith(beginsWith));
  const longest = fits.reduce<OutsidePrice | undefined>(
    (best, each) => (best && best.beginsWith.length >= each.beginsWith.length ? best : each),
    undefined,
  );
  return longest?.perMinute ?? usual;
}
