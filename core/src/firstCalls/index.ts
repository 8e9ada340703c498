export { firstCallStates, firstCalls, type FirstCall, type FirstCallState } from './firstCalls';
