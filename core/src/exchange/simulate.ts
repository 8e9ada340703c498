import type { CallEvent, CallScript, CallState, DirectTo, RungPhone } from '../call';
import type { Key } from '../line';
import type { ExchangeEvent } from './event';
import type { CallId, Exchange } from './state';
import type { ExchangeResult } from './stepExchange';
import { VirtualLine, type StaffAct, type VirtualLineOptions } from './virtualLine';

/** How a caller behaves: keys pressed, words said and the phone put down, each so many ms after the line answered. */
export type CallerAct =
  | { readonly type: 'press'; readonly key: Key; readonly afterMs: number }
  | { readonly type: 'speak'; readonly words: string; readonly afterMs: number }
  | { readonly type: 'hangUp'; readonly afterMs: number };

export interface SimulatedCaller {
  readonly callId: CallId;
  readonly atMs: number;
  readonly callerNumber: string;
  readonly acts: readonly CallerAct[];
  readonly to?: DirectTo;
}

export interface Simulation {
  readonly script: CallScript;
  readonly callers: readonly SimulatedCaller[];
  /** Asked once for each time a phone rings. */
  readonly staff: (phone: RungPhone, atMs: number) => StaffAct;
  /** What an outside phone does that a call is handed over to; as `staff` has it unless said otherwise. */
  readonly handedOver?: VirtualLineOptions['handedOver'];
  /** What a caller does as they hear how the call goes on: asked whenever its phase is another one, acts from then on. */
  readonly reacts?: (callId: CallId, state: CallState, atMs: number) => readonly CallerAct[];
  /** What else happens, such as somebody going away. */
  readonly events?: readonly ExchangeEvent[];
  /** Seen after each step. */
  readonly watch?: (event: ExchangeEvent, result: ExchangeResult) => void;
  readonly mostEvents?: number;
}

/** Runs calls and staff on a clock of their own, with the lengths of what is said estimated. Gives what is left at the end. */
export function simulate(simulation: Simulation): Exchange {
  const { callers, script, staff, handedOver, reacts, events = [], mostEvents = Infinity, watch } = simulation;
  const line = new VirtualLine({ script, staff, ...(handedOver && { handedOver }) });
  for (const { callId, atMs, callerNumber, acts, to } of callers) {
    line.add({ type: 'callArrives', atMs, callId, callerNumber, script, ...(to ? { to } : {}) });
    for (const act of acts) line.add({ type: 'ofCall', callId, event: callerEvent(act, atMs) });
  }
  for (const event of events) line.add(event);
  for (let count = 0; count < mostEvents; count += 1) {
    const happened = line.next();
    if (!happened) break;
    const { event, before, result } = happened;
    if (reacts) letCallersReact(line, before, result.atMs, reacts);
    watch?.(event, result);
  }
  return line.exchange;
}

function letCallersReact(
  line: VirtualLine,
  before: Exchange,
  nowMs: number,
  reacts: NonNullable<Simulation['reacts']>,
): void {
  if (before.calls === line.exchange.calls) return;
  for (const [callId, { state }] of line.exchange.calls) {
    if (state.phase === before.calls.get(callId)?.state.phase) continue;
    for (const act of reacts(callId, state, nowMs))
      line.add({ type: 'ofCall', callId, event: callerEvent(act, nowMs) });
  }
}

function callerEvent(act: CallerAct, startMs: number): CallEvent {
  const atMs = startMs + act.afterMs;
  if (act.type === 'press') return { type: 'keyPressed', atMs, key: act.key };
  return act.type === 'speak' ? { type: 'callerSpoke', atMs, words: act.words } : { type: 'callerHungUp', atMs };
}
