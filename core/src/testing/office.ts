import { itemMs, transcriptOf, type CallEvent, type CallScript, type TranscriptEntry } from '../call';
import type { Person } from '../directory';
import {
  callId,
  emptyExchange,
  newStaff,
  stepExchange,
  type CallId,
  type Doing,
  type Exchange,
  type ExchangeEffect,
  type ExchangeEvent,
} from '../exchange';
import { openMoment } from './boatyard';

/** People as members, all of the first tier. */
export const membersOf = (...people: readonly Person[]) => people.map(({ id }) => ({ personId: id, tier: 1 }));

type Untimed<Event> = Event extends unknown ? Omit<Event, 'atMs'> : never;

/** An office for specs: calls and staff on a clock that is moved by hand. */
export class Office {
  exchange: Exchange = emptyExchange;
  nowMs = openMoment;
  readonly effects: ExchangeEffect[] = [];
  private due: { readonly key: string; readonly atMs: number; readonly event: ExchangeEvent }[] = [];
  private readonly transcripts = new Map<CallId, TranscriptEntry[]>();

  constructor(public world: CallScript) {}

  do(event: Untimed<Exclude<ExchangeEvent, { type: 'ofCall' }>>): void {
    this.step({ ...event, atMs: this.nowMs } as ExchangeEvent);
  }

  call(name: string, callerNumber = '+12075550178'): CallId {
    const id = callId.create(name);
    this.do({ type: 'callArrives', callId: id, callerNumber, script: this.world });
    return id;
  }

  tell(id: CallId, event: Untimed<CallEvent>): void {
    this.step({ type: 'ofCall', callId: id, event: { ...event, atMs: this.nowMs } as CallEvent });
  }

  answer({ id }: Person): void {
    this.do({ type: 'staffAnswers', personId: id });
  }

  decline({ id }: Person): void {
    this.do({ type: 'staffDeclines', personId: id });
  }

  hangUp({ id }: Person): void {
    this.do({ type: 'staffHangsUp', personId: id });
  }

  /** Lets time pass, with all that is due meanwhile. */
  pass(seconds: number): void {
    const untilMs = this.nowMs + seconds * 1000;
    for (;;) {
      const next = this.due.reduce<(typeof this.due)[number] | undefined>(
        (first, each) => (each.atMs <= untilMs && (!first || each.atMs < first.atMs) ? each : first),
        undefined,
      );
      if (!next) break;
      this.due = this.due.filter((each) => each !== next);
      this.nowMs = next.atMs;
      this.step(next.event);
    }
    this.nowMs = untilMs;
  }

  doing({ id }: Person): Doing {
    return (this.exchange.staff.get(id) ?? newStaff).doing;
  }

  /** Whose phones ring now, in the order of the directory. */
  rung(): readonly string[] {
    return this.world.people
      .filter((person) => this.doing(person).type === 'rung')
      .map(({ name }) => name.split(' ')[0] ?? '');
  }

  transcript(id: CallId): readonly TranscriptEntry[] {
    return this.transcripts.get(id) ?? [];
  }

  said(id: CallId): readonly string[] {
    return this.transcript(id).flatMap((entry) => (entry.type === 'said' ? [entry.text] : []));
  }

  phase(id: CallId): string {
    return this.exchange.calls.get(id)?.state.phase.type ?? 'ended';
  }

  private step(event: ExchangeEvent): void {
    const { exchange, effects } = stepExchange(this.world, this.exchange, event);
    this.exchange = exchange;
    for (const effect of effects) this.carryOut(effect);
  }

  private carryOut(effect: ExchangeEffect): void {
    this.effects.push(effect);
    if (effect.type === 'startTimer') {
      const atMs = this.nowMs + effect.afterMs;
      this.later(`timer ${effect.timerId}`, atMs, { type: 'timerOver', atMs, timerId: effect.timerId });
    }
    if (effect.type === 'stopTimer') this.cancel(`timer ${effect.timerId}`);
    if (effect.type !== 'forCall') return;
    const { callId: id, effect: done } = effect;
    const noted = this.transcripts.get(id) ?? [];
    this.transcripts.set(id, [...noted, ...transcriptOf([done], this.nowMs)]);
    const event = (later: CallEvent): ExchangeEvent => ({ type: 'ofCall', callId: id, event: later });
    if (done.type === 'play') {
      const atMs = this.nowMs + done.items.reduce((sum, item) => sum + itemMs(item), 0);
      this.later(`${id} ${done.playId}`, atMs, event({ type: 'playEnded', atMs, playId: done.playId }));
    }
    if (done.type === 'startTimer') {
      const atMs = this.nowMs + done.afterMs;
      this.later(`${id} ${done.timerId}`, atMs, event({ type: 'timePassed', atMs, timerId: done.timerId }));
    }
    if (done.type === 'stopPlaying') this.cancel(`${id} ${done.playId}`);
    if (done.type === 'stopTimer') this.cancel(`${id} ${done.timerId}`);
  }

  private later(key: string, atMs: number, event: ExchangeEvent): void {
    this.due.push({ key, atMs, event });
  }

  private cancel(key: string): void {
    this.due = this.due.filter((each) => each.key !== key);
  }
}
