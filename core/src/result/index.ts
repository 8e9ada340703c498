/** What went right or, as data, what was wrong: for failures that are to be expected. */
export type Result<Value, Problem> =
  { readonly ok: true; readonly value: Value } | { readonly ok: false; readonly problems: readonly Problem[] };

export const right = <Value>(value: Value): { readonly ok: true; readonly value: Value } => ({ ok: true, value });

export const wrong = <Problem>(
  ...problems: readonly Problem[]
): { readonly ok: false; readonly problems: readonly Problem[] } => ({ ok: false, problems });

/** Ends a switch over a closed union: a new member that is not handled fails to compile here. */
export function unreachable(value: never): never {
  throw new Error(`Not handled: ${JSON.stringify(value)}`);
}
