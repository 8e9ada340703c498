/** A stretch of days as people say it: "three months", "six weeks". */
export function sayDays(days: number): string {
  const months = Math.round(days / 30.4);
  if (days >= 59) return `${small[months] ?? months} months`;
  const weeks = Math.floor(days / 7);
  return `${small[weeks] ?? weeks} weeks`;
}

const small = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight'] as const;
