/** Limits that hold for every call, whatever its attendant says. */
export const callLimits = {
  /** No call lasts longer: two hours. */
  longestCallMs: 2 * 3_600_000,
  /** A caller who is sent from sheet to sheet, line to line or path to path this often without a key is in a circle. */
  mostTurnsWithoutKey: 25,
  /** A message shorter than this is a caller who hung up at the beep. */
  shortestMessageMs: 1000,
  /** How many menus "back" can go back through. */
  mostMenusBack: 50,
  /** How long a greeting spoken into a desk phone can be. */
  longestTakeMs: 300_000,
  /** How long they have to say what becomes of it. */
  settleTakeWithinMs: 8000,
  /** How long the one who answers an outside phone has to press 1. */
  acceptWithinMs: 15_000,
  /** How long an outside phone rings that a call is handed over to; then it has not been taken. */
  handOverWithinMs: 60_000,
  /** How long a caller who is asked for a name or an extension has to begin. */
  firstDigitWithinMs: 6000,
  /** How long they have for each further digit. */
  nextDigitWithinMs: 3000,
  /** How often they are asked. */
  mostAsks: 3,
  /** Hold music goes round after this long. */
  musicMs: 30_000,
  longestPin: 8,
  /** How many matches are read out at a time, on keys 1 to 8; 9 is for more. */
  choicesAtATime: 8,
} as const;
