import {
  itemMs,
  type CallEffect,
  type CallEvent,
  type CallScript,
  type OutsideTarget,
  type PlayItem,
  type RungPhone,
} from '../call';
import type { PersonId } from '../directory';
import type { Sentence } from '../speech';
import { Agenda, Keyed } from './agenda';
import type { ExchangeEffect } from './effect';
import type { ExchangeEvent } from './event';
import { emptyExchange, newStaff, type CallId, type Doing, type Exchange, type RungBy } from './state';
import { stepExchange, type ExchangeResult } from './stepExchange';

/** What a rung phone does: answers (and accepts, where asked) or is busy, or rings on; and how long they talk. */
export type StaffAct =
  | { readonly type: 'answer'; readonly afterMs: number; readonly talkMs: number }
  /** Picked up, but nobody presses 1: what a mobile's voicemail does. Without being asked they are connected. */
  | { readonly type: 'voicemail'; readonly afterMs: number }
  | { readonly type: 'busy' }
  | { readonly type: 'noAnswer' };

export interface VirtualLineOptions {
  readonly script: CallScript;
  /** Asked once for each time a phone rings, and for which call: of a queue the one that waits longest. */
  readonly staff: (phone: RungPhone, atMs: number, callId: CallId | null) => StaffAct;
  /** What an outside phone does that a call is handed over to; as `staff` has it unless said otherwise. */
  readonly handedOver?: (target: OutsideTarget, atMs: number) => StaffAct;
  /** How long a sentence takes, in ms; estimated unless said otherwise. */
  readonly sentenceMs?: (sentence: Sentence) => number;
  /** Where it begins; with nobody on the line unless said otherwise. */
  readonly exchange?: Exchange;
}

/** One thing that happened, and what it led to. */
export interface Happened {
  readonly event: ExchangeEvent;
  readonly before: Exchange;
  readonly result: ExchangeResult;
}

/** How soon somebody presses 1 when asked to accept a call. */
const acceptAfterMs = 2000;

const estimatedLengths = new WeakMap<readonly PlayItem[], number>();

/** The exchange on a clock of its own: what it asks for is done in its time, and whoever is rung does as is said. */
export class VirtualLine {
  exchange: Exchange;
  private readonly agenda = new Agenda<ExchangeEvent>();
  private readonly fromOutside = new Keyed<string, ExchangeEvent>(this.agenda);
  private readonly timers = new Keyed<number, ExchangeEvent>(this.agenda);
  private readonly ofStaff = new Keyed<PersonId, ExchangeEvent>(this.agenda);
  /** What calls play, ring and time, by the number that they gave it. */
  private readonly ofCalls = new Map<CallId, Keyed<number, ExchangeEvent>>();
  /** What somebody decided to do with the call that rings or that they talk on. */
  private readonly acts = new Map<PersonId, StaffAct>();

  private readonly lengths: WeakMap<readonly PlayItem[], number>;

  constructor(private readonly options: VirtualLineOptions) {
    this.lengths = options.sentenceMs ? new WeakMap() : estimatedLengths;
    this.exchange = options.exchange ?? emptyExchange;
  }

  /** Lets something happen in its time; with a key it can be taken back, and takes the place of what had the key before. */
  add(event: ExchangeEvent, key: string | null = null): void {
    const atMs = event.type === 'ofCall' ? event.event.atMs : event.atMs;
    if (key === null) this.agenda.add(atMs, event);
    else this.fromOutside.add(key, atMs, event);
  }

  takeBack(key: string): void {
    this.fromOutside.cancel(key);
  }

  /** Lets happen what comes next; undefined when nothing is left to. */
  next(): Happened | undefined {
    const next = this.agenda.next();
    if (!next) return undefined;
    const before = this.exchange;
    const result = stepExchange(this.options.script, before, next.item);
    this.exchange = result.exchange;
    for (const effect of result.effects) this.carryOut(effect, next.atMs);
    this.watchStaff(before, next.atMs);
    return { event: next.item, before, result };
  }

  private carryOut(effect: ExchangeEffect, nowMs: number): void {
    switch (effect.type) {
      case 'startTimer':
        return this.startTimer(effect.timerId, nowMs + effect.afterMs);
      case 'stopTimer':
        return this.timers.cancel(effect.timerId);
      case 'forCall':
        return this.carryOutCall(effect.callId, effect.effect, nowMs);
      case 'askMember':
      case 'noSuchNumber':
        return;
    }
  }

