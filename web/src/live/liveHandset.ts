import { endsQuietly, type CallState, type RungPhone, type TranscriptEntry } from '@locutor/core/call';
import { heardMs, type CallId, type HandsetHears, type HandsetSays } from '@locutor/core/exchange';
import type { Key } from '@locutor/core/line';
import { playBusy, playKeyTone, playRingback } from '../handset/sounds';
import { playHeard } from './heardPlayer';
import { LineSocket } from './lineSocket';
import { Store } from './store';
import { Voice, type MicrophoneState } from './voice';
import type { Heard } from '../parts/heard';

export interface LiveHandsetView {
  readonly status: 'idle' | 'dialling' | 'on' | 'over';
  readonly lineName: string;
  /** Why a call did not get through. */
  readonly problem: string | null;
  readonly phase: CallState['phase']['type'];
  readonly talksTo: RungPhone | null;
  readonly transcript: readonly TranscriptEntry[];
  readonly speaking: Heard | null;
  readonly unheard: ReadonlySet<number>;
  readonly isRecording: boolean;
  readonly isLost: boolean;
  readonly microphone: MicrophoneState;
}

type Tone = 'ringback' | 'busy';

const place = 'locutor.handset';
const idle: LiveHandsetView = {
  status: 'idle',
  lineName: '',
  problem: null,
  phase: 'idle',
  talksTo: null,
  transcript: [],
  speaking: null,
  unheard: new Set(),
  isRecording: false,
  isLost: false,
  microphone: 'off',
};

/** A caller's phone on the live line: what it hears and says goes over a socket; a page loaded again takes its call up. */
export class LiveHandset extends Store<LiveHandsetView> {
  private readonly socket: LineSocket<HandsetSays, HandsetHears>;
  private readonly voice = new Voice((frame) => this.socket.sendVoice(frame));
  private country: string | undefined;
  private readonly stops = new Map<number | Tone, () => void>();

  constructor() {
    super(idle);
    this.socket = new LineSocket('handset', {
      onMessage: (message) => this.hear(message),
      onVoice: (frame) => this.voice.hear(frame),
      onOpen: () => this.takeUp(),
      onLost: () => this.set({ isLost: true }),
    });
  }

  dial(number: string, callerNumber: string): void {
    this.silence();
    this.set({ ...idle, status: 'dialling' });
    this.socket.say({ type: 'dial', number, callerNumber });
  }

  press(key: Key): void {
    playKeyTone(key);
    this.socket.say({ type: 'key', key });
  }

  speak(words: string): void {
    this.socket.say({ type: 'speak', words });
  }

  hangUp(): void {
    this.socket.say({ type: 'hangUp' });
  }

  again(): void {
    this.silence();
    this.set(idle);
  }

  async setMicrophone(isOn: boolean): Promise<void> {
    this.set({ microphone: await this.voice.turn(isOn) });
  }

  open(): void {
    this.socket.open();
  }

  close(): void {
    this.silence();
    this.voice.close();
    this.socket.close();
  }

  private takeUp(): void {
    this.set({ isLost: false });
    const kept = sessionStorage.getItem(place);
    if (!kept) return;
    this.silence();
    this.set({ ...idle, status: 'dialling', microphone: this.view.microphone });
    const { callId, token } = JSON.parse(kept) as { callId: CallId; token: string };
    this.socket.say({ type: 'resume', callId, token });
  }

  private hear(message: HandsetHears): void {
    switch (message.type) {
      case 'call': {
        const { callId, token, lineName, country, unheard } = message;
        this.country = country ?? undefined;
        sessionStorage.setItem(place, JSON.stringify({ callId, token }));
        return this.set({ status: 'on', lineName, transcript: [], unheard: new Set(unheard), problem: null });
      }
      case 'refused':
        sessionStorage.removeItem(place);
        this.playBusy();
        return this.set({ ...idle, problem: message.says });
      case 'entries':
        return this.set({ transcript: [...this.view.transcript, ...message.entries] });
      case 'state':
        return this.set({ phase: message.phase, talksTo: message.talksTo });
      case 'play':
        return this.play(message);
      case 'stop':
        this.stop(message.playId);
        return this.set({ speaking: null });
      case 'ringback':
        return this.ringBack(message.items);
      case 'stopRingback':
        return this.stop('ringback');
      case 'recording':
        return this.set({ isRecording: message.on });
      case 'ended':
        sessionStorage.removeItem(place);
        this.silence();
        if (!endsQuietly(message.reason)) this.playBusy();
        return this.set({ status: 'over', speaking: null, talksTo: null, isRecording: false });
    }
  }

  private play({ playId, items, first, fromMs }: Extract<HandsetHears, { type: 'play' }>): void {
    const sentences = items.flatMap((item, index) => (item.type === 'sentence' ? [index] : []));
    const entryOf = (index: number): number => first + sentences.indexOf(index);
    const isNew = fromMs === 0;
    if (isNew) this.set({ unheard: new Set([...this.view.unheard, ...sentences.map(entryOf)]) });
    const stop = playHeard(items, fromMs, (index, ms, skippedMs) => {
      const speaking = sentences.includes(index)
        ? { index: entryOf(index), sinceMs: Date.now() - skippedMs, ms }
        : null;
      const unheard = new Set([...this.view.unheard].filter((each) => each !== speaking?.index));
      this.set({ speaking, unheard });
    });
    this.stops.set(playId, stop);
  }

  private playBusy(): void {
    this.stop('busy');
    this.stops.set('busy', playBusy(this.country));
  }

  private ringBack(items: Extract<HandsetHears, { type: 'ringback' }>['items']): void {
    this.stop('ringback');
    this.set({ speaking: null });
    if (items.length === 0) {
      this.stops.set('ringback', playRingback(this.country));
      return;
    }
    const once = heardMs(items);
    let stop = playHeard(items, 0, () => undefined);
    const timer = setInterval(() => {
      stop();
      stop = playHeard(items, 0, () => undefined);
    }, once);
    this.stops.set('ringback', () => {
      clearInterval(timer);
      stop();
    });
  }

  private stop(id: number | Tone): void {
    this.stops.get(id)?.();
    this.stops.delete(id);
  }

  private silence(): void {
    for (const id of [...this.stops.keys()]) this.stop(id);
  }
}
