/** A line of a vCard or calendar: its name and parameters, and its value as it stands there (RFC 6350, section 3.3). */
export interface ContentLine {
  readonly name: string;
  readonly parameters: readonly string[];
  readonly value: string;
}

/** The lines of a text, however they end. */
export function linesOf(text: string): readonly string[] {
  const plain = text.startsWith('\uFEFF') ? text.slice(1) : text;
  return plain.replaceAll('\r\n', '\n').replaceAll('\r', '\n').split('\n');
}

/** Whether a text begins with a component, whatever stands before it of spaces and marks. */
export function beginsWith(text: string, component: string): boolean {
  const head = text.startsWith('\uFEFF') ? text.slice(1) : text;
  return (
    head
      .trimStart()
      .slice(0, component.length + 6)
      .toUpperCase() === `BEGIN:${component}`
  );
}

/** Takes a line apart; undefined where it is none, as one that goes on with the line before. Quoted parameters may hold marks. */
export function contentLine(line: string): ContentLine | undefined {
  if (line.startsWith(' ') || line.startsWith('\t')) return undefined;
  const parts: string[] = [];
  let isQuoted = false;
  let from = 0;
  for (let at = 0; at < line.length; at += 1) {
    const mark = line[at];
    if (mark === '"') isQuoted = !isQuoted;
    if (isQuoted || (mark !== ';' && mark !== ':')) continue;
    parts.push(line.slice(from, at));
    from = at + 1;
    if (mark !== ':') continue;
    const [name = '', ...parameters] = parts;
    return { name, parameters, value: line.slice(from) };
  }
  return undefined;
}
