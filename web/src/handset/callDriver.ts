import {
  idleCall,
  step,
  transcriptOf,
  type CallEffect,
  type CallEvent,
  type CallScript,
  type CallState,
  type TranscriptEntry,
} from '@locutor/core/call';
import type { BoxId, Tell } from '@locutor/core/directory';
import type { Key } from '@locutor/core/line';
import { record, type MicrophoneProblem, type Recording } from './microphone';
import { playItems, playOverAndOver } from './speaker';
import { playKeyTone, playRingback } from './sounds';

export interface CallOptions {
  readonly script: CallScript;
  /** The moment on the call's clock at which the line answers, in ms since 1970. */
  readonly startsAtMs: number;
  readonly callerNumber: string;
  readonly leaveMessage: (boxId: BoxId, audio: Blob, tell: readonly Tell[]) => Promise<void>;
}

/** A call as it can be seen. */
export interface CallView {
  readonly state: CallState;
  readonly transcript: readonly TranscriptEntry[];
  /** Index in the transcript of the sentence being heard; null when none is. */
  readonly speaking: number | null;
  /** Indexes of sentences that were to be said but have not been begun: still to come, or cut short. */
  readonly unheard: ReadonlySet<number>;
  /** Loudness of the caller's voice while recording, dB relative to full scale. */
  readonly levelDb: number;
  readonly microphone: MicrophoneProblem | null;
  /** Whether a sentence had to be left silent because the voice could not be had. */
  readonly isMute: boolean;
  readonly messageLeft: 'none' | 'sending' | 'sent' | { readonly problem: string };
}

type CallEventContent = CallEvent extends infer Event ? (Event extends unknown ? Omit<Event, 'atMs'> : never) : never;

/** Drives one call in real time: holds the clock, feeds events to the machine and carries out its effects. */
export class CallDriver {
  private view: CallView = {
    state: idleCall,
    transcript: [],
    speaking: null,
    unheard: new Set(),
    levelDb: -Infinity,
    microphone: null,
    isMute: false,
    messageLeft: 'none',
  };
  private readonly began = performance.now();
  private readonly stops = new Map<number, () => void>();
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
    this.happen({ type: 'dialled', callerNumber: this.options.callerNumber });
  }

  press(key: Key): void {
    playKeyTone(key);
    this.happen({ type: 'keyPressed', key });
  }

  /** The caller says something, typed in place of spoken. */
  speak(words: string): void {
    this.happen({ type: 'callerSpoke', words });
  }

  /** Who was rung outside and asked to accept the call presses 1. */
  accept(): void {
    this.happen({ type: 'staffPressed', key: '1' });
  }

  answer(): void {
    const { phase } = this.view.state;
    if (phase.type === 'ringing') this.happen({ type: 'staffAnswered', ringId: phase.ringId });
  }

  beBusy(): void {
    const { phase } = this.view.state;
    if (phase.type === 'ringing') this.happen({ type: 'staffBusy', ringId: phase.ringId });
  }

  staffHangsUp(): void {
    this.happen({ type: 'staffHungUp' });
  }

  hangUp(): void {
    this.happen({ type: 'callerHungUp' });
  }

  private happen(event: CallEventContent): void {
    const atMs = this.now();
    const { state, effects } = step(this.options.script, this.view.state, { ...event, atMs } as CallEvent);
    this.set({ state });
    for (const effect of effects) {
      const first = this.view.transcript.length;
      this.set({ transcript: [...this.view.transcript, ...transcriptOf([effect], atMs)] });
      this.carryOut(effect, first);
    }
  }

  /** `first` is where in the transcript the sentences of what is played begin. */
  private carryOut(effect: CallEffect, first: number): void {
    switch (effect.type) {
      case 'play':
        return this.play(effect, first);
      case 'startTimer':
        return this.startTimer(effect.timerId, effect.afterMs);
      case 'ring':
        this.stops.set(effect.ringId, effect.hear.length > 0 ? playOverAndOver(effect.hear) : playRingback());
        return;
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
      case 'askToAccept':
      case 'connect':
      case 'handOver':
      case 'startCallRecording':
      case 'stopCallRecording':
      case 'hangUp':
        return;
    }
  }

  private play({ playId, items }: Extract<CallEffect, { type: 'play' }>, first: number): void {
    const sentences = items.filter((item) => item.type === 'sentence');
    this.set({ unheard: new Set([...this.view.unheard, ...sentences.map((_, index) => first + index)]) });
    const stop = playItems(items, {
      onItem: (index) => this.begin(items[index]?.type === 'sentence' ? first + index : null),
      onMute: () => this.set({ isMute: true }),
      onEnd: () => {
        this.stops.delete(playId);
        this.set({ speaking: null });
        this.happen({ type: 'playEnded', playId });
      },
    });
    this.stops.set(playId, stop);
  }

  private begin(speaking: number | null): void {
    this.set({ speaking, unheard: new Set([...this.view.unheard].filter((index) => index !== speaking)) });
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

  private stop(id: number): void {
    this.stops.get(id)?.();
    this.stops.delete(id);
  }

  private set(changes: Partial<CallView>): void {
    this.view = { ...this.view, ...changes };
    for (const listener of this.listeners) listener();
  }
}
