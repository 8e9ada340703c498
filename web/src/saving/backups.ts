import type { Result } from '@locutor/core/result';
import type { Unsaved } from './saver';

const begins = 'locutor.unsaved.';
/** Where the last one stays that could not be read, so that nothing that was typed is thrown away. */
const unreadable = 'locutor.unreadable';

/** Reads a document of some kind from JSON already parsed, whatever release wrote it. */
export type ReadDocument<Document> = (raw: unknown) => Result<Document, unknown>;

/** What is not saved yet, kept in this browser (W3C Web Storage), so that closing the window loses nothing. */
export class Backup<Document> {
  private readonly key: string;

  constructor(
    place: string,
    private readonly read: ReadDocument<Document>,
    private readonly storage: Storage = localStorage,
  ) {
    this.key = `${begins}${place}`;
  }

  /** Keeps it; null forgets what was kept. A browser without room or that keeps nothing is no reason to stop. */
  readonly keep = (unsaved: Unsaved<Document> | null): void => {
    try {
      if (unsaved) this.storage.setItem(this.key, JSON.stringify(unsaved));
      else this.storage.removeItem(this.key);
    } catch {
      this.storage.removeItem(this.key);
    }
  };

  /** What was kept; null for nothing. `'unreadable'` when it cannot be read, and was put aside. */
  take(): Unsaved<Document> | null | 'unreadable' {
    const text = this.storage.getItem(this.key);
    if (text === null) return null;
    const unsaved = this.parse(text);
    if (unsaved) return unsaved;
    this.storage.setItem(unreadable, text);
    this.storage.removeItem(this.key);
    return 'unreadable';
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
