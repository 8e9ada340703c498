import { isSame } from '../merging';
import type { Attendant } from './attendant';
import type { Sheet } from './sheet';

/** What became of a part of the attendant between two versions of it. */
export type Difference =
  | { readonly type: 'added' | 'removed' | 'changed'; readonly sheet: Sheet }
  | { readonly type: 'answering' }
  | { readonly type: 'namedPath'; readonly how: 'added' | 'removed' | 'changed'; readonly name: string }
  | { readonly type: 'voice' };

/** What is not the same in two attendants, sheet by sheet. */
export function differences(before: Attendant, after: Attendant): readonly Difference[] {
  const inSheets = after.sheets.flatMap((sheet): Difference[] => {
    const earlier = before.sheets.find((each) => each.id === sheet.id);
    if (!earlier) return [{ type: 'added', sheet }];
    return isSame(earlier, sheet) ? [] : [{ type: 'changed', sheet }];
  });
  const removed = before.sheets
    .filter((sheet) => !after.sheets.some((each) => each.id === sheet.id))
    .map((sheet): Difference => ({ type: 'removed', sheet }));
  return [
    ...(isSame(before.answering, after.answering) ? [] : [{ type: 'answering' } as const]),
    ...(before.voice === after.voice ? [] : [{ type: 'voice' } as const]),
    ...inSheets,
    ...removed,
    ...inNamedPaths(before, after),
  ];
}

function inNamedPaths(before: Attendant, after: Attendant): Difference[] {
  const gone = before.paths.filter(({ id }) => !after.paths.some((path) => path.id === id));
  return [
    ...after.paths.flatMap((path): Difference[] => {
      const earlier = before.paths.find(({ id }) => id === path.id);
      if (earlier && isSame(earlier, path)) return [];
      return [{ type: 'namedPath', how: earlier ? 'changed' : 'added', name: path.name }];
    }),
    ...gone.map(({ name }): Difference => ({ type: 'namedPath', how: 'removed', name })),
  ];
}
