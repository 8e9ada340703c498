interface Stops {
  readonly faults: number;
  /** Cautions, and rehearsals that do not hold, which nobody has said yes to. */
  readonly cautions: number;
  readonly broken: number;
}

/** What stands in the way of going on air, in a sentence; null for nothing. */
export function stopsInWords({ faults, cautions, broken }: Stops): string | null {
  if (faults > 0) return 'Mend the faults first; nothing is lost meanwhile.';
  if (cautions + broken === 0) return null;
  const what = [
    ...(cautions > 0 ? [cautions === 1 ? 'one caution' : `${cautions} cautions`] : []),
    ...(broken > 0 ? [broken === 1 ? 'one rehearsal' : `${broken} rehearsals`] : []),
  ];
  return `Say yes to ${what.join(' and ')} first, or mend them.`;
}
