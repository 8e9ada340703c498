import { itemsBy, merge, membersOf, whole, type Clash, type Merged, type Shape, type Side } from '../merging';
import type { AnsweringRule, Attendant, Fallback, NamedPath } from './attendant';
import { usesOf } from './references';
import type { Option, Sheet } from './sheet';
import { slotKey, slotOfFallback, slotOfRule } from './slot';

const option = itemsBy<Option>(({ key }) => key, membersOf());
const sheet = membersOf({ takes: membersOf(), options: option });
const rule = itemsBy<AnsweringRule>((each) => slotKey(slotOfRule(each)), membersOf());

/** What of an attendant is changed by itself: each part of a sheet, each key, each path as a whole. */
const shape: Shape = membersOf({
  sheets: itemsBy<Sheet>(({ id }) => id, sheet),
  paths: itemsBy<NamedPath>(({ id }) => id, membersOf()),
  answering: membersOf({ rules: rule, otherwise: whole }),
  fallbacks: itemsBy<Fallback>((each) => slotKey(slotOfFallback(each)), membersOf()),
});

/**
 * Puts what was changed here on top of what another window made of the same attendant. A sheet or named path that the
 * one took out while the other led a path to it stays: no path may lead to what is not there.
 */
export function mergeAttendants(
  base: Attendant,
  mine: Attendant,
  theirs: Attendant,
  choose?: (clash: Clash) => Side,
): Merged<Attendant> {
  const { document, clashes } = merge(base, mine, theirs, shape, choose);
  return { document: withLedTo(document, base), clashes };
}

/** With every sheet and named path of before to which some path leads; those may lead to further ones. */
function withLedTo(merged: Attendant, base: Attendant): Attendant {
  const missing = <Item extends Sheet | NamedPath>(now: readonly Item[], before: readonly Item[]): readonly Item[] =>
    before.filter(({ id }) => !now.some((each) => each.id === id) && usesOf(merged, id).length > 0);
  const [sheets, paths] = [missing(merged.sheets, base.sheets), missing(merged.paths, base.paths)];
  if (sheets.length + paths.length === 0) return merged;
  const more = { ...merged, sheets: [...merged.sheets, ...sheets], paths: [...merged.paths, ...paths] };
  return withLedTo(more, base);
}
