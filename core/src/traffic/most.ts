/** Keeps the few that have the most of something, the most first; of several alike those that came first. */
export class Most<Of> {
  private readonly kept: { readonly of: Of; readonly much: number }[] = [];

  /** @param few how many are kept */
  constructor(private readonly few: number) {}

  add(much: number, of: () => Of): void {
    const { kept } = this;
    if (kept.length === this.few && much <= (kept.at(-1)?.much ?? 0)) return;
    kept.push({ of: of(), much });
    kept.sort((one, other) => other.much - one.much);
    if (kept.length > this.few) kept.pop();
  }

  all(): readonly Of[] {
    return this.kept.map(({ of }) => of);
  }
}
