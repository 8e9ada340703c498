import type {
  CalendarProblem,
  PeopleTable,
  ReadCalendar,
  ReadSsml,
  SsmlProblem,
  TableChoice,
} from '@locutor/core/formats';
import type { Country } from '@locutor/core/directory';
import type { DayNumber, TimeZone } from '@locutor/core/hours';
import type { VoiceId } from '@locutor/core/line';
import type { Result } from '@locutor/core/result';

/** What is read of files that come from elsewhere, by what it is called: from what, and what comes of it. */
export interface Readings {
  readonly calendar: {
    readonly from: { readonly text: string; readonly zone: TimeZone; readonly today: DayNumber };
    readonly to: Result<ReadCalendar, CalendarProblem>;
  };
  readonly ssml: {
    readonly from: { readonly text: string; readonly voice: VoiceId };
    readonly to: Result<ReadSsml, SsmlProblem>;
  };
  readonly people: {
    readonly from: { readonly text: string; readonly country: Country | undefined; readonly choice: TableChoice };
    readonly to: PeopleTable;
  };
}

export type ReadingName = keyof Readings;
export type ReadingAsked = {
  [Name in ReadingName]: { readonly name: Name; readonly from: Readings[Name]['from'] };
}[ReadingName];
/** What the worker answers: what it has read, or that it failed. */
export type ReadingTold =
  { readonly ok: true; readonly made: unknown } | { readonly ok: false; readonly message: string };

/** Longer than any file of a fair size takes, even on a slow computer. */
const longestMs = 20_000;

const readersWorker = (): Worker => new Worker(new URL('./readers.worker.ts', import.meta.url), { type: 'module' });

/**
 * Reads a file aside from the page, which can be used meanwhile. What takes too long is given up, and so is what `signal` gives up.
 * @throws Error in words when it took too long or failed; DOMException AbortError when it was given up.
 */
export function readAside<Name extends ReadingName>(
  name: Name,
  from: Readings[Name]['from'],
  signal?: AbortSignal,
  start: () => Worker = readersWorker,
): Promise<Readings[Name]['to']> {
  return new Promise((resolve, reject) => {
    if (signal?.aborted) return reject(new DOMException('Given up', 'AbortError'));
    const worker = start();
    const end = (): void => {
      clearTimeout(timer);
      signal?.removeEventListener('abort', giveUp);
      worker.terminate();
    };
    const fail = (error: Error): void => {
      end();
      reject(error);
    };
    const giveUp = (): void => fail(new DOMException('Given up', 'AbortError'));
    const timer = setTimeout(
      () => fail(new Error('This takes too long to read, and was given up. Bring in less at once.')),
      longestMs,
    );
    signal?.addEventListener('abort', giveUp);
    worker.onmessage = ({ data }: MessageEvent<ReadingTold>) => {
      end();
      if (data.ok) resolve(data.made as Readings[Name]['to']);
      else reject(new Error(`This could not be read: ${data.message}`));
    };
    worker.onerror = ({ message }) => fail(new Error(`This could not be read: ${message || 'it was too much'}.`));
    worker.postMessage({ name, from });
  });
}
