export { expectedSentences } from './expected';
export { exactGrammar, slotGrammar, type Grammar } from './grammars';
export { tokensOf, type Token } from './tokens';
export type { HeardWord } from './heardWord';
export { verdictOf, type Hearing, type Verdict } from './verdict';
export { answered } from './answered';
