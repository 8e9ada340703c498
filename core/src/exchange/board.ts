import type { CameBy, RungPhone } from '../call';
import type { PersonId, QueueId } from '../directory';
import type { LineId } from '../line';
import { seenCall, type SeenCall } from './deskView';
import { newStaff, type CallId, type Exchange, type LiveCall, type Presence } from './state';

/** A call in progress, as the switchboard shows it. */
export interface BoardCall extends SeenCall {
  readonly lineId: LineId;
  /** What the call does now. */
  readonly phase: LiveCall['state']['phase']['type'];
  readonly queueId: QueueId | null;
  readonly rung: readonly RungPhone[];
  readonly talkingTo: PersonId | null;
  /** An outside phone the caller talks to. */
  readonly outside: RungPhone | null;
}

export interface Board {
  readonly calls: readonly BoardCall[];
  /** How many calls there are in all. */
  readonly callsInAll: number;
  readonly queues: readonly { readonly queueId: QueueId; readonly waitsSinceMs: readonly number[] }[];
  readonly staff: readonly { readonly personId: PersonId; readonly presence: Presence; readonly doing: string }[];
}

/** Everything on the line at a glance; of many calls the first ones. */
export function boardOf(
  exchange: Exchange,
  people: readonly PersonId[],
  cameByOf: (callId: CallId) => CameBy | null,
  most: number,
): Board {
  const shown = [...exchange.calls.values()].slice(0, most);
  const rung = rungByCall(exchange);
  return {
    calls: shown.flatMap((call) => boardCall(exchange, call, rung.get(call.id) ?? [], cameByOf)),
    callsInAll: exchange.calls.size,
    queues: [...exchange.queues].map(([queueId, { waiting }]) => ({
      queueId,
      waitsSinceMs: waiting.map(({ sinceMs }) => sinceMs),
    })),
    staff: people.map((personId) => {
      const { presence, doing } = exchange.staff.get(personId) ?? newStaff;
      return { personId, presence, doing: doing.type };
    }),
  };
}

function boardCall(
  exchange: Exchange,
  call: LiveCall,
  rung: readonly RungPhone[],
  cameByOf: (callId: CallId) => CameBy | null,
): BoardCall[] {
  const seen = seenCall(exchange, call.id, cameByOf);
  if (!seen) return [];
  const { phase, lineId } = call.state;
  const outside = outsidePhoneOf(call);
  const isTalking = phase.type === 'connected' || phase.type === 'onHold';
  const isQueued = phase.type === 'queuing' || phase.type === 'inQueue';
  return [
    {
      ...seen,
      lineId: lineId ?? call.script.lineId,
      phase: phase.type,
      queueId: isQueued ? phase.queueId : null,
      rung: outside && !isTalking ? [...rung, outside] : rung,
      talkingTo: call.talkingTo,
      outside: isTalking ? outside : null,
    },
  ];
}

function rungByCall({ staff, queues }: Exchange): ReadonlyMap<CallId, readonly RungPhone[]> {
  const rung = new Map<CallId, RungPhone[]>();
  for (const { doing } of staff.values()) {
    if (doing.type !== 'rung') continue;
    const { by } = doing;
    const callId = by.type === 'queue' ? queues.get(by.queueId)?.waiting[0]?.callId : by.callId;
    if (callId) rung.set(callId, [...(rung.get(callId) ?? []), doing.leg.phone]);
  }
  return rung;
}

/** The outside phone that a call rings, is accepted on or talks to, and nobody's desk stands for; null where there is none. */
export function outsidePhoneOf({ state: { phase } }: Pick<LiveCall, 'state'>): RungPhone | null {
  switch (phase.type) {
    case 'handingOver':
      return phase.target;
    case 'ringing':
    case 'accepting':
      return phase.ring.target.type === 'outside' ? phase.ring.target : null;
    case 'connected':
    case 'onHold':
      return phase.target.type === 'outside' ? phase.target : null;
    default:
      return null;
  }
}
