import type { CallState, Phase } from '../call';
import type { Doing, Exchange, Staff } from './state';

/**
 * Everything on the line as if it had happened so much later, or earlier: for a line whose clock on the wall is set. What
 * lasts goes on as long as it would have; nobody rests for an hour longer since summer time ended by hand.
 */
export function laterBy(exchange: Exchange, ms: number): Exchange {
  return {
    ...exchange,
    calls: mapped(exchange.calls, (call) => ({
      ...call,
      state: callLaterBy(call.state, ms),
      sinceMs: call.sinceMs + ms,
    })),
    staff: mapped(exchange.staff, (staff) => staffLaterBy(staff, ms)),
    queues: mapped(exchange.queues, (line) => ({
      ...line,
      waiting: line.waiting.map((each) => ({ ...each, sinceMs: each.sinceMs + ms })),
      notBeforeMs: mapped(line.notBeforeMs, (atMs) => atMs + ms),
    })),
  };
}

function mapped<Key, Value>(map: ReadonlyMap<Key, Value>, change: (value: Value) => Value): ReadonlyMap<Key, Value> {
  return new Map([...map].map(([key, value]) => [key, change(value)]));
}

/** Who never had a call has none later either. */
function staffLaterBy({ doing, lastCallMs, restUntilMs, ...staff }: Staff, ms: number): Staff {
  const moved = (atMs: number): number => (atMs === 0 ? 0 : atMs + ms);
  return { ...staff, doing: doingLaterBy(doing, ms), lastCallMs: moved(lastCallMs), restUntilMs: moved(restUntilMs) };
}

function doingLaterBy(doing: Doing, ms: number): Doing {
  switch (doing.type) {
    case 'rung':
    case 'talking':
    case 'speaking':
      return { ...doing, sinceMs: doing.sinceMs + ms };
    case 'calling':
    case 'nothing':
      return doing;
  }
}

function callLaterBy(state: CallState, ms: number): CallState {
  return { ...state, phase: phaseLaterBy(state.phase, ms) };
}

function phaseLaterBy(phase: Phase, ms: number): Phase {
  switch (phase.type) {
    case 'ringing':
    case 'accepting':
      return { ...phase, untilMs: phase.untilMs === null ? null : phase.untilMs + ms };
    case 'queuing':
    case 'inQueue':
    case 'recording':
      return { ...phase, sinceMs: phase.sinceMs + ms };
    default:
      return phase;
  }
}
