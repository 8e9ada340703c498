import type { CallScript } from '../call';
import type { Answer } from '../hours';
import type { SheetId } from '../line';
import { thereAt } from './alike';
import type { Leg } from './leg';
import { MenuTrials, type Branch, type MenuWays } from './menuTrials';
import type { Turn } from './way';

/** A choice that callers have somewhere, and what comes of it. */
export interface Explored {
  /** The choice; null for dialling. */
  readonly turn: Turn | null;
  readonly leg: Leg;
  /** The menu in which it ends, by its `is`; null where it ends otherwise. */
  readonly to: string | null;
}

/** A menu that calls come to. Come to from another menu, it is another one: "back" leads elsewhere. */
export interface ExploredMenu {
  readonly is: string;
  readonly sheetId: SheetId;
  /** On the how manyeth menu of a call a caller comes here at the earliest; 1 for the first. */
  readonly level: number;
  readonly choices: readonly Explored[];
}

/** All that calls can come to which are answered in one way. */
export interface Reach {
  /** Dialling, and leaving the queues that it leads to. */
  readonly begins: readonly Explored[];
  readonly menus: ReadonlyMap<string, ExploredMenu>;
}

export interface Explorer {
  /** What can come of a call that is answered so at a moment. Not how long anything takes: each sentence counts a second. */
  explore(answer: Answer, atMs: number): Reach;
  /** Who is there then: at moments at which this is the same, the same can come of calls. */
  there(atMs: number): string;
}

/**
 * Tries out every choice of callers on the machine that answers them, nobody picking up, and keeps what can come of it
 * rather than every way there is. Each choice is made once, however many ways lead to it.
 */
export function explorer(given: CallScript): Explorer {
  const script: CallScript = { ...given, tellsSteps: true };
  const known = new Map<string, MenuWays>();
  const there = thereAt(script);
  return {
    there,
    explore: (answer, atMs) => {
      const alike = there(atMs);
      const options = { atMs, staff: 'noAnswer', lengthMs: () => 1000, isTimed: false, alike, known } as const;
      return reach(new MenuTrials(script, options), answer);
    },
  };
}

function reach(trials: MenuTrials, answer: Answer): Reach {
  const menus = new Map<string, ExploredMenu>();
  const begins = explored(trials.begin(answer), trials);
  let met = menusOf(begins, trials);
  for (let level = 1; met.length > 0; level += 1) {
    const fresh = [...new Map(met.map((each) => [each.is, each])).values()].filter(({ is }) => !menus.has(is));
    for (const { is, menu, branches } of fresh) {
      const choices = branches.flatMap((branch) => explored(branch, trials));
      menus.set(is, { is, sheetId: menu.id, level, choices });
    }
    met = fresh.flatMap(({ is }) => menusOf(menus.get(is)?.choices ?? [], trials));
  }
  return { begins, menus };
}

function explored({ turn, leg, exits }: Branch, trials: MenuTrials): readonly Explored[] {
  const to = leg.menu ? trials.waysOf(leg.menu).is : null;
  return [{ turn, leg, to }, ...exits.flatMap((exit) => explored(exit, trials))];
}

function menusOf(choices: readonly Explored[], trials: MenuTrials): readonly MenuWays[] {
  return choices.flatMap(({ leg }) => (leg.menu ? [trials.waysOf(leg.menu)] : []));
}
