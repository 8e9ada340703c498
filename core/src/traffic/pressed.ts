import type { Key, SheetId } from '../line';
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

/**
 * What callers did in each sheet, the most visited first.
 *
 * @param sums looked at once each: there may be very many, and the same more than once, as of several days
 */
export function pressedFigures(sums: Iterable<PressedSum>): readonly SheetPresses[] {
  const sheets = new Map<SheetId, Map<Choice, Pressed>>();
  for (const { sheetId, choice, second, visits } of sums) {
    const choices = madeOf(sheets, sheetId, () => new Map<Choice, Pressed>());
    const pressed = madeOf(choices, choice, () => ({ visits: 0, inSecond: new Map() }));
    pressed.visits += visits;
    if (second !== null) pressed.inSecond.set(second, (pressed.inSecond.get(second) ?? 0) + visits);
  }
  return [...sheets].map(([sheetId, choices]) => pressesOf(sheetId, choices)).sort(byVisits);
}

/** How often somebody did something in a sheet, in all, and in each second of its first words. */
interface Pressed {
  visits: number;
  readonly inSecond: Map<number, number>;
}

function madeOf<Key, Of>(all: Map<Key, Of>, key: Key, make: () => Of): Of {
  let of = all.get(key);
  if (of === undefined) all.set(key, (of = make()));
  return of;
}

function pressesOf(sheetId: SheetId, choices: ReadonlyMap<Choice, Pressed>): SheetPresses {
  return {
    sheetId,
    visits: [...choices.values()].reduce((sum, { visits }) => sum + visits, 0),
    choices: [...choices]
      .map(([choice, { visits, inSecond }]) => ({ choice, visits, medianS: medianOf(inSecond) }))
      .sort(byVisits),
    seconds: secondsOf(choices),
  };
}

function byVisits(one: { readonly visits: number }, other: { readonly visits: number }): number {
  return other.visits - one.visits;
}

/** The second by which half of them had done it. */
function medianOf(inSecond: ReadonlyMap<number, number>): number | null {
  const seconds = [...inSecond].sort(([one], [other]) => one - other);
  const all = seconds.reduce((sum, [, visits]) => sum + visits, 0);
  let upTo = 0;
  return seconds.find(([, visits]) => (upTo += visits) >= all / 2)?.[0] ?? null;
}

function secondsOf(choices: ReadonlyMap<Choice, Pressed>): SheetPresses['seconds'] {
  const counts: { chose: number; hungUp: number }[] = [];
  for (const [choice, { inSecond }] of choices) {
    if (!(isChosen(choice) || choice === 'hungUp')) continue;
    for (const [second, visits] of inSecond) {
      const at = Math.min(longestS, second);
      while (counts.length <= at) counts.push({ chose: 0, hungUp: 0 });
      const count = counts[at];
      if (count) count[choice === 'hungUp' ? 'hungUp' : 'chose'] += visits;
    }
  }
  return counts;
}

/** Whether a caller chose: a key, digits or words; not if they pressed nothing, the wrong keys, or only listened. */
export function isChosen(choice: Choice): boolean {
  return !['nothing', 'wrongKeys', 'hungUp', 'heard'].includes(choice);
}

/** Whether a choice is the key of an option. */
export function isKeyChoice(choice: Choice): choice is Key {
  return isChosen(choice) && choice !== 'digits' && choice !== 'spoke';
}
