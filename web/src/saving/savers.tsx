import { createContext, useContext, useEffect, useState, useSyncExternalStore, type ReactNode } from 'react';
import type { Saver, Saving } from './saver';
import type { UndoKind, UndoSource } from './undoSource';

/** A document that saves itself, and what it is called. */
export interface Held {
  readonly saver: Pick<
    Saver<never>,
    'getSaving' | 'subscribe' | 'revision' | 'saveNow' | 'tryAgain' | 'choose' | 'close'
  >;
  /** Such as "The script of Larkspur Cove". */
  readonly what: () => string;
  /** What was done to it here, to be taken back. */
  readonly history: UndoSource;
}

/** How a document stands that cannot be saved as it is, for those who see it from elsewhere. */
export interface Unsettled {
  readonly place: string;
  readonly what: string;
  readonly saving: Saving;
  readonly choose: Held['saver']['choose'];
}

/** How everything stands that is edited in this window. */
export interface SavingState {
  readonly worst: Saving['type'];
  /** Why something could not be saved that is tried again; null where nothing is. */
  readonly unreachable: string | null;
  /** What waits for somebody, and has no note of its own on screen. */
  readonly unsettled: readonly Unsettled[];
}

/**
 * Every document that is edited in this window, by its address. It stays here when its screen is left: what is not
 * saved yet goes on being tried.
 */
export class Savers {
  private readonly held = new Map<string, Held>();
  /** How often a document is on screen with a note of its own on how it stands. */
  private readonly inPlace = new Map<string, number>();
  private readonly listeners = new Set<() => void>();
  private seen: SavingState = { worst: 'saved', unreachable: null, unsettled: [] };

  /** The one at a place; made when it is asked for first. */
  of<Kind extends Held>(place: string, make: () => Kind): Kind {
    const held = this.held.get(place);
    if (held) return held as Kind;
    const made = make();
    this.held.set(place, made);
    made.saver.subscribe(this.tell);
    this.tell();
    return made;
  }

  /** Which revision is known here of what is at a place; undefined where nothing of it is edited here. */
  revisionAt(place: string): number | undefined {
    return this.held.get(place)?.saver.revision;
  }

  /** Says that a document has a note of its own on screen; the answer takes that back. */
  showInPlace(place: string): () => void {
    const count = (by: number): void => {
      this.inPlace.set(place, (this.inPlace.get(place) ?? 0) + by);
      this.tell();
    };
    count(1);
    return () => count(-1);
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly getSnapshot = (): SavingState => this.seen;

  /** Saves at once whatever waits to be, as when the window is left. */
  readonly saveAll = (): void => {
    for (const { saver } of this.held.values()) {
      if (saver.getSaving().type === 'saving') saver.saveNow().catch(() => undefined);
    }
  };

  /** Takes back the latest change to anything of some kinds, and tells what it was; null where there is none. */
  undo(kinds: readonly UndoKind[]): string | null {
    const sources = this.sourcesOf(kinds).filter(({ lastAt }) => lastAt > 0);
    return sources.sort((one, other) => other.lastAt - one.lastAt)[0]?.undoLast() ?? null;
  }

  /** Does again what was taken back last of some kinds, and tells what it is; null where there is none. */
  redo(kinds: readonly UndoKind[]): string | null {
    const sources = this.sourcesOf(kinds).filter(({ nextAt }) => nextAt > 0);
    // What was undone last was made first of all that was undone.
    return sources.sort((one, other) => one.nextAt - other.nextAt)[0]?.redoNext() ?? null;
  }

  private sourcesOf(kinds: readonly UndoKind[]): UndoSource[] {
    return [...this.held.values()].map(({ history }) => history).filter(({ kind }) => kinds.includes(kind));
  }

  close(): void {
    for (const { saver } of this.held.values()) saver.close();
  }

  readonly tryAgain = (): void => {
    for (const { saver } of this.held.values()) saver.tryAgain();
  };

  private readonly tell = (): void => {
    const all = [...this.held].map(([place, { saver, what }]) => ({ place, saver, what, saving: saver.getSaving() }));
    const unsettled = all
      .filter(({ place, saving }) => isUnsettled(saving) && !this.inPlace.get(place))
      .map(({ place, saver, what, saving }) => ({ place, what: what(), saving, choose: saver.choose.bind(saver) }));
    const unreachable = all.map(({ saving }) => saving).find(({ type }) => type === 'unreachable');
    this.seen = {
      worst: worstOf(all.map(({ saving }) => saving.type)),
      unreachable: unreachable && 'says' in unreachable ? unreachable.says : null,
      unsettled,
    };
    // What is told while React renders, as by a document that is made then, is heard after it.
    queueMicrotask(() => {
      for (const listener of this.listeners) listener();
    });
  };
}

/** Whether somebody has to do something before it can be saved. */
function isUnsettled({ type }: Saving): boolean {
  return type === 'refused' || type === 'clash';
}

const gravity = ['saved', 'saving', 'unreachable', 'refused', 'clash'] as const satisfies readonly Saving['type'][];

function worstOf(types: readonly Saving['type'][]): Saving['type'] {
  return gravity.findLast((type) => types.includes(type)) ?? 'saved';
}

const Context = createContext<Savers | null>(null);

/** What is edited inside saves itself, also at once when the window is left, and again when the network is back. */
export function SaversProvider({ children }: { readonly children: ReactNode }) {
  const [savers] = useState(() => new Savers());
  useEffect(() => {
    window.addEventListener('pagehide', savers.saveAll);
    window.addEventListener('online', savers.tryAgain);
    return () => {
      window.removeEventListener('pagehide', savers.saveAll);
      window.removeEventListener('online', savers.tryAgain);
      savers.close();
    };
  }, [savers]);
  return <Context value={savers}>{children}</Context>;
}

export function useSavers(): Savers {
  const savers = useContext(Context);
  if (!savers) throw new Error('What saves itself needs a SaversProvider around it');
  return savers;
}

export function useSavingState(): SavingState {
  const savers = useSavers();
  return useSyncExternalStore(savers.subscribe, savers.getSnapshot);
}
