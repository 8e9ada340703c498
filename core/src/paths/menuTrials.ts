import { itemMs, readyOf, type CallScript, type PlayItem } from '../call';
import type { QueueId } from '../directory';
import type { Answer } from '../hours';
import { keys, type Key, type Menu } from '../line';
import type { Sentence } from '../speech';
import {
  firstLeg,
  legByExitKey,
  legFrom,
  legFromFull,
  trialsOf,
  type AtMenu,
  type Leg,
  type StaffDoes,
  type Trials,
} from './leg';
import type { Stretch, Turn } from './way';

/** One choice of a caller, and what comes of it; known once for all ways that come to it alike. */
export interface Branch {
  /** Null for the one with which a call begins. */
  readonly turn: Turn | null;
  readonly leg: Leg;
  /** Until the leg begins, in ms from where the choice is offered: for who listens, and for who knows the keys. */
  readonly afterMs: number;
  readonly quickAfterMs: number;
  /** Leaving a queue that it waits in, or finding it full, from when the leg begins. */
  readonly exits: readonly Branch[];
}

/** A menu as callers come to it. */
export interface MenuWays {
  /** Tells it from the same menu come to another way. */
  readonly is: string;
  readonly menu: Menu;
  readonly said: readonly Stretch[];
  readonly branches: readonly Branch[];
}

export interface MenuTrialsOptions {
  readonly atMs: number;
  readonly staff: StaffDoes;
  readonly lengthMs: (sentence: Sentence) => number;
  /** Whether it is asked when things happen; otherwise callers do not listen before they press a wrong key. */
  readonly isTimed: boolean;
  /** What of the moment and the staff makes a difference: what was found out where it is the same holds. */
  readonly alike: string;
  /** What was found out about menus before. */
  readonly known: Map<string, MenuWays>;
}

/** Tries out every choice that callers have at one moment, each once. */
export class MenuTrials {
  private readonly trials: Trials;

  constructor(
    private readonly script: CallScript,
    private readonly options: MenuTrialsOptions,
  ) {
    const { atMs, staff, lengthMs } = options;
    this.trials = trialsOf({ script, atMs, staff, sentenceMs: remembering(lengthMs) });
  }

  /** What comes of dialling, by what answers. */
  begin(answer: Answer): Branch {
    return this.branch(null, firstLeg(this.trials, answer), 0, 0);
  }

  /** What a menu says and leads to; tried out once for callers who come to it from the same one. */
  waysOf(at: AtMenu): MenuWays {
    const { menus, callRecordingId, lineId } = at.state;
    const { alike, known } = this.options;
    const is = [alike, lineId, at.menu.id, menus.at(-2), callRecordingId !== null].join(' ');
    let ways = known.get(is);
    if (!ways) known.set(is, (ways = { is, menu: at.menu, ...this.tryMenu(at) }));
    return ways;
  }

  private tryMenu(at: AtMenu): Pick<MenuWays, 'said' | 'branches'> {
    const { menu, items, wholeMs } = at;
    const sheetId = menu.id;
    const keysOf = menu.options.map(({ key }): Branch => {
      const leg = legFrom(this.trials, at, { type: 'key', key });
      const listenedMs = menu.keysDuringGreeting ? this.heardAfterMs(items, key, wholeMs) : 0;
      return this.branch({ type: 'key', sheetId, key }, leg, listenedMs + leg.inMenuMs, leg.inMenuMs);
    });
    const silent = legFrom(this.trials, at, { type: 'silence' });
    const silence = this.branch({ type: 'silence', sheetId }, silent, silent.inMenuMs, silent.inMenuMs);
    return { said: this.saidIn(menu, items), branches: [...keysOf, silence, ...this.wrongKeys(at)] };
  }

