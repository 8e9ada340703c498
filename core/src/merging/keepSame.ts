/**
 * What was read again, with every part that is as it was being the very same thing as before: whoever remembers what they
 * reckoned by the things they were given has it still, though a worker gets copies.
 */
export function keepSame<Of>(before: unknown, now: Of): Of {
  if (Object.is(before, now)) return now;
  if (typeof before !== 'object' || typeof now !== 'object' || before === null || now === null) return now;
  if (Array.isArray(before) !== Array.isArray(now)) return now;
  return Array.isArray(now) ? (keepList(before as unknown[], now) as Of) : keepThing(before, now);
}

function keepList(before: readonly unknown[], now: readonly unknown[]): readonly unknown[] {
  // A row that was added or taken out moves the others: each is compared with the one that has its id.
  const byId = new Map(before.flatMap((each) => (idOf(each) === undefined ? [] : [[idOf(each), each] as const])));
  const kept = now.map((each, at) => keepSame(byId.get(idOf(each)) ?? before[at], each));
  return kept.length === before.length && kept.every((each, at) => each === before[at]) ? before : kept;
}

function keepThing<Of extends object>(before: object, now: Of): Of {
  const was = before as Readonly<Record<string, unknown>>;
  const names = Object.keys(now) as (keyof Of & string)[];
  let isSame = names.length === Object.keys(before).length;
  const kept = { ...now };
  for (const name of names) {
    kept[name] = keepSame(was[name], now[name]);
    isSame &&= name in was && kept[name] === was[name];
  }
  return isSame ? (before as Of) : kept;
}

function idOf(thing: unknown): unknown {
  return typeof thing === 'object' && thing !== null && 'id' in thing ? thing.id : undefined;
}
