import {
  endsQuietly,
  idleCall,
  transcriptOf,
  type CallEffect,
  type CallEvent,
  type CallScript,
  type CallState,
  type TranscriptEntry,
} from '@locutor/core/call';
import { countryOf, type BoxId, type Tell } from '@locutor/core/directory';
import {
  callId,
  emptyExchange,
  legEvent,
  stepExchange,
  wantedLegs,
  type Exchange,
  type ExchangeEffect,
  type ExchangeEvent,
  type LegActs,
  type WantedLeg,
} from '@locutor/core/exchange';
import type { Key } from '@locutor/core/line';
import { unreachable } from '@locutor/core/result';
import { record, type MicrophoneProblem, type Recording } from './microphone';
import { playItems, playOverAndOver } from './speaker';
import { playBusy, playKeyTone, playRingback } from './sounds';
import type { Heard } from '../parts/heard';

export interface CallOptions {
  readonly script: CallScript;
  /** The moment on the call's clock at which the line answers, in ms since 1970. */
  readonly startsAtMs: number;
  readonly callerNumber: string;
  readonly leaveMessage: (boxId: BoxId, audio: Blob, tell: readonly Tell[]) => Promise<void>;
}

/** A phone that rings, or was picked up and is asked to press 1. */
export interface RungNow extends WantedLeg {
  /** By the browser's clock, in ms since 1970. */
  readonly sinceMs: number;
}

/** A call as it can be seen. */
export interface CallView {
  readonly state: CallState;
  readonly transcript: readonly TranscriptEntry[];
  /** Every phone that rings for it now. */
  readonly rung: readonly RungNow[];
  /** The sentence being heard, by its place in the transcript; null when none is. */
  readonly speaking: Heard | null;
  /** Indexes of sentences that were to be said but have not been begun: still to come, or cut short. */
  readonly unheard: ReadonlySet<number>;
  /** Loudness of the caller's voice while recording, dB relative to full scale. */
  readonly levelDb: number;
  readonly microphone: MicrophoneProblem | null;
  /** Whether a sentence had to be left silent because the voice could not be had. */
  readonly isMute: boolean;
  readonly messageLeft: 'none' | 'sending' | 'sent' | { readonly problem: string };
}

type Untimed<Event> = Event extends unknown ? Omit<Event, 'atMs'> : never;

const ownCall = callId.create('handset');

/** Drives one call, with nobody else on the line, in real time: holds the clock, feeds events and carries out effects. */
export class CallDriver {
  private view: CallView = {
    state: idleCall,
    transcript: [],
    rung: [],
    speaking: null,
    unheard: new Set(),
    levelDb: -Infinity,
    microphone: null,
    isMute: false,
    messageLeft: 'none',
  };
  private exchange: Exchange = emptyExchange;
  private readonly began = performance.now();
  private readonly stops = new Map<number | string, () => void>();
  private recording: Recording | null = null;
  private readonly listeners = new Set<() => void>();

  constructor(private readonly options: CallOptions) {}

  readonly getView = (): CallView => this.view;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** The time on the call's clock, in ms since 1970. */
  now(): number {
    return Math.round(this.options.startsAtMs + performance.now() - this.began);
  }

  dial(): void {
    const { callerNumber, script } = this.options;
    this.step({ type: 'callArrives', atMs: this.now(), callId: ownCall, callerNumber, script });
  }

  press(key: Key): void {
    playKeyTone(key);
    this.happen({ type: 'keyPressed', key });
  }

  /** The caller says something, typed in place of spoken. */
  speak(words: string): void {
    this.happen({ type: 'callerSpoke', words });
  }

  /** What somebody does with the phone that rings, or what the line finds out about it. */
  act(rung: RungNow | undefined, act: LegActs): void {
    const event = rung && legEvent(this.exchange, rung, act, this.now());
    if (event) this.step(event);
  }

  /** Whoever talks to the caller hangs up. */
  staffHangsUp(): void {
    this.happen({ type: 'staffHungUp' });
  }

  /** Whoever talks to the caller puts them on hold, or takes them back. */
  hold(on: boolean): void {
    this.happen({ type: 'staffHeld', on });
  }

  hangUp(): void {
    this.happen({ type: 'callerHungUp' });
  }

  private happen(event: Untimed<CallEvent>): void {
    this.step({ type: 'ofCall', callId: ownCall, event: { ...event, atMs: this.now() } as CallEvent });
  }

  private step(event: ExchangeEvent): void {
    const { exchange, effects, atMs } = stepExchange(this.options.script, this.exchange, event);
    this.exchange = exchange;
    const entries = effects.map((effect) => (effect.type === 'forCall' ? transcriptOf([effect.effect], atMs) : []));
    const state = this.stateAfter(entries.flat());
    this.set({ state, rung: rungIn(exchange, this.view) });
    effects.forEach((effect, index) => {
      const first = this.view.transcript.length;
      this.set({ transcript: [...this.view.transcript, ...(entries[index] ?? [])] });
      // One that fails, as sound may, does not take the others with it.
      try {
        if (effect.type === 'forCall') this.carryOut(effect.effect, first);
        else this.keepTime(effect);
      } catch (error) {
        console.error(`The handset could not carry out ${effect.type}:`, error);
      }
    });
  }

  /** A call that is over is the exchange's no longer: how it ended is in its last words. */
  private stateAfter(entries: readonly TranscriptEntry[]): CallState {
    const now = this.exchange.calls.get(ownCall)?.state;
    const end = entries.find((entry) => entry.type === 'ended');
    if (now || !end) return now ?? this.view.state;
    return { ...this.view.state, phase: { type: 'ended', reason: end.reason } };
  }

