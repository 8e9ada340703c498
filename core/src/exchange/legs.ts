import type { CallEvent, Phase, RungPhone, Unreached } from '../call';
import type { PersonId } from '../directory';
import type { Key } from '../line';
import type { ExchangeEvent } from './event';
import { newStaff, type CallId, type Doing, type Exchange, type Leg, type LiveCall } from './state';

/** A phone that should ring, or be talked on, now. */
export interface WantedLeg extends Leg {
  /**
   * It rings; it was answered and is asked to press 1; it is talked on; its caller is on hold while they call somebody
   * else with the same phone; it only hears what is said to a speaker group; or a call is being handed over to it, for
   * which a line that can refer the caller there need not ring it itself.
   */
  readonly does: 'rings' | 'isAsked' | 'talks' | 'holds' | 'hears' | 'takesOver';
  /** For which call; of a queue's offer the first that waits. Null where it is for none. */
  readonly callId: CallId | null;
}

/** What somebody does with a phone that is rung, or what the line finds out about it. */
export type LegActs =
  | { readonly type: 'answered' }
  /** Busy, declined, or not to be reached. */
  | { readonly type: 'unreached'; readonly why: Unreached }
  | { readonly type: 'pressed'; readonly key: Key }
  | { readonly type: 'hungUp' };

/**
 * Which phones should ring, or be talked on, as everything is now: whatever line there is opens those that are wanted
 * and not open, and hangs up those that are open and not wanted. One keeps its id from when it begins to ring to when it
 * is free again.
 */
export function wantedLegs(exchange: Exchange): readonly WantedLeg[] {
  return [...staffLegs(exchange), ...outsideLegs(exchange)];
}

/** What an act on a leg is to the exchange; undefined where it means nothing now. */
export function legEvent(
  exchange: Exchange,
  { phone, callId }: WantedLeg,
  act: LegActs,
  atMs: number,
): ExchangeEvent | undefined {
  if (phone.type === 'person') return ofStaff(phone.personId, act, atMs);
  const call = callId ? exchange.calls.get(callId) : undefined;
  const event = call && ofOutside(call, act, atMs);
  return event && { type: 'ofCall', callId: call.id, event };
}

function ofStaff(personId: PersonId, act: LegActs, atMs: number): ExchangeEvent {
  switch (act.type) {
    case 'answered':
      return { type: 'staffAnswers', atMs, personId };
    case 'unreached':
      return { type: 'staffDeclines', atMs, personId, why: act.why };
    case 'pressed':
      return { type: 'staffPresses', atMs, personId, key: act.key };
    case 'hungUp':
      return { type: 'staffHangsUp', atMs, personId };
  }
}

function ofOutside({ state: { phase } }: LiveCall, act: LegActs, atMs: number): CallEvent | undefined {
  if (act.type === 'pressed') return { type: 'staffPressed', atMs, key: act.key };
  if (phase.type === 'handingOver') {
    const { handOverId } = phase;
    if (act.type === 'answered') return { type: 'handedOver', atMs, handOverId };
    return { type: 'handOverFailed', atMs, handOverId, why: act.type === 'unreached' ? act.why : 'failed' };
  }
  if (act.type === 'hungUp') return { type: 'staffHungUp', atMs };
  if (phase.type !== 'ringing') return undefined;
  const { ringId } = phase;
  if (act.type === 'answered') return { type: 'staffAnswered', atMs, ringId };
  return { type: 'staffBusy', atMs, ringId, why: act.why };
}

/** Who takes a call meanwhile does not hear what is said to a speaker group any more. */
function hears({ staff }: Exchange, { phone }: Leg): boolean {
  return phone.type === 'person' && (staff.get(phone.personId) ?? newStaff).doing.type === 'nothing';
}

function staffLegs(exchange: Exchange): readonly WantedLeg[] {
  const { staff, queues } = exchange;
  return [...staff.values()].flatMap(({ doing }): WantedLeg[] => {
    switch (doing.type) {
      case 'rung': {
        const callId = doing.by.type === 'queue' ? queues.get(doing.by.queueId)?.waiting[0]?.callId : doing.by.callId;
        const isTake = doing.by.type === 'take';
        return [
          { ...doing.leg, does: doing.isAccepting ? 'isAsked' : 'rings', callId: isTake ? null : (callId ?? null) },
        ];
      }
      case 'talking':
        return [{ ...doing.leg, does: 'talks', callId: doing.callId }];
      case 'calling':
        return [
          ...(doing.leg ? [{ ...doing.leg, does: 'talks', callId: doing.callId } as const] : []),
          ...(doing.held ? [{ ...doing.held.leg, does: 'holds', callId: doing.held.callId } as const] : []),
        ];
      case 'speaking':
        return doing.to.filter((leg) => hears(exchange, leg)).map((leg) => ({ ...leg, does: 'hears', callId: null }));
      case 'nothing':
        return [];
    }
  });
}

const doesOutside: Readonly<Partial<Record<Phase['type'], WantedLeg['does']>>> = {
  accepting: 'isAsked',
  connected: 'talks',
  onHold: 'talks',
  handingOver: 'takesOver',
};

function* outsideLegs({ calls }: Exchange): Iterable<WantedLeg> {
  for (const { id, outside, state } of calls.values()) {
    if (outside) yield { ...outside, does: doesOutside[state.phase.type] ?? 'rings', callId: id };
  }
}

/** The phone that somebody of the staff is rung or talks on; null for none, or where they call from their desk. */
export function legOf(doing: Doing): Leg | null {
  if (doing.type === 'rung' || doing.type === 'talking') return doing.leg;
  return doing.type === 'calling' ? (doing.leg ?? doing.held?.leg ?? null) : null;
}

/** Whether a phone is none on a desk: to reach it takes a line of its own. */
export function isOutside(phone: RungPhone): boolean {
  return phone.type === 'outside' || phone.number !== null;
}
