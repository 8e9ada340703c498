import type { Attendant, NamedPath } from '@locutor/core/line';

/** The paths with a name of their own: what steps that follow one have to know of the attendant. */
export const namedPathsOf = ({ paths }: Attendant): readonly NamedPath[] => paths;
