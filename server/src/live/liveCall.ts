import {
  answeredBy,
  cameBy,
  outcomeOf,
  transcriptOf,
  type CallEffect,
  type CallEvent,
  type CallState,
  type PlayItem,
  type RungPhone,
  type TranscriptEntry,
} from '@locutor/core/call';
import type { BoxId, Tell } from '@locutor/core/directory';
import type { TakeId } from '@locutor/core/line';
import { unreachable } from '@locutor/core/result';
import { heardMs, type CallId, type HeardItem } from '@locutor/core/exchange';
import type { CallEntity } from '../callLog/call.entity';
import type { Clock, Stop } from '../clock/clock';
import { unawaited } from '../log/enclosed';
import type { LeftMessage as SpokenMessage } from '../messages/messages.service';
import type { CallerEnd } from './line';
import type { Take } from './take';

type Untimed<Event> = Event extends unknown ? Omit<Event, 'atMs'> : never;
export type UntimedCallEvent = Untimed<CallEvent>;

/** What a call under way needs from the line. */
export interface CallDoors {
  /** Lets something happen to the call. */
  readonly happen: (callId: CallId, event: UntimedCallEvent) => void;
  readonly ready: (items: readonly PlayItem[]) => readonly HeardItem[] | Promise<readonly HeardItem[]>;
  readonly log: (row: CallEntity) => void;
  readonly startTake: (call: LiveCallRun, of: Take['header']['of']) => Take;
  /** Keeps a message, and what was typed in place of speaking. */
  readonly keepMessage: (
    call: LiveCallRun,
    take: Take,
    message: Omit<SpokenMessage, 'callerNumber' | 'leftAt'>,
  ) => void;
  readonly keepRecording: (call: LiveCallRun, take: Take) => void;
  readonly finishTake: (call: LiveCallRun, take: Take, recordingId: number) => void;
  readonly settleTake: (callId: CallId, takeId: TakeId, keep: boolean) => void;
  readonly checkPin: (call: LiveCallRun, boxId: BoxId, pin: string) => void;
  readonly markMessage: (messageId: string, as: 'heard' | 'deleted') => void;
}

/** What is shown of a call, beside what is heard of it: captions and where it is. */
export interface CallDisplay {
  entries(entries: readonly TranscriptEntry[]): void;
  state(state: ShownState): void;
  /** What is played next says the sentences of the transcript from there on. */
  says(playId: number, first: number): void;
  /** A message is being recorded, or no longer. */
  recording(on: boolean): void;
}

export interface ShownState {
  readonly phase: CallState['phase']['type'];
  readonly talksTo: RungPhone | null;
}

/** Everything that was shown so far. */
export interface Shown {
  readonly transcript: readonly TranscriptEntry[];
  /** The places in it of sentences that were cut or are still to come. */
  readonly unheard: readonly number[];
  readonly state: ShownState;
}

/** Who answered, as the log names them: a person, a contact, or a number; null while nobody has. */
export function answeredIn(transcript: readonly TranscriptEntry[]): string | null {
  const phone = answeredBy(transcript);
  return phone && (phone.type === 'person' ? phone.personId : (phone.contactId ?? phone.number));
}

function shownState({ phase }: CallState): ShownState {
  const target = phase.type === 'connected' || phase.type === 'onHold' ? phase.target : null;
  const talksTo = target?.type === 'person' ? ({ ...target, number: null } as const) : target;
  return { phase: phase.type, talksTo };
}

interface Playing {
  readonly playId: number;
  readonly items: readonly HeardItem[];
  readonly beganMs: number;
}

/** What somebody does who presses keys for hours is not written down for ever. */
const mostEntries = 4000;

/** One call under way: its timers, what is played, what is recorded, and its transcript. */
export class LiveCallRun {
  readonly transcript: TranscriptEntry[] = [];
  private display: CallDisplay | null = null;
  private readonly timers = new Map<string, Stop>();
  private playing: Playing | null = null;
  private isRingingBack = false;
  private messageTake: Take | null = null;
  private callTake: Take | null = null;
  private greetingTake: Take | null = null;
  /** Where in the transcript the message began that is being spoken. */
  private messageFrom = 0;
  private messageFor: { boxId: BoxId; tell: readonly Tell[] } | null = null;
  /** Whether something happened since it was last written down. */
  private isUnlogged = false;
  /** How much hold music the caller has heard: it goes on there. */
  private musicMs = 0;
  /** When each sentence of the transcript began to be heard; Infinity where it was cut before. */
  private readonly heardAt = new Map<number, number>();

  constructor(
    readonly row: CallEntity,
    readonly caller: CallerEnd,
    private readonly doors: CallDoors,
    private readonly clock: Clock,
  ) {}

  get id(): CallId {
    return this.row.id;
  }

  /** By which menu and key the call came to where it is. */
  get cameBy(): ReturnType<typeof cameBy> {
    return cameBy(this.transcript);
  }

