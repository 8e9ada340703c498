import { tellProblem } from '../parts/notices';
import type { Backup } from './backups';
import type { Unsaved } from './saver';

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
