import type { Result } from '@locutor/core/result';
import { onLeaving } from './leaving';
import type { SaverDoors, Unsaved } from './saver';
import { windows as openWindows, type Windows } from './windows';

const begins = 'locutor.unsaved.';
/** Where the last one stays that could not be read, so that nothing that was typed is thrown away. */
const unreadable = 'locutor.unreadable';

/** Reads a document of some kind from JSON already parsed, whatever release wrote it. */
export type ReadDocument<Document> = (raw: unknown) => Result<Document, unknown>;

/**
 * What is not saved yet, kept in this browser (W3C Web Storage), so that closing the window loses nothing. Each window
 * keeps its own, and takes up what closed ones left.
 */
export class Backup<Document> {
  private readonly key: string;
  /** Whose was taken up, and is not saved yet. */
  private taken: string | null = null;

  constructor(
    private readonly place: string,
    private readonly read: ReadDocument<Document>,
    private readonly storage: Storage = localStorage,
    private readonly windows: Windows = openWindows,
  ) {
    this.key = keyOf(place, windows.own);
  }

  /** What a saver needs to keep here what it has not saved. */
  get doors(): Pick<SaverDoors<Document>, 'backUp' | 'leaving'> {
    return { backUp: this.keep, leaving: onLeaving };
  }

  /** Keeps it; null forgets what was kept. A browser without room or that keeps nothing is no reason to stop. */
  readonly keep = (unsaved: Unsaved<Document> | null): void => {
    try {
      if (unsaved) this.storage.setItem(this.key, JSON.stringify(unsaved));
      else this.storage.removeItem(this.key);
    } catch {
      this.storage.removeItem(this.key);
      return;
    }
    // What was taken up is in what is kept by now, or is saved.
    if (this.taken !== null) this.storage.removeItem(this.taken);
    this.taken = null;
  };

  /**
   * What this window kept, else what a closed one did; what is taken stays until something is kept in its place.
   * Null for nothing. `'unreadable'` when it cannot be read, and was put aside.
   */
  take(): Unsaved<Document> | null | 'unreadable' {
    const key = this.left().find((each) => each !== this.taken);
    const text = key === undefined ? null : this.storage.getItem(key);
    if (key === undefined || text === null) return null;
    const unsaved = this.parse(text);
    if (unsaved) {
      if (key !== this.key) this.taken = key;
      return unsaved;
    }
    this.storage.setItem(unreadable, text);
    this.storage.removeItem(key);
    return 'unreadable';
  }

  private left(): readonly string[] {
    const closed = windowsIn(this.storage).filter((id) => this.windows.isClosed(id));
    const keys = [this.windows.own, ...closed].map((id) => keyOf(this.place, id));
    return keys.filter((key) => this.storage.getItem(key) !== null);
  }

  private parse(text: string): Unsaved<Document> | null {
    const parsed = readFields<Raw>(jsonOf(text));
    const base = parsed.ok ? readFields<Raw>(parsed.value.base) : parsed;
    if (!parsed.ok || !base.ok || typeof base.value.revision !== 'number') return null;
    const [before, now] = [this.read(base.value.document), this.read(parsed.value.document)];
    if (!before.ok || !now.ok) return null;
    const { sent } = parsed.value;
    const readable = (Array.isArray(sent) ? sent : []).map(this.read).flatMap((each) => (each.ok ? [each.value] : []));
    return { base: { revision: base.value.revision, document: before.value }, document: now.value, sent: readable };
  }
}

/** The windows that have something in the browser which is not saved. */
export function windowsIn(storage: Storage = localStorage): readonly string[] {
  const keys = Array.from({ length: storage.length }, (_, index) => storage.key(index) ?? '');
  const ids = keys.flatMap((key) => (key.startsWith(begins) ? [key.slice(begins.length).split(' ')[0] ?? ''] : []));
  return [...new Set(ids)];
}

function keyOf(place: string, windowId: string): string {
  return `${begins}${windowId} ${place}`;
}

interface Raw {
  readonly base?: unknown;
  readonly revision?: unknown;
  readonly document?: unknown;
  readonly sent?: unknown;
}

function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

/** A document that is a JSON object, of which no more needs to be known here: the server checks its fields. */
export function readFields<Document extends object>(raw: unknown): Result<Document, null> {
  const isObject = typeof raw === 'object' && raw !== null && !Array.isArray(raw);
  return isObject ? { ok: true, value: raw as Document } : { ok: false, problems: [null] };
}
