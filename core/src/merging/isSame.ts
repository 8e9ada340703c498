/** Whether two pieces of plain JSON say the same, in whatever order their members stand. */
export function isSame(one: unknown, other: unknown): boolean {
  if (one === other) return true;
  if (typeof one !== 'object' || typeof other !== 'object' || one === null || other === null) return false;
  if (Array.isArray(one) !== Array.isArray(other)) return false;
  const [keys, others] = [Object.keys(one), Object.keys(other)];
  return (
    keys.length === others.length &&
    keys.every((key) => isSame((one as Record<string, unknown>)[key], (other as Record<string, unknown>)[key]))
  );
}
