import type { Key, SheetId } from '../line';
import { quantile } from './intervals';
import type { Choice } from './visits';

/** How often callers did something in a sheet, in a second since its words began; the server sums them. */
export interface PressedSum {
  readonly sheetId: SheetId;
  readonly choice: Choice;
  /** Whole seconds since the words began in which they did; null in words that were said again. */
  readonly second: number | null;
  readonly visits: number;
}

/** What callers did in one sheet. */
export interface SheetPresses {
  readonly sheetId: SheetId;
  /** How often callers came to it and left it again. */
  readonly visits: number;
  readonly choices: readonly {
    readonly choice: Choice;
    readonly visits: number;
    /** Half of those who did so in the words as they were said first had done it by this second; null of none. */
    readonly medianS: number | null;
  }[];
  /** In each second of the words as they are said first, from 0 on: who chose a key or said something, and who hung up. */
  readonly seconds: readonly { readonly chose: number; readonly hungUp: number }[];
}

/** Longer than any greeting; who takes longer is counted in the last second. */
const longestS = 120;

/** What callers did in each sheet, the most visited first. */
export function pressedFigures(sums: readonly PressedSum[]): readonly SheetPresses[] {
  const bySheet = new Map<SheetId, PressedSum[]>();
  for (const sum of sums) bySheet.set(sum.sheetId, [...(bySheet.get(sum.sheetId) ?? []), sum]);
  return [...bySheet]
    .map(([sheetId, of]) => ({
      sheetId,
      visits: total(of),
      choices: choicesOf(of),
      seconds: secondsOf(of),
    }))
    .sort((one, other) => other.visits - one.visits);
}

function choicesOf(sums: readonly PressedSum[]): SheetPresses['choices'] {
  const choices = [...new Set(sums.map(({ choice }) => choice))];
  return choices
    .map((choice) => {
      const of = sums.filter((sum) => sum.choice === choice);
      const seconds = of
        .flatMap(({ second, visits }) => (second === null ? [] : Array.from({ length: visits }, () => second)))
        .sort((one, other) => one - other);
      return { choice, visits: total(of), medianS: quantile(seconds, 0.5) };
    })
    .sort((one, other) => other.visits - one.visits);
}

function secondsOf(sums: readonly PressedSum[]): SheetPresses['seconds'] {
  const counts: { chose: number; hungUp: number }[] = [];
  for (const { choice, second, visits } of sums) {
    if (second === null || !(isChosen(choice) || choice === 'hungUp')) continue;
    const at = Math.min(longestS, second);
    while (counts.length <= at) counts.push({ chose: 0, hungUp: 0 });
    const count = counts[at];
    if (count) count[choice === 'hungUp' ? 'hungUp' : 'chose'] += visits;
  }
  return counts;
}

function total(sums: readonly PressedSum[]): number {
  return sums.reduce((sum, { visits }) => sum + visits, 0);
}

/** Whether a caller chose: a key, digits or words; not if they pressed nothing, the wrong keys, or only listened. */
export function isChosen(choice: Choice): boolean {
  return !['nothing', 'wrongKeys', 'hungUp', 'heard'].includes(choice);
}

/** Whether a choice is the key of an option. */
export function isKeyChoice(choice: Choice): choice is Key {
  return isChosen(choice) && choice !== 'digits' && choice !== 'spoke';
}
