import type { Attendant, Fallback, NamedPath } from '@locutor/core/line';

/** The paths with a name of their own: what steps that follow one have to know of the attendant. */
export const namedPathsOf = ({ paths }: Attendant): readonly NamedPath[] => paths;

/** What follows where groups and queues connect nobody: part of whether a path always ends. */
export const fallbacksOf = ({ fallbacks }: Attendant): readonly Fallback[] => fallbacks;
