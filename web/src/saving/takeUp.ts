import { isSame } from '@locutor/core/merging';
import { tellDone, tellProblem } from '../parts/notices';
import type { Backup } from './backups';
import type { Merging, Saver, Unsaved } from './saver';

/** What was not saved when the window was closed; null for nothing. What cannot be read is said, and put aside. */
export function takeUp<Document>(backup: Backup<Document>): Unsaved<Document> | null {
  const unsaved = backup.take();
  if (unsaved !== 'unreadable') return unsaved;
  // Not while React renders, which is when a document is opened.
  queueMicrotask(() => tellProblem(unreadableWords));
  return null;
}

const unreadableWords =
  'Something that was not saved last time cannot be read any more, and is put aside in this browser. You see what the server has.';

interface Rest<Document> extends Pick<Merging<Document>, 'merge'> {
  readonly what: () => string;
  /** Puts a document in place of what stands here, as a change that can be undone. */
  readonly change: (document: Document) => void;
}

/** Puts in what further windows kept when they were closed, one after the other, each once all before it is saved. */
export function takeUpRest<Document>(
  saver: Saver<Document>,
  backup: Backup<Document>,
  { merge, what, change }: Rest<Document>,
): void {
  const next = (): void => {
    if (saver.getSaving().type !== 'saved') return;
    const left = takeUp(backup);
    if (!left) return;
    const before = saver.getPresent();
    const { document } = merge(left.base.document, left.document, before, () => 'mine');
    if (isSame(document, before)) return backup.keep(null);
    change(document);
    tellDone(`${what()}: what was typed in a window that was closed before it was saved is put in now.`, {
      undo: () => change(before),
    });
  };
  // Not within the saver's own telling, nor while React renders.
  const soon = (): void => queueMicrotask(next);
  saver.subscribe(soon);
  soon();
}
