import type { KeptLine } from '../api/resources';

/** The address before all addresses of a line; the first line, which most have only, has none. */
export function baseOf(line: KeptLine, lines: readonly KeptLine[]): string {
  return line.id === lines[0]?.id ? '' : `/line/${line.id}`;
}

/** Which line an address is of, and what stands before the rest of it. */
export function lineAt(
  lines: readonly KeptLine[],
  pathname: string,
): { readonly line: KeptLine | undefined; readonly basename: string } {
  const [, id] = /^\/line\/([^/]+)/.exec(decoded(pathname)) ?? [];
  const line = lines.find((each) => each.id === id) ?? lines[0];
  return { line, basename: line && line.id === id && line !== lines[0] ? `/line/${line.id}` : '/' };
}

/** An address with its signs decoded; one that is damaged stays as it is. */
function decoded(pathname: string): string {
  try {
    return decodeURIComponent(pathname);
  } catch {
    return pathname;
  }
}
