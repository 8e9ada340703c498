import type { PersonId } from './ids';

/**
 * Who of a group is on call, turn after turn. A turn ends at each handover; with somebody named twice in a row it lasts for
 * two. As many turns as there are weekdays, with a handover every day, give everybody their own day.
 */
export interface Rota {
  /** In the order of their turns, members of the group; somebody may have several. */
  readonly turns: readonly PersonId[];
  /** The day on which the first turn begins, as in `2026-11-30`. */
  readonly from: string;
  /** The weekdays, 1 for Monday to 7 for Sunday, on which the next takes over; never empty. */
  readonly handoverOn: readonly number[];
  /** The minute of those days at which they do, 0 to 1439. */
  readonly handoverMin: number;
  /** Days on which somebody else is on call, from the time of handover to that of the next day; no day twice. */
  readonly swaps: readonly RotaSwap[];
  /** Whether the others are rung too when whoever is on call does not answer, by the order of their turns. */
  readonly thenOthers: boolean;
}

export interface RotaSwap {
  /** As in `2026-12-24`. */
  readonly date: string;
  readonly personId: PersonId;
}

export const rotaLimits = { turns: 60, swaps: 366 } as const;

/** What a rota begins with: a week each, handed over on Mondays at eight. */
export const rotaDefaults = {
  handoverOn: [1],
  handoverMin: 480,
  swaps: [],
  thenOthers: true,
} as const satisfies Partial<Rota>;

/** Who is named in a rota: in its turns or its swaps. */
export function peopleOfRota({ turns, swaps }: Rota): readonly PersonId[] {
  return [...new Set([...turns, ...swaps.map(({ personId }) => personId)])];
}
