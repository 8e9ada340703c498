export { aloneLimits } from './alone';
export { faultsIn, openIn, proof, unansweredIn, type Accepted, type Finding } from './proof';
export {
  consequences,
  grades,
  type Consequence,
  type FindingPlace,
  type Grade,
  type ProofLine,
  type ProofSubject,
  type ProofTake,
  type RowFix,
} from './rule';
export { rules, type RuleName } from './rules';
export { withSpecialWords } from './rowFix';
export {
  adviseOn,
  consequenceWords,
  describeFinding,
  describePlace,
  describeRowFix,
  gradeWords,
  whyItMatters,
} from './words/en';
export { newlyFound } from './newlyFound';