  private keepTime(effect: Exclude<ExchangeEffect, { type: 'forCall' }>): void {
    switch (effect.type) {
      case 'startTimer': {
        const { timerId, afterMs } = effect;
        const timer = setTimeout(() => this.step({ type: 'timerOver', atMs: this.now(), timerId }), afterMs);
        this.stops.set(`exchange ${timerId}`, () => clearTimeout(timer));
        return;
      }
      case 'stopTimer':
        return this.stop(`exchange ${effect.timerId}`);
      // Of the staff nobody listens here: whoever is at the handset answers for them.
      case 'askMember':
      case 'takeUnanswered':
      case 'noSuchNumber':
        return;
      default:
        return unreachable(effect);
    }
  }

  /** In whose tones it rings. */
  private country(): string | undefined {
    const { lines, lineId } = this.options.script;
    const line = lines.find(({ id }) => id === (this.view.state.lineId ?? lineId));
    return line && countryOf(line);
  }

  /** `first` is where in the transcript the sentences of what is played begin. */
  private carryOut(effect: CallEffect, first: number): void {
    switch (effect.type) {
      case 'play':
        return this.play(effect, first);
      case 'startTimer':
        return this.startTimer(effect.timerId, effect.afterMs);
      case 'ring':
      case 'ringGroup':
        this.stops.set(
          effect.ringId,
          effect.hear.length > 0 ? playOverAndOver(effect.hear) : playRingback(this.country()),
        );
        return;
      case 'handOver':
        this.stops.set(effect.handOverId, playRingback(this.country()));
        return;
      case 'stopHandOver':
        return this.stop(effect.handOverId);
      case 'stopPlaying':
        this.set({ speaking: null });
        return this.stop(effect.playId);
      case 'stopTimer':
        return this.stop(effect.timerId);
      case 'stopRinging':
        return this.stop(effect.ringId);
      case 'startRecording':
        this.recording = record({
          onLevel: (levelDb) => this.set({ levelDb }),
          onProblem: (microphone) => this.set({ microphone }),
        });
        return;
      case 'stopRecording':
        return this.endRecording(effect.keepIn, effect.tell);
      case 'note':
      case 'stepTaken':
      case 'askToAccept':
      case 'connect':
      case 'startCallRecording':
      case 'stopCallRecording':
      case 'enterQueue':
      case 'leaveQueue':
      case 'askPlace':
      case 'checkPin':
      case 'markMessage':
      case 'startTake':
      case 'finishTake':
      case 'stopTake':
      case 'settleTake':
        return;
      case 'hangUp':
        return this.fallSilent();
      default:
        return unreachable(effect);
    }
  }

  /** The call is over: nothing of it is heard any more but the tone that says so, unless the caller has hung up. */
  private fallSilent(): void {
    for (const id of [...this.stops.keys()]) this.stop(id);
    const { phase } = this.view.state;
    const isQuiet = phase.type !== 'ended' || endsQuietly(phase.reason);
    if (!isQuiet) this.stops.set('busy', playBusy(this.country()));
  }

  private play({ playId, items }: Extract<CallEffect, { type: 'play' }>, first: number): void {
    const sentences = items.filter((item) => item.type === 'sentence');
    this.set({ unheard: new Set([...this.view.unheard, ...sentences.map((_, index) => first + index)]) });
    const stop = playItems(items, {
      onItem: (index, ms) => {
        const isSentence = items[index]?.type === 'sentence';
        this.begin(isSentence ? { index: first + index, sinceMs: Date.now(), ms } : null);
      },
      onMute: () => this.set({ isMute: true }),
      onEnd: () => {
        this.stops.delete(playId);
        this.set({ speaking: null });
        this.happen({ type: 'playEnded', playId });
      },
    });
    this.stops.set(playId, stop);
  }

  private begin(speaking: Heard | null): void {
    this.set({ speaking, unheard: new Set([...this.view.unheard].filter((index) => index !== speaking?.index)) });
  }

  private startTimer(timerId: number, afterMs: number): void {
    const timer = setTimeout(() => this.happen({ type: 'timePassed', timerId }), afterMs);
    this.stops.set(timerId, () => clearTimeout(timer));
  }

  private endRecording(keepIn: BoxId | null, tell: readonly Tell[]): void {
    const { recording } = this;
    this.recording = null;
    if (!recording) return;
    if (!keepIn) return recording.discard();
    this.set({ messageLeft: 'sending' });
    recording
      .finish()
      .then((audio) => this.options.leaveMessage(keepIn, audio, tell))
      .then(
        () => this.set({ messageLeft: 'sent' }),
        (error: unknown) =>
          this.set({ messageLeft: { problem: error instanceof Error ? error.message : String(error) } }),
      );
  }

  private stop(id: number | string): void {
    this.stops.get(id)?.();
    this.stops.delete(id);
  }

  private set(changes: Partial<CallView>): void {
    this.view = { ...this.view, ...changes };
    for (const listener of this.listeners) listener();
  }
}

/** The phones that ring, or were answered and are asked to press 1. */
function rungIn(exchange: Exchange, before: CallView): readonly RungNow[] {
  return wantedLegs(exchange)
    .filter(({ does }) => does === 'rings' || does === 'isAsked' || does === 'takesOver')
    .map((leg) => ({ ...leg, sinceMs: before.rung.find(({ id }) => id === leg.id)?.sinceMs ?? Date.now() }));
}
