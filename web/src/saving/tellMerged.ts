import { isSame } from '@locutor/core/merging';
import { tellDone } from '../parts/notices';
import type { Rebased, Saver } from './saver';

interface Telling<Document> {
  readonly what: () => string;
  /** Where the other window changed it, in words; none where that is not known. */
  readonly where?: (rebased: Rebased<Document>) => readonly string[];
  /** Puts a document in place of what stands here, as a change that can itself be undone. */
  readonly change: (document: Document) => void;
}

/** Says when something was changed here and in another window, and lets the other window's part be taken back. */
export function tellMerged<Document>(saver: Saver<Document>, { what, where, change }: Telling<Document>): void {
  saver.onRebase((rebased) => {
    const { base, mine, merged } = rebased;
    if (isSame(base, mine) || isSame(mine, merged)) return;
    const [first, second, ...more] = where?.(rebased) ?? [];
    const places = [first, second, more.length > 0 ? `${more.length} more` : undefined].filter(Boolean).join('; ');
    tellDone(`${what()} was changed in another window too${places && ` (${places})`}. Both changes are kept.`, {
      undo: () => change(mine),
      does: 'Undo the other change',
    });
  });
}
