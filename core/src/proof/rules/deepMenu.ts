import { findSheet, pathGraph, type Attendant, type PathGraph, type SheetId } from '../../line';
import type { Found, Rule } from '../rule';

const deepestLevel = 3;

/** A menu that callers come to only after three others. */
export const deepMenu: Rule<'deepMenu'> = {
  name: 'deepMenu',
  grade: 'tip',
  consequence: 'waits',
  find: ({ attendant }) =>
    [...levels(pathGraph(attendant), attendant)]
      .filter(([, level]) => level > deepestLevel)
      .map(([sheetId, level]): Found => ({ at: { type: 'sheet', sheetId }, facts: { level } })),
};

/** On which level each menu is met first. Announcements on the way make it no deeper. */
function levels(graph: PathGraph, attendant: Attendant): ReadonlyMap<SheetId, number> {
  let found = known.get(graph);
  if (!found) {
    found = findLevels(attendant);
    known.set(graph, found);
  }
  return found;
}

/** The same as long as no path changes. */
const known = new WeakMap<PathGraph, ReadonlyMap<SheetId, number>>();

function findLevels(attendant: Attendant): ReadonlyMap<SheetId, number> {
  const found = new Map<SheetId, number>();
  const begins = [...attendant.answering.rules.map(({ path }) => path), attendant.answering.otherwise];
  let level = menusOf(attendant, begins);
  for (let number = 1; level.length > 0; number += 1) {
    const fresh = level.filter((id) => !found.has(id));
    for (const id of fresh) found.set(id, number);
    level = fresh.flatMap((id) => {
      const menu = findSheet(attendant, id);
      if (menu?.type !== 'menu') return [];
      return menusOf(attendant, [...menu.options.map(({ path }) => path), menu.silencePath, menu.wrongKeyPath]);
    });
  }
  return found;
}

function menusOf(
  attendant: Attendant,
  paths: readonly Attendant['answering']['otherwise'][],
  seen: ReadonlySet<string> = new Set(),
): readonly SheetId[] {
  return paths.flat().flatMap((step): readonly SheetId[] => {
    if (step.type === 'followPath' && !seen.has(step.pathId)) {
      const steps = attendant.paths.find(({ id }) => id === step.pathId)?.steps ?? [];
      return menusOf(attendant, [steps], new Set([...seen, step.pathId]));
    }
    if (step.type !== 'goTo' || seen.has(step.sheetId)) return [];
    const sheet = findSheet(attendant, step.sheetId);
    if (sheet?.type === 'menu') return [sheet.id];
    return sheet ? menusOf(attendant, [sheet.afterPath], new Set([...seen, step.sheetId])) : [];
  });
}