  carryOut(effect: CallEffect, atMs: number): void {
    const first = this.transcript.length;
    const entries = transcriptOf([effect], atMs).filter(({ type }) => first < mostEntries || type === 'ended');
    if (entries.length > 0) {
      this.transcript.push(...entries);
      this.display?.entries(entries);
      this.isUnlogged = true;
      if (first === 0) this.log(false);
    }
    switch (effect.type) {
      case 'play':
        return this.play(effect.playId, effect.items, first, atMs);
      case 'startTimer':
        return this.later(`t${effect.timerId}`, effect.afterMs, { type: 'timePassed', timerId: effect.timerId });
      case 'stopTimer':
        return this.cancel(`t${effect.timerId}`);
      case 'stopPlaying':
        this.cancel(`p${effect.playId}`);
        for (const [index, ms] of this.heardAt) if (ms > atMs) this.heardAt.set(index, Infinity);
        if (this.playing?.playId === effect.playId) this.endPlaying();
        return this.caller.stop(effect.playId);
      case 'ring':
      case 'ringGroup':
        return this.ringBack(effect.hear);
      case 'handOver':
        return this.ringBack([]);
      case 'stopHandOver':
      case 'stopRinging':
        return this.stopRingback();
      case 'connect':
        return this.stopRingback();
      case 'startRecording':
        this.messageTake = this.doors.startTake(this, this.messageHeader());
        this.messageFrom = this.transcript.length;
        return this.display?.recording(true);
      case 'stopRecording':
        return this.endMessage(effect.keepIn, effect.tell);
      case 'startCallRecording':
        this.callTake = this.doors.startTake(this, { type: 'call' });
        return;
      case 'stopCallRecording':
        return this.endRecording();
      case 'startTake':
        this.greetingTake = this.doors.startTake(this, { type: 'greeting' });
        return;
      case 'finishTake':
        return this.endGreeting((take) => this.doors.finishTake(this, take, effect.recordingId));
      case 'stopTake':
        return this.endGreeting((take) => take.discard());
      case 'settleTake':
        return this.doors.settleTake(this.id, effect.takeId, effect.keep);
      case 'checkPin':
        return this.doors.checkPin(this, effect.boxId, effect.pin);
      case 'markMessage':
        return this.doors.markMessage(effect.messageId, effect.as);
      case 'hangUp':
        return this.end();
      // Of these the exchange takes care, or the transcript alone.
      case 'note':
      case 'stepTaken':
      case 'askToAccept':
      case 'enterQueue':
      case 'leaveQueue':
      case 'askPlace':
        return;
      default:
        return unreachable(effect);
    }
  }

  /** What the call does now; a message that is about to be spoken is for this box. */
  show(state: CallState): void {
    const { phase } = state;
    if (phase.type === 'boxGreeting' || phase.type === 'recording') {
      this.messageFor = { boxId: phase.boxId, tell: phase.tell };
    }
    this.display?.state(shownState(state));
  }

  /** The caller says something: it is recorded where the call is, or a message is being spoken. */
  hearCaller(frame: Uint8Array): void {
    this.messageTake?.add('caller', frame);
    this.callTake?.add('caller', frame);
    this.greetingTake?.add('caller', frame);
  }

  hearStaff(frame: Uint8Array): void {
    this.callTake?.add('staff', frame);
    this.caller.voice(frame);
  }

  /** Whoever looks at the call is shown it from now on; what was shown so far is given back. */
  showOn(display: CallDisplay, state: CallState | undefined, nowMs: number): Shown {
    this.display = display;
    const unheard = [...this.heardAt].flatMap(([index, ms]) => (ms > nowMs ? [index] : []));
    const shown = state ? shownState(state) : { phase: 'idle' as const, talksTo: null };
    return { transcript: this.transcript, unheard, state: shown };
  }

  private play(playId: number, items: readonly PlayItem[], first: number, atMs: number): void {
    this.stopRingback();
    const name = `p${playId}`;
    const askedMs = this.clock.elapsedMs();
    const begin = (ready: readonly HeardItem[]): void => {
      const heard = this.goingOn(ready);
      this.noteHeard(heard, first, atMs + Math.round(this.clock.elapsedMs() - askedMs));
      this.playing = { playId, items: heard, beganMs: this.clock.elapsedMs() };
      this.display?.says(playId, first);
      this.caller.play(playId, heard);
      this.later(name, heardMs(heard), { type: 'playEnded', playId });
    };
    this.noteHeard([], first, Infinity);
    const heard = this.doors.ready(items);
    if (!(heard instanceof Promise)) return begin(heard);
    // Until it is spoken a timer stands for it, so that stopping it meanwhile is known.
    const waiting: Stop = () => undefined;
    this.timers.set(name, waiting);
    const spoken = heard.then((items) => {
      if (this.timers.get(name) === waiting) begin(items);
    });
    unawaited('what a call hears', spoken);
  }

