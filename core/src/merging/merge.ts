import { isSame } from './isSame';
import { whole, type Shape } from './shape';

export type Side = 'mine' | 'theirs';

/** One and the same place of a document that two windows changed, each in its own way. */
export interface Clash {
  /** Names of members and keys of items, from the outside in: `sheets`, `sheet:welcome`, `openingWords`. */
  readonly at: readonly string[];
  /** What stood there before both; undefined for nothing. The same for the two others. */
  readonly base: unknown;
  readonly mine: unknown;
  readonly theirs: unknown;
}

export interface Merged<Document> {
  /** What either window changed, and in the places where both did what was chosen. */
  readonly document: Document;
  readonly clashes: readonly Clash[];
}

/** The key under which the order of a list is a place of its own. */
export const orderOf = ' order';

/**
 * Puts what was changed here on top of what another window made of the same document. Where the two changed different
 * things, both are in it; where they changed the same thing to the same, that is; else it is a clash, which `choose`
 * settles. Parts that nobody changed are the very objects that were given.
 *
 * @param base what both began from
 */
export function merge<Document>(
  base: Document,
  mine: Document,
  theirs: Document,
  shape: Shape,
  choose: (clash: Clash) => Side = () => 'theirs',
): Merged<Document> {
  const clashes: Clash[] = [];
  const settle = (clash: Clash): unknown => {
    clashes.push(clash);
    return clash[choose(clash)];
  };
  const document = mergePart({ at: [], base, mine, theirs }, shape, settle) as Document;
  return { document, clashes };
}

type Settle = (clash: Clash) => unknown;

function mergePart(part: Clash, shape: Shape, settle: Settle): unknown {
  const { base, mine, theirs } = part;
  if (isSame(mine, theirs) || isSame(base, mine)) return theirs;
  if (isSame(base, theirs)) return mine;
  if (shape.type === 'members' && areOfOneType(base, mine, theirs)) return mergeMembers(part, shape, settle);
  if (shape.type === 'items' && [base, mine, theirs].every(Array.isArray)) return mergeItems(part, shape, settle);
  if (shape.type === 'groups' && [base, mine, theirs].every(Array.isArray)) return mergeGroups(part, shape, settle);
  return settle(part);
}

function mergeMembers(part: Clash, { of }: Extract<Shape, { type: 'members' }>, settle: Settle): unknown {
  const [base, mine, theirs] = [part.base, part.mine, part.theirs] as Record<string, unknown>[];
  const names = new Set([...Object.keys(theirs ?? {}), ...Object.keys(mine ?? {})]);
  const members = [...names].map((name) => {
    const member = { at: [...part.at, name], base: base?.[name], mine: mine?.[name], theirs: theirs?.[name] };
    return [name, mergePart(member, of[name] ?? whole, settle)] as const;
  });
  return Object.fromEntries(members.filter(([, value]) => value !== undefined));
}

type Items = ReadonlyMap<string, unknown>;

function mergeItems(part: Clash, { key, of }: Extract<Shape, { type: 'items' }>, settle: Settle): unknown {
  const byKey = (list: unknown): Items => new Map((list as readonly never[]).map((item) => [key(item), item]));
  return [...mergeByKey(part, byKey, of, settle).values()];
}

function mergeGroups(part: Clash, { key }: Extract<Shape, { type: 'groups' }>, settle: Settle): unknown {
  const byKey = (list: unknown): Items => {
    const groups = new Map<string, unknown[]>();
    for (const item of list as readonly never[]) {
      const group = groups.get(key(item));
      if (group) group.push(item);
      else groups.set(key(item), [item]);
    }
    return groups;
  };
  return [...mergeByKey(part, byKey, whole, settle).values()].flat();
}

/** Each item is merged with those of its key; one that a side took out, untouched by the other, is out. */
function mergeByKey(part: Clash, byKey: (list: unknown) => Items, of: Shape, settle: Settle): Items {
  const [base, mine, theirs] = [byKey(part.base), byKey(part.mine), byKey(part.theirs)];
  const merged = new Map<string, unknown>();
  for (const key of new Set([...theirs.keys(), ...mine.keys()])) {
    const item = { at: [...part.at, key], base: base.get(key), mine: mine.get(key), theirs: theirs.get(key) };
    merged.set(key, mergePart(item, of, settle));
  }
  const order = mergeOrder(part.at, [...base.keys()], [...mine.keys()], [...theirs.keys()], settle);
  const there = order.filter((key) => merged.get(key) !== undefined);
  return new Map(there.map((key) => [key, merged.get(key)]));
}

type Keys = readonly string[];

/** The order of the side that changed it; what only the other side added comes after what it came after there. */
function mergeOrder(at: readonly string[], base: Keys, mine: Keys, theirs: Keys, settle: Settle): Keys {
  const everywhere = base.filter((key) => mine.includes(key) && theirs.includes(key));
  const shared = (keys: Keys): Keys => keys.filter((key) => everywhere.includes(key));
  const orders = { base: everywhere, mine: shared(mine), theirs: shared(theirs) };
  const order = mergePart({ at: [...at, orderOf], ...orders }, whole, settle);
  return isSame(order, orders.theirs) ? withOthers(theirs, mine) : withOthers(mine, theirs);
}

function withOthers(order: Keys, others: Keys): Keys {
  const all = [...order];
  others.forEach((key, index) => {
    if (all.includes(key)) return;
    const before = others.slice(0, index).findLast((each) => all.includes(each));
    all.splice(before === undefined ? 0 : all.indexOf(before) + 1, 0, key);
  });
  return all;
}

/** Objects, and of the same member of a union where they are of one that `type` tells apart. */
function areOfOneType(...values: readonly unknown[]): boolean {
  const areObjects = values.every((value) => typeof value === 'object' && value !== null && !Array.isArray(value));
  return areObjects && new Set((values as readonly { type?: unknown }[]).map(({ type }) => type)).size === 1;
}
