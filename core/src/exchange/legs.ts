import type { CallEvent, RungPhone, Unreached } from '../call';
import type { PersonId } from '../directory';
import type { Key } from '../line';
import type { ExchangeEvent } from './event';
import type { CallId, Doing, Exchange, Leg, LiveCall } from './state';

/** A phone that should ring, or be talked on, now. */
export interface WantedLeg extends Leg {
  /** It rings; it was answered and is asked to press 1; a caller is talked to on it, or on hold meanwhile. */
  readonly does: 'rings' | 'isAsked' | 'talks' | 'holds';
  /** For which call; of a queue's offer the first that waits. Null where it is rung to record a greeting. */
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
      return { type: 'staffDeclines', atMs, personId };
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

function staffLegs({ staff, queues }: Exchange): readonly WantedLeg[] {
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
        return doing.held ? [{ ...doing.held.leg, does: 'holds', callId: doing.held.callId }] : [];
      case 'speaking':
      case 'nothing':
        return [];
    }
  });
}

function outsideLegs({ calls }: Exchange): readonly WantedLeg[] {
  return [...calls.values()].flatMap(({ id, outside, state: { phase } }): WantedLeg[] => {
    if (!outside) return [];
    const isTalking = phase.type === 'connected' || phase.type === 'onHold';
    return [{ ...outside, does: isTalking ? 'talks' : phase.type === 'accepting' ? 'isAsked' : 'rings', callId: id }];
  });
}

/** The phone that somebody of the staff is rung or talks on; null for none, or where they call from their desk. */
export function legOf(doing: Doing): Leg | null {
  if (doing.type === 'rung' || doing.type === 'talking') return doing.leg;
  return doing.type === 'calling' ? (doing.held?.leg ?? null) : null;
}

/** Whether a phone is none on a desk: to reach it takes a line of its own. */
export function isOutside(phone: RungPhone): boolean {
  return phone.type === 'outside' || phone.number !== null;
}
