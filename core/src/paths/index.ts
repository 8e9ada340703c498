export { findWays, type FoundWays, type WaysOptions } from './findWays';
export { layOut, type Block, type LayoutOptions, type Row, type TimeMapLayout } from './layout';
export { summaryOf, type WaysSummary } from './summary';
export type { RingTarget, SpanMs, Stretch, Turn, Way, WayEnd } from './way';
export { describeEnd, describeStretch, describeTurn, describeTurns } from './words/en';
