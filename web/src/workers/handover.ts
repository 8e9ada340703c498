/**
 * What one thread hands to another of a thing that it handed over before: only what became another thing since. Parts that
 * are the very same here are the very same there, too, so that what was reckoned for them is still known.
 */
export type Handover =
  /** It is what it was. */
  | { readonly type: 'same' }
  | { readonly type: 'whole'; readonly value: unknown }
  | { readonly type: 'fields'; readonly fields: Readonly<Record<string, Handover>> }
  /** Of each one of a list, where it stood before, else what it is. */
  | { readonly type: 'list'; readonly list: readonly (number | Handover)[] };

/** Compares by identity: whoever changes a thing makes a new one, and leaves the parts that stay. */
export function handOver(before: unknown, now: unknown): Handover {
  if (Object.is(before, now)) return { type: 'same' };
  if (Array.isArray(before) && Array.isArray(now)) return { type: 'list', list: listed(before, now) };
  if (!isPlain(before) || !isPlain(now)) return { type: 'whole', value: now };
  const fields = Object.entries(now).map(([name, value]) => [name, handOver(before[name], value)] as const);
  return { type: 'fields', fields: Object.fromEntries(fields) };
}

/** What was handed over, put together from what was there before. */
export function takeOver(before: unknown, handed: Handover): unknown {
  switch (handed.type) {
    case 'same':
      return before;
    case 'whole':
      return handed.value;
    case 'list': {
      const was = before as readonly unknown[];
      return handed.list.map((each, at) => (typeof each === 'number' ? was[each] : takeOver(was[at], each)));
    }
    case 'fields': {
      const was = before as Readonly<Record<string, unknown>>;
      const fields = Object.entries(handed.fields).map(([name, each]) => [name, takeOver(was[name], each)] as const);
      return Object.fromEntries(fields);
    }
  }
}

function listed(before: readonly unknown[], now: readonly unknown[]): readonly (number | Handover)[] {
  const stood = new Map(before.map((each, at) => [each, at]));
  return now.map((each, at) => stood.get(each) ?? handOver(before[at], each));
}

function isPlain(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === 'object' && value !== null && Object.getPrototypeOf(value) === Object.prototype;
}
