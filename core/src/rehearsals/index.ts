export { rehearsalId, type RehearsalId } from './ids';
export {
  rehearsalLimits,
  sceneEnds,
  sceneStaffDoes,
  type Expectation,
  type Reached,
  type Rehearsal,
  type Scene,
  type SceneAct,
  type SceneEnd,
  type SceneStaffDoes,
  type TracedEntry,
} from './rehearsal';
export { readExpectations, readScene, type NotARehearsal } from './readRehearsal';
export { brokenKey, isBroken, msToSomebody, rehearse, type Rehearsed } from './rehearse';
export { partingOf, traceOf } from './trace';
export { starterSet, type NewRehearsal } from './starterSet';
export { expectationsOfCall, sceneOfCall } from './fromCall';
export { describeAct, describeCaller, describeExpectation, sceneEndWords, sceneStaffWords } from './words/en';
