export {
  callId,
  emptyExchange,
  newStaff,
  presences,
  type CallId,
  type Doing,
  type Exchange,
  type LiveCall,
  type Presence,
  type QueueLine,
  type Staff,
} from './state';
export type { ExchangeEvent } from './event';
export type { ExchangeEffect } from './effect';
export { stepExchange, type ExchangeResult } from './stepExchange';
export { runTrial, type Trial, type TrialResult } from './trial';
export { simulate, type CallerAct, type SimulatedCaller, type Simulation } from './simulate';
export { VirtualLine, type Happened, type StaffAct, type VirtualLineOptions } from './virtualLine';
export { isOutside, legEvent, wantedLegs, type LegActs, type WantedLeg } from './legs';
export { laterBy } from './laterBy';
export { boardOf, outsidePhoneOf, type Board, type BoardCall } from './board';
export { deskView, type DeskDoing, type DeskQueue, type DeskView, type SeenCall } from './deskView';
export {
  heardMs,
  voiceFrameBytes,
  type BoardHears,
  type BoardSays,
  type BoardShows,
  type DeskHears,
  type DeskSays,
  type HandsetHears,
  type HandsetSays,
  type HeardItem,
} from './wire';
