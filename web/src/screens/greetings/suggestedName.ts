/** Names that were given by nobody yet. */
const unnamed = /^(new greeting( \d+)?|)$/i;

/** A name for a greeting from where it is used; undefined where it has a name of its own, or is used nowhere. */
export function suggestedName(name: string, uses: readonly string[]): string | undefined {
  const [first] = uses;
  if (!first || !unnamed.test(name.trim())) return undefined;
  const box = /^the (?:greeting of the )?box (.+)$/.exec(first)?.[1];
  if (box) return `${box} voicemail`;
  const queue = /^the queue (.+)$/.exec(first)?.[1];
  if (queue) return `${queue}, while waiting`;
  return `${first.charAt(0).toUpperCase()}${first.slice(1)}`.slice(0, 80);
}
