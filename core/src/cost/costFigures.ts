import type { CallId } from '../exchange';
import type { LineId, SheetId } from '../line';
import type { DayNumber } from '../hours';
import { Most, type Choice } from '../traffic';
import type { Forecast } from './forecast';
import type { Amount } from './money';
import { MonthBill, monthOf, type ChargedCall, type MonthCost, type Numbered } from './price';
import type { Rates } from './rateCard';

/** A call of the log as its cost is reckoned. */
export interface CostRow extends ChargedCall {
  /** Its id: of very many calls those of a few are told. */
  readonly idOf: () => CallId;
  readonly firstSheetId: SheetId | null;
  readonly firstChoice: Choice | null;
}

/** What some of the calls cost, without rents. */
export interface PartCost {
  readonly calls: number;
  readonly in: Amount;
  readonly out: Amount;
}

export interface CostFigures {
  /** Months in which somebody called, or in which today lies; whole months, from their first day on. */
  readonly months: readonly MonthCost[];
  /** Of the calls on the days that were asked for, the dearest first. */
  readonly byLine: readonly (PartCost & { readonly lineId: LineId })[];
  /** By what they pressed first. */
  readonly byKey: readonly (PartCost & { readonly sheetId: SheetId; readonly choice: Choice })[];
  /** The dearest calls, the dearest first. */
  readonly dearest: readonly { readonly callId: CallId; readonly cost: Amount }[];
}

/** The same, and this month so far and at its end, whatever days were asked for. */
export interface Cost extends CostFigures {
  readonly thisMonth: MonthCost;
  readonly forecast: Forecast | null;
}

const dearestTold = 5;

/**
 * @param rows all calls of the months that the days lie in, in the order in which they began
 * @param days those whose calls are told apart by line and key
 * @param lineId the line they are told of; null for all
 */
export function costFigures(
  rows: Iterable<CostRow>,
  days: { readonly from: DayNumber; readonly to: DayNumber },
  lineId: LineId | null,
  rates: Rates,
  lines: readonly Numbered[],
): CostFigures {
  const bills = new Map<string, MonthBill>();
  const [byLine, byKey] = [new Parts<LineId>(), new Map<SheetId, Parts<Choice>>()];
  const dearest = new Most<CostFigures['dearest'][number]>(dearestTold);
  for (let day = days.from; day <= days.to; day += 1) {
    const month = monthOf(day);
    if (!bills.has(month)) bills.set(month, new MonthBill(rates, lines, day));
  }
  let [day, bill]: [DayNumber | null, MonthBill | undefined] = [null, undefined];
  for (const row of rows) {
    if (row.day !== day) [day, bill] = [row.day, bills.get(monthOf(row.day))];
    const cost = bill?.add(row);
    const isTold = row.day >= days.from && row.day <= days.to && (lineId === null || lineId === row.lineId);
    if (!cost || !isTold) continue;
    byLine.add(row.lineId, cost);
    if (row.firstSheetId && row.firstChoice) {
      let sheet = byKey.get(row.firstSheetId);
      if (!sheet) byKey.set(row.firstSheetId, (sheet = new Parts()));
      sheet.add(row.firstChoice, cost);
    }
    const sum = cost.in + cost.out;
    if (sum > 0) dearest.add(sum, () => ({ callId: row.idOf(), cost: sum }));
  }
  return {
    months: [...bills.values()].map((bill) => bill.cost()),
    byLine: byDearest(byLine.all().map(([id, part]) => ({ lineId: id, ...part }))),
    byKey: byDearest(
      [...byKey].flatMap(([sheetId, parts]) => parts.all().map(([choice, part]) => ({ sheetId, choice, ...part }))),
    ),
    dearest: dearest.all(),
  };
}

class Parts<Key> {
  private readonly parts = new Map<Key, { calls: number; in: Amount; out: Amount }>();

  add(key: Key, cost: { readonly in: Amount; readonly out: Amount }): void {
    let part = this.parts.get(key);
    if (!part) this.parts.set(key, (part = { calls: 0, in: 0, out: 0 }));
    part.calls += 1;
    part.in += cost.in;
    part.out += cost.out;
  }

  all(): readonly (readonly [Key, PartCost])[] {
    return [...this.parts];
  }
}

function byDearest<Of extends PartCost>(parts: readonly Of[]): readonly Of[] {
  return [...parts].sort((one, other) => other.in + other.out - one.in - one.out);
}
