/**
 * What of a document is changed by itself, and so may be merged with what another window changed:
 * - `whole`: changed as one, such as the words of a greeting, or the steps of a path;
 * - `members`: an object, each of whose members is changed by itself; those not named are whole;
 * - `items`: a list of things that are told apart by a text, in an order that can be changed as well;
 * - `groups`: a list in which those that share a text are changed as one, such as the open times of a day.
 */
export type Shape =
  | { readonly type: 'whole' }
  | { readonly type: 'members'; readonly of: Readonly<Record<string, Shape>> }
  | { readonly type: 'items'; readonly key: (item: never) => string; readonly of: Shape }
  | { readonly type: 'groups'; readonly key: (item: never) => string };

export const whole: Shape = { type: 'whole' };

export function membersOf(of: Readonly<Record<string, Shape>> = {}): Shape {
  return { type: 'members', of };
}

/** A list whose items are told apart by `key`, which no two of them may share. */
export function itemsBy<Item>(key: (item: Item) => string, of: Shape = whole): Shape {
  return { type: 'items', key, of };
}

export function groupsBy<Item>(key: (item: Item) => string): Shape {
  return { type: 'groups', key };
}
