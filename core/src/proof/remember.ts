const mostRemembered = 3;

/**
 * A function that remembers its last results by the very things it was given: what did not change is not reckoned
 * again. Only for pure functions of things that are never changed in place.
 */
export function remember<Given extends readonly unknown[], Result>(
  reckon: (...given: Given) => Result,
): (...given: Given) => Result {
  const known: { readonly given: Given; readonly result: Result }[] = [];
  return (...given) => {
    const before = known.find((each) => each.given.every((value, index) => value === given[index]));
    if (before) return before.result;
    const result = reckon(...given);
    known.unshift({ given, result });
    known.length = Math.min(known.length, mostRemembered);
    return result;
  };
}

/** The same for a thing on which the result hangs first of all, such as one sheet of many; each remembers its last. */
export function rememberBy<First extends object, Given extends readonly unknown[], Result>(
  reckon: (first: First, ...given: Given) => Result,
): (first: First, ...given: Given) => Result {
  const known = new WeakMap<First, { readonly given: Given; readonly result: Result }>();
  return (first, ...given) => {
    const before = known.get(first);
    if (before?.given.every((value, index) => value === given[index])) return before.result;
    const result = reckon(first, ...given);
    known.set(first, { given, result });
    return result;
  };
}
