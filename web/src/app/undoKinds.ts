import type { UndoKind } from '../saving/undoSource';

/** What undoing from the keyboard means on a screen, by how its address begins: what can be changed there. */
const kindsAt: readonly (readonly [string, readonly UndoKind[]])[] = [
  ['/script', ['draft']],
  ['/time-map', ['draft']],
  ['/starters', ['draft']],
  ['/proof', ['draft']],
  ['/rehearsals', ['draft']],
  ['/on-air', ['draft']],
  ['/versions', ['draft']],
  ['/hours', ['hours', 'draft']],
  ['/greetings', ['rows', 'draft']],
  ['/directory', ['rows', 'draft']],
  ['/lines', ['rows']],
  ['/settings', ['rows']],
];

export function undoKindsAt(pathname: string): readonly UndoKind[] {
  return kindsAt.find(([begins]) => pathname.startsWith(begins))?.[1] ?? [];
}
