export { findWays, type FoundWays, type WaysOptions } from './findWays';
export { staffDoes, type StaffDoes } from './leg';
export { comparePaths, everyPath, type EveryPath, type FoundPath, type PathDifference } from './everyPath';
export { explorer, type Explored, type ExploredMenu, type Explorer, type Reach } from './explore';
export type { Leg } from './leg';
export { momentKinds, type MomentKind } from './momentKinds';
export { writePathsCsv } from './pathsCsv';
export { layOut, type Block, type LayoutOptions, type Row, type TimeMapLayout } from './layout';
export { summaryOf, type WaysSummary } from './summary';
export { placeOfTurn } from './way';
export type { RingTarget, SpanMs, Stretch, Turn, Way, WayEnd } from './way';
export {
  describeChoices,
  describeEnd,
  describeMoment,
  describeStretch,
  describeTurn,
  describeTurns,
  describeWholeEnd,
  differenceWords,
  staffWords,
} from './words/en';
export { wayShares } from './wayShares';
