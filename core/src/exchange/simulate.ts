import {
  itemMs,
  type CallEffect,
  type CallEvent,
  type CallScript,
  type CallState,
  type DirectTo,
  type RungPhone,
} from '../call';
import type { PersonId } from '../directory';
import type { Key } from '../line';
import { Agenda } from './agenda';
import type { ExchangeEffect } from './effect';
import type { ExchangeEvent } from './event';
import { emptyExchange, newStaff, type CallId, type Doing, type Exchange } from './state';
import { stepExchange, type ExchangeResult } from './stepExchange';

/** How a caller behaves: keys pressed, words said and the phone put down, each so many ms after the line answered. */
export type CallerAct =
  | { readonly type: 'press'; readonly key: Key; readonly afterMs: number }
  | { readonly type: 'speak'; readonly words: string; readonly afterMs: number }
  | { readonly type: 'hangUp'; readonly afterMs: number };

/** What a rung phone does: answers (and accepts, where asked) or is busy, or rings on; and how long they talk. */
export type StaffAct =
  | { readonly type: 'answer'; readonly afterMs: number; readonly talkMs: number }
  /** Picked up, but nobody presses 1: what a mobile's voicemail does. Without being asked they are connected. */
  | { readonly type: 'voicemail'; readonly afterMs: number }
  | { readonly type: 'busy' }
  | { readonly type: 'noAnswer' };

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
  /** What a caller does as they hear how the call goes on: asked whenever its phase is another one, acts from then on. */
  readonly reacts?: (callId: CallId, state: CallState, atMs: number) => readonly CallerAct[];
  /** What else happens, such as somebody going away. */
  readonly events?: readonly ExchangeEvent[];
  /** Seen after each step. */
  readonly watch?: (event: ExchangeEvent, result: ExchangeResult) => void;
  readonly mostEvents?: number;
}

/** How soon somebody presses 1 when asked to accept a call. */
const acceptAfterMs = 2000;

/** Runs calls and staff on a clock of their own, with the lengths of what is said estimated. Gives what is left at the end. */
export function simulate(simulation: Simulation): Exchange {
  return new Simulator(simulation).run();
}

class Simulator {
  private exchange: Exchange = emptyExchange;
  private readonly agenda = new Agenda<ExchangeEvent>();
  /** What somebody decided to do with the call that rings or that they talk on. */
  private readonly acts = new Map<PersonId, StaffAct>();

  constructor(private readonly simulation: Simulation) {}

  run(): Exchange {
    const { callers, script, events = [], mostEvents = Infinity, watch } = this.simulation;
    for (const { callId, atMs, callerNumber, acts, to } of callers) {
      this.agenda.add(atMs, { type: 'callArrives', atMs, callId, callerNumber, script, ...(to ? { to } : {}) });
      for (const act of acts) {
        const event = callerEvent(act, atMs);
        this.agenda.add(event.atMs, { type: 'ofCall', callId, event });
      }
    }
    for (const event of events) this.agenda.add(event.type === 'ofCall' ? event.event.atMs : event.atMs, event);
    for (let count = 0; count < mostEvents; count += 1) {
      const next = this.agenda.next();
      if (!next) break;
      const before = this.exchange;
      const result = stepExchange(script, before, next.item);
      this.exchange = result.exchange;
      for (const effect of result.effects) this.carryOut(effect, next.atMs);
      this.watchStaff(before, next.atMs);
      this.letCallersReact(before, next.atMs);
      watch?.(next.item, result);
    }
    return this.exchange;
  }

  private carryOut(effect: ExchangeEffect, nowMs: number): void {
    switch (effect.type) {
      case 'startTimer':
        return this.add(
          nowMs + effect.afterMs,
          (atMs) => ({ type: 'timerOver', atMs, timerId: effect.timerId }),
          timerKey(effect.timerId),
        );
      case 'stopTimer':
        return this.agenda.cancel(timerKey(effect.timerId));
      case 'forCall':
        return this.carryOutCall(effect.callId, effect.effect, nowMs);
      case 'askMember':
      case 'noSuchNumber':
        return;
    }
  }