  private carryOutCall(callId: CallId, effect: CallEffect, nowMs: number): void {
    const later = (afterMs: number, id: number, event: (atMs: number) => CallEvent): void => {
      const atMs = nowMs + afterMs;
      this.ofCall(callId).add(id, atMs, { type: 'ofCall', callId, event: event(atMs) });
    };
    switch (effect.type) {
      case 'play': {
        return later(this.lengthMs(effect.items), effect.playId, (atMs) => ({
          type: 'playEnded',
          atMs,
          playId: effect.playId,
        }));
      }
      case 'startTimer':
        return later(effect.afterMs, effect.timerId, (atMs) => ({ type: 'timePassed', atMs, timerId: effect.timerId }));
      case 'stopPlaying':
        return this.ofCall(callId).cancel(effect.playId);
      case 'stopTimer':
        return this.ofCall(callId).cancel(effect.timerId);
      case 'stopRinging':
        return this.ofCall(callId).cancel(effect.ringId);
      case 'ring':
        if (effect.phone.type === 'outside') {
          this.ringOutside(this.options.staff(effect.phone, nowMs, callId), effect.ringId, later);
        }
        return;
      case 'handOver':
        return this.handOver(effect.target, effect.handOverId, nowMs, later);
      case 'stopHandOver':
        return this.ofCall(callId).cancel(effect.handOverId);
      case 'connect': {
        if (effect.phone.type !== 'outside') return;
        const act = this.options.staff(effect.phone, nowMs, callId);
        if (act.type === 'answer') later(act.talkMs, -1, (atMs) => ({ type: 'staffHungUp', atMs }));
        return;
      }
      case 'hangUp':
        return this.ofCall(callId).cancel(-1);
      default:
        return;
    }
  }

  /** What is said often is one and the same list: its length is remembered. */
  private lengthMs(items: readonly PlayItem[]): number {
    let ms = this.lengths.get(items);
    if (ms === undefined) {
      ms = items.reduce((sum, item) => sum + itemMs(item, this.options.sentenceMs), 0);
      this.lengths.set(items, ms);
    }
    return ms;
  }

  private ringOutside(
    act: StaffAct,
    ringId: number,
    later: (afterMs: number, id: number, event: (atMs: number) => CallEvent) => void,
  ): void {
    if (act.type === 'busy') later(0, ringId, (atMs) => ({ type: 'staffBusy', atMs, ringId }));
    if (act.type !== 'answer' && act.type !== 'voicemail') return;
    later(act.afterMs, ringId, (atMs) => ({ type: 'staffAnswered', atMs, ringId }));
    if (act.type === 'answer') {
      later(act.afterMs + acceptAfterMs, -2 - ringId, (atMs) => ({ type: 'staffPressed', atMs, key: '1' }));
    }
  }

  private handOver(
    target: OutsideTarget,
    handOverId: number,
    nowMs: number,
    later: (afterMs: number, id: number, event: (atMs: number) => CallEvent) => void,
  ): void {
    const { handedOver, staff } = this.options;
    const act = handedOver ? handedOver(target, nowMs) : staff(target, nowMs, null);
    if (act.type === 'busy') {
      return later(0, handOverId, (atMs) => ({ type: 'handOverFailed', atMs, handOverId, why: 'busy' }));
    }
    if (act.type !== 'noAnswer') later(act.afterMs, handOverId, (atMs) => ({ type: 'handedOver', atMs, handOverId }));
  }

  /** Lets whoever is rung, or has begun to talk, act in their time. */
  private watchStaff(before: Exchange, nowMs: number): void {
    if (before.staff === this.exchange.staff) return;
    for (const [personId, { doing }] of this.exchange.staff) {
      const earlier = (before.staff.get(personId) ?? newStaff).doing;
      if (doing === earlier) continue;
      this.ofStaff.cancel(personId);
      this.decide(personId, doing, earlier, nowMs);
    }
  }

  private decide(personId: PersonId, doing: Doing, earlier: Doing, nowMs: number): void {
    if (doing.type === 'rung' && doing.isAccepting) {
      if (this.acts.get(personId)?.type !== 'answer') return;
      const atMs = nowMs + acceptAfterMs;
      return this.ofStaff.add(personId, atMs, { type: 'staffPresses', atMs, personId, key: '1' });
    }
    if (doing.type === 'rung') {
      const act = this.options.staff(doing.leg.phone, nowMs, this.callOf(doing.by));
      this.acts.set(personId, act);
      if (act.type === 'busy') this.ofStaff.add(personId, nowMs, { type: 'staffDeclines', atMs: nowMs, personId });
      if (act.type !== 'answer' && act.type !== 'voicemail') return;
      const atMs = nowMs + act.afterMs;
      return this.ofStaff.add(personId, atMs, { type: 'staffAnswers', atMs, personId });
    }
    if (doing.type !== 'talking' || earlier.type === 'talking') return;
    const act = this.acts.get(personId);
    if (act?.type !== 'answer') return;
    const atMs = nowMs + act.talkMs;
    this.ofStaff.add(personId, atMs, { type: 'staffHangsUp', atMs, personId });
  }

  private callOf(by: RungBy): CallId | null {
    if (by.type !== 'queue') return by.callId;
    return this.exchange.queues.get(by.queueId)?.waiting[0]?.callId ?? null;
  }

  private startTimer(timerId: number, atMs: number): void {
    this.timers.add(timerId, atMs, { type: 'timerOver', atMs, timerId });
  }

  private ofCall(callId: CallId): Keyed<number, ExchangeEvent> {
    let keyed = this.ofCalls.get(callId);
    if (!keyed) this.ofCalls.set(callId, (keyed = new Keyed(this.agenda)));
    return keyed;
  }
}
