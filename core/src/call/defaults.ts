/** Limits that hold for every call, whatever its attendant says. */
export const callLimits = {
  /** No call lasts longer: two hours. */
  longestCallMs: 2 * 3_600_000,
  /** A caller who is sent from sheet to sheet this often without having pressed a key is in a circle. */
  mostSheetsWithoutKey: 25,
  /** A message shorter than this is a caller who hung up at the beep. */
  shortestMessageMs: 1000,
} as const;

/** What the line itself says. */
export const linePhrases = {
  messageTaken: 'Thank you. Your message has been left. Goodbye.',
  nothingMore: 'Sorry, nobody can take your call now. Goodbye.',
} as const;
