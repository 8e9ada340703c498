import {
  doEdit,
  readAttendant,
  rebaseHistory,
  startHistory,
  undo,
  type Attendant,
  type Edit,
  type History,
} from '@locutor/core/line';
import { isSame } from '@locutor/core/merging';

/** What was done to a draft, as it is kept while a page is loaded again: where it began, and the edits since. */
interface Remembered {
  readonly start: Attendant;
  readonly done: readonly Edit[];
  /** Those that were undone, the next one to be done again last. */
  readonly undone: readonly Edit[];
  /** What it had come to. */
  readonly present: Attendant;
}

/** So much JSON is kept; beyond that the oldest edits are let go. */
const mostCharacters = 1_500_000;

/** Keeps the history of a draft for this tab (W3C Web Storage, section 10.2), so that undo survives a reload. */
export function rememberHistory(place: string, history: History, storage: Storage = sessionStorage): void {
  const { done, undone, present } = history;
  for (let from = 0; from <= done.length; from += Math.max(1, Math.ceil((done.length - from) / 2))) {
    const remembered: Remembered = {
      start: done[from]?.before ?? present,
      done: done.slice(from).map(({ edit }) => edit),
      undone: undone.map(({ edit }) => edit),
      present,
    };
    const text = JSON.stringify(remembered);
    if (text.length > mostCharacters) continue;
    try {
      storage.setItem(keyOf(place), text);
    } catch {
      storage.removeItem(keyOf(place));
    }
    return;
  }
  storage.removeItem(keyOf(place));
}

/**
 * The history of a draft from before the page was loaded again; one without any changes where there is none, or where
 * it no longer leads to what it led to. What another window changed meanwhile is put under it.
 */
export function recallHistory(place: string, present: Attendant, storage: Storage = sessionStorage): History {
  const text = storage.getItem(keyOf(place));
  if (text === null) return startHistory(present);
  try {
    const history = replay(JSON.parse(text) as Remembered);
    return isSame(history.present, present)
      ? { ...history, present }
      : rebaseHistory(history, history.present, present, present);
  } catch {
    storage.removeItem(keyOf(place));
    return startHistory(present);
  }
}

/** @throws when it cannot be done again, or comes to something else than it did. */
function replay({ start, done, undone, present }: Remembered): History {
  const first = readAttendant(start);
  if (!first.ok) throw new Error('The attendant it began with cannot be read');
  const again = [...done, ...undone.toReversed()].reduce(doEdit, startHistory(first.value));
  const history = undone.reduce(undo, again);
  if (!isSame(history.present, present)) throw new Error('The edits come to something else');
  return history;
}

const keyOf = (place: string): string => `locutor.history.${place}`;
