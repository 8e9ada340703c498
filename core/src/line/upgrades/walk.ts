export type Document = Record<string, unknown>;

/** What is damaged is left as it is: the check of the newest shape names it. */
export function each(list: unknown, change: (item: Document) => Document): unknown {
  return Array.isArray(list) ? list.map((item: unknown) => (isDocument(item) ? change(item) : item)) : list;
}

export function isDocument(value: unknown): value is Document {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
