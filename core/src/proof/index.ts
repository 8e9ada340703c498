export { faultsIn, proof, type Finding } from './proof';
export type { FindingPlace, Grade, ProofSubject } from './rule';
export type { RuleName } from './rules';
export { adviseOn, describeFinding } from './words/en';