  /** Sentences are heard one after the other, not all when the line begins to say them. */
  private noteHeard(items: readonly HeardItem[], first: number, atMs: number): void {
    if (atMs === Infinity) {
      for (let index = first; index < this.transcript.length; index += 1) this.heardAt.set(index, Infinity);
    }
    let [index, ms] = [first, atMs];
    for (const item of items) {
      if (item.type === 'sentence') this.heardAt.set(index++, ms);
      ms += heardMs([item]);
    }
  }

  /** The transcript as the log keeps it: what was heard, each sentence when it was. */
  private heardTranscript(): TranscriptEntry[] {
    const heard = this.transcript.flatMap((entry, index): TranscriptEntry[] => {
      if (entry.type !== 'said') return [entry];
      const atMs = this.heardAt.get(index) ?? entry.atMs;
      return atMs === Infinity ? [] : [{ ...entry, atMs }];
    });
    // A sentence is heard later than a key that is pressed during the one before it; of the same moment the order stays.
    return heard.sort((one, other) => one.atMs - other.atMs);
  }

  private ringBack(items: readonly PlayItem[]): void {
    this.isRingingBack = true;
    const heard = this.doors.ready(items);
    if (!(heard instanceof Promise)) return this.caller.ringback(heard);
    unawaited(
      'what a call hears while it rings',
      heard.then((spoken) => (this.isRingingBack ? this.caller.ringback(spoken) : undefined)),
    );
  }

  private stopRingback(): void {
    if (!this.isRingingBack) return;
    this.isRingingBack = false;
    this.caller.stopRingback();
  }

  private messageHeader(): Take['header']['of'] {
    const { messageFor } = this;
    return messageFor ? { type: 'message', ...messageFor } : { type: 'call' };
  }

  private endMessage(keepIn: BoxId | null, tell: readonly Tell[]): void {
    const take = this.messageTake;
    this.messageTake = null;
    this.display?.recording(false);
    if (!take) return;
    const typed = this.transcript
      .slice(this.messageFrom)
      .flatMap((each) => (each.type === 'spoke' ? [each.words] : []));
    if (keepIn) this.doors.keepMessage(this, take, { boxId: keepIn, tell, words: typed.join(' ') });
    else take.discard();
  }

  private endGreeting(end: (take: Take) => void): void {
    const take = this.greetingTake;
    this.greetingTake = null;
    if (take) end(take);
  }

  private endRecording(): void {
    const take = this.callTake;
    this.callTake = null;
    if (take) this.doors.keepRecording(this, take);
  }

  private end(): void {
    // Before anything else: whatever fails after this, the call is in the log as it was.
    this.log(true);
    for (const stop of this.timers.values()) stop();
    this.timers.clear();
    this.playing = null;
    this.stopRingback();
    const last = this.transcript.at(-1);
    if (last?.type === 'ended') this.caller.hangUp(last.reason);
  }

  /** Writes the call down, if something happened since it was last: every second, and at its end at once. */
  log(isOver: boolean): void {
    if (!isOver && !this.isUnlogged) return;
    this.isUnlogged = false;
    this.row.transcript = this.heardTranscript();
    if (isOver) {
      this.row.endedAt = this.transcript.at(-1)?.atMs ?? this.row.startedAt;
      this.row.outcome = outcomeOf(this.transcript);
    }
    this.row.answeredBy = answeredIn(this.transcript);
    this.doors.log({ ...this.row });
  }

  /** The clock on the wall was set: the call is as if it had happened so much later. */
  laterBy(ms: number): void {
    this.row.startedAt += ms;
    this.transcript.forEach((entry, index) => (this.transcript[index] = { ...entry, atMs: entry.atMs + ms }));
    for (const [index, atMs] of this.heardAt) this.heardAt.set(index, atMs + ms);
    this.isUnlogged = true;
  }

  /** Hold music goes on where the caller heard it last. */
  private goingOn(items: readonly HeardItem[]): readonly HeardItem[] {
    let fromMs = this.musicMs;
    return items.map((item) => {
      if (item.type !== 'music') return item;
      const going = { ...item, fromMs };
      fromMs += item.ms;
      return going;
    });
  }

  /** What was played is over, or was stopped: so much of its music was heard. */
  private endPlaying(): void {
    if (!this.playing) return;
    let leftMs = this.clock.elapsedMs() - this.playing.beganMs;
    for (const item of this.playing.items) {
      const ms = heardMs([item]);
      if (item.type === 'music') this.musicMs = item.fromMs + Math.round(Math.max(0, Math.min(ms, leftMs)));
      leftMs -= ms;
      if (leftMs <= 0) break;
    }
    this.playing = null;
  }

  private later(name: string, afterMs: number, event: UntimedCallEvent): void {
    this.cancel(name);
    const stop = this.clock.after(afterMs, () => {
      this.timers.delete(name);
      if (event.type === 'playEnded' && this.playing?.playId === event.playId) this.endPlaying();
      this.doors.happen(this.id, event);
    });
    this.timers.set(name, stop);
  }

  private cancel(name: string): void {
    this.timers.get(name)?.();
    this.timers.delete(name);
  }
}