  private carryOutCall(callId: CallId, effect: CallEffect, nowMs: number): void {
    const later = (afterMs: number, id: number, event: (atMs: number) => CallEvent): void => {
      this.add(nowMs + afterMs, (atMs) => ({ type: 'ofCall', callId, event: event(atMs) }), `${callId} ${id}`);
    };
    switch (effect.type) {
      case 'play': {
        const ms = effect.items.reduce((sum, item) => sum + itemMs(item), 0);
        return later(ms, effect.playId, (atMs) => ({ type: 'playEnded', atMs, playId: effect.playId }));
      }
      case 'startTimer':
        return later(effect.afterMs, effect.timerId, (atMs) => ({ type: 'timePassed', atMs, timerId: effect.timerId }));
      case 'stopPlaying':
        return this.agenda.cancel(`${callId} ${effect.playId}`);
      case 'stopTimer':
        return this.agenda.cancel(`${callId} ${effect.timerId}`);
      case 'stopRinging':
        return this.agenda.cancel(`${callId} ${effect.ringId}`);
      case 'ring':
        if (effect.phone.type === 'outside') this.ringOutside(effect.phone, effect.ringId, nowMs, later);
        return;
      case 'connect': {
        if (effect.phone.type !== 'outside') return;
        const act = this.simulation.staff(effect.phone, nowMs);
        if (act.type === 'answer') later(act.talkMs, -1, (atMs) => ({ type: 'staffHungUp', atMs }));
        return;
      }
      case 'hangUp':
        return this.agenda.cancel(`${callId} -1`);
      default:
        return;
    }
  }

  private ringOutside(
    phone: RungPhone,
    ringId: number,
    nowMs: number,
    later: (afterMs: number, id: number, event: (atMs: number) => CallEvent) => void,
  ): void {
    const act = this.simulation.staff(phone, nowMs);
    if (act.type === 'busy') later(0, ringId, (atMs) => ({ type: 'staffBusy', atMs, ringId }));
    if (act.type !== 'answer' && act.type !== 'voicemail') return;
    later(act.afterMs, ringId, (atMs) => ({ type: 'staffAnswered', atMs, ringId }));
    if (act.type === 'answer') {
      later(act.afterMs + acceptAfterMs, -2 - ringId, (atMs) => ({ type: 'staffPressed', atMs, key: '1' }));
    }
  }

  /** Lets whoever is rung, or has begun to talk, act in their time. */
  private watchStaff(before: Exchange, nowMs: number): void {
    if (before.staff === this.exchange.staff) return;
    for (const [personId, { doing }] of this.exchange.staff) {
      const earlier = (before.staff.get(personId) ?? newStaff).doing;
      if (doing === earlier) continue;
      this.agenda.cancel(personId);
      this.decide(personId, doing, earlier, nowMs);
    }
  }

  private letCallersReact(before: Exchange, nowMs: number): void {
    const { reacts } = this.simulation;
    if (!reacts || before.calls === this.exchange.calls) return;
    for (const [callId, { state }] of this.exchange.calls) {
      if (state.phase === before.calls.get(callId)?.state.phase) continue;
      for (const act of reacts(callId, state, nowMs)) {
        const event = callerEvent(act, nowMs);
        this.agenda.add(event.atMs, { type: 'ofCall', callId, event });
      }
    }
  }

  private decide(personId: PersonId, doing: Doing, earlier: Doing, nowMs: number): void {
    if (doing.type === 'rung' && doing.isAccepting) {
      if (this.acts.get(personId)?.type !== 'answer') return;
      return this.add(nowMs + acceptAfterMs, (atMs) => ({ type: 'staffPresses', atMs, personId, key: '1' }), personId);
    }
    if (doing.type === 'rung') {
      const act = this.simulation.staff(doing.phone, nowMs);
      this.acts.set(personId, act);
      if (act.type === 'busy') this.add(nowMs, (atMs) => ({ type: 'staffDeclines', atMs, personId }), personId);
      if (act.type !== 'answer' && act.type !== 'voicemail') return;
      return this.add(nowMs + act.afterMs, (atMs) => ({ type: 'staffAnswers', atMs, personId }), personId);
    }
    if (doing.type !== 'talking' || earlier.type === 'talking') return;
    const act = this.acts.get(personId);
    if (act?.type !== 'answer') return;
    this.add(nowMs + act.talkMs, (atMs) => ({ type: 'staffHangsUp', atMs, personId }), personId);
  }

  private add(atMs: number, event: (atMs: number) => ExchangeEvent, key: string): void {
    this.agenda.add(atMs, event(atMs), key);
  }
}

function timerKey(timerId: number): string {
  return `timer ${timerId}`;
}

function callerEvent(act: CallerAct, startMs: number): CallEvent {
  const atMs = startMs + act.afterMs;
  if (act.type === 'press') return { type: 'keyPressed', atMs, key: act.key };
  return act.type === 'speak' ? { type: 'callerSpoke', atMs, words: act.words } : { type: 'callerHungUp', atMs };
}
