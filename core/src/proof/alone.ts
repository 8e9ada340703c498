import type { SheetId, Slot } from '../line';
import type { Explored, ExploredMenu, Leg, Reach } from '../paths';
import { choiceIn } from './calls';

/** How long callers may be without a person, a message or a place in a queue, in s. */
export const aloneLimits = { least: 30, most: 900, usual: 180 } as const;

/** Callers who press nothing at all, or nothing that is of use. */
export type Helpless = 'silence' | 'wrongKey';

/** What they go through until it ends, and where. */
export interface AloneWay {
  readonly legs: readonly Leg[];
  /** The menus they were in. */
  readonly menus: readonly SheetId[];
  /** Where the path is written by which it ends. */
  readonly slot: Slot;
  /** What is gone through again and again; empty where it ends. */
  readonly round: readonly Leg[];
}

export function aloneWay(reach: Reach, helpless: Helpless, answering: Slot): AloneWay {
  const legs: Leg[] = [];
  const menus: SheetId[] = [];
  /** How many legs there were when each menu was come to. */
  const met = new Map<ExploredMenu, number>();
  let choice: Explored | undefined = reach.begins[0];
  let slot = answering;
  while (choice) {
    legs.push(choice.leg);
    slot = choice.leg.steps.at(-1)?.slot ?? slot;
    const menu: ExploredMenu | undefined = choice.to === null ? undefined : reach.menus.get(choice.to);
    const before = menu && met.get(menu);
    if (before !== undefined) return { legs, menus, slot, round: legs.slice(before) };
    if (!menu) break;
    met.set(menu, legs.length);
    menus.push(menu.sheetId);
    choice = choiceIn(menu, helpless);
    if (choice) slot = { type: helpless, sheetId: menu.sheetId };
  }
  return { legs, menus, slot, round: [] };
}

/** Each sentence counts a second where calls are tried out; people take about so long for a letter. */
const countedMs = 1000;
const letterMs = 65;

/** How long a caller has neither somebody nor a message; waits in a queue, in which they know their place, left out. */
export function aloneMs({ stretches, endMs }: Leg): number {
  return stretches.reduce((ms, each) => {
    if (each.type === 'queue') return ms - (each.toMs - each.fromMs);
    if (each.type === 'message') return ms - (each.toMs - each.fromMs);
    return each.type === 'words' ? ms + Math.max(0, each.text.length * letterMs - countedMs) : ms;
  }, endMs);
}