  /** The way for wrong keys; none where every key has a use. */
  private wrongKeys(at: AtMenu): readonly Branch[] {
    const { menu } = at;
    const key = wrongKeyIn(menu, menu.extensions ? readyOf(this.script).beginnings : new Set());
    if (!key) return [];
    const turn = { type: 'wrongKey', sheetId: menu.id } as const;
    const quick = legFrom(this.trials, at, { type: 'wrongKey', key, listens: false });
    const leg = this.options.isTimed ? legFrom(this.trials, at, { type: 'wrongKey', key, listens: true }) : quick;
    return [this.branch(turn, leg, leg.inMenuMs, quick.inMenuMs)];
  }

  /** A choice, and what else may become of it in queues; a queue that was left on it is not left a second time. */
  private branch(
    turn: Turn | null,
    leg: Leg,
    afterMs: number,
    quickAfterMs: number,
    left: readonly QueueId[] = [],
  ): Branch {
    const exits = leg.queues
      .filter(({ queueId }) => !left.includes(queueId))
      .flatMap((at): readonly Branch[] => {
        const { queueId, exitKey: key, afterMs: atMs, entryMs } = at;
        const from = [...left, queueId];
        const full = this.branch({ type: 'queueFull', queueId }, legFromFull(this.trials, at), atMs, atMs, from);
        if (!key) return [full];
        const leg = legByExitKey(this.trials, at, key);
        return [this.branch({ type: 'exitKey', queueId, key }, leg, atMs + entryMs, atMs, from), full];
      });
    return { turn, leg, afterMs, quickAfterMs, exits };
  }

  /** What a menu says, and its wait for a key. */
  private saidIn({ id: sheetId, waitSeconds }: Menu, items: readonly PlayItem[]): readonly Stretch[] {
    let atMs = 0;
    const said = items.flatMap((item): readonly Stretch[] => {
      const fromMs = atMs;
      atMs += this.msOf([item]);
      if (item.type !== 'sentence') return [];
      const { sentence } = item;
      const span = { fromMs, toMs: fromMs + this.trials.sentenceMs(sentence) };
      const { source, text } = sentence;
      return [
        source.type === 'option'
          ? { ...span, type: 'option', sheetId, key: source.key }
          : { ...span, type: 'words', text, sheetId },
      ];
    });
    return [...said, { type: 'wait', sheetId, fromMs: atMs, toMs: atMs + waitSeconds * 1000 }];
  }

  /** How long until an option was heard; one that is not read out is known only once all was said. */
  private heardAfterMs(items: readonly PlayItem[], key: Key, wholeMs: number): number {
    const index = items.findIndex(
      (item) => item.type === 'sentence' && item.sentence.source.type === 'option' && item.sentence.source.key === key,
    );
    const item = items[index];
    if (item?.type !== 'sentence') return wholeMs;
    return this.msOf(items.slice(0, index)) + this.trials.sentenceMs(item.sentence);
  }

  private msOf(items: readonly PlayItem[]): number {
    return items.reduce((sum, item) => sum + itemMs(item, this.trials.sentenceMs), 0);
  }
}

/** A key that has no use in a menu, one that begins no extension where there is such. */
function wrongKeyIn(menu: Menu, beginnings: ReadonlySet<string>): Key | undefined {
  const free = keys.filter((key) => menu.options.every((option) => option.key !== key));
  return free.find((key) => !beginnings.has(key)) ?? free[0];
}

function remembering(lengthMs: (sentence: Sentence) => number): (sentence: Sentence) => number {
  const known = new WeakMap<Sentence, number>();
  const byText = new Map<string, number>();
  const find = (sentence: Sentence): number => {
    const is = `${sentence.voice} ${sentence.recorded?.audioId ?? ''} ${sentence.text}`;
    const ms = byText.get(is) ?? lengthMs(sentence);
    byText.set(is, ms);
    return ms;
  };
  return (sentence) => {
    const ms = known.get(sentence) ?? find(sentence);
    known.set(sentence, ms);
    return ms;
  };
}
