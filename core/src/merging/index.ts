export { isSame } from './isSame';
export { keepSame } from './keepSame';
export { merge, orderOf, type Clash, type Merged, type Side } from './merge';
export { groupsBy, itemsBy, membersOf, whole, type Shape } from './shape';
export type { ToldClash } from './told';
