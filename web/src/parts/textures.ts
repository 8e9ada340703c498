import type { PeriodId } from '@locutor/core/hours';

/** How periods are told apart: texture and lightness of one hue, beside their names. */
const textures = [
  { bg: 'petrol.emphasized' },
  {
    bg: 'petrol.subtle',
    backgroundImage: 'repeating-linear-gradient(45deg, {colors.petrol.emphasized} 0 2px, transparent 2px 6px)',
  },
  {
    bg: 'petrol.subtle',
    backgroundImage: 'radial-gradient({colors.petrol.fg} 1px, transparent 1.4px)',
    backgroundSize: '6px 6px',
  },
  {
    bg: 'petrol.muted',
    backgroundImage: 'repeating-linear-gradient(0deg, {colors.petrol.fg} 0 1px, transparent 1px 5px)',
  },
] as const;

/** The texture of a period, by its place among the periods; of none, for when no period runs. */
export function textureOf(periods: readonly { readonly id: PeriodId }[], periodId: PeriodId | null) {
  const index = periods.findIndex((period) => period.id === periodId);
  return index < 0 ? { bg: 'transparent' } : (textures[index % textures.length] ?? textures[0]);
}

/** Spans in the order in which they are drawn: a break lies over the time it is a break of. */
export function layered<Span extends { readonly periodId: PeriodId }>(
  periods: readonly { readonly id: PeriodId }[],
  spans: readonly Span[],
): readonly Span[] {
  const place = ({ periodId }: Span): number => periods.findIndex(({ id }) => id === periodId);
  return [...spans].sort((one, other) => place(one) - place(other));
}
