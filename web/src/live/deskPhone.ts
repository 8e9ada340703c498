import type { PersonId } from '@locutor/core/directory';
import type { DeskHears, DeskSays, DeskView } from '@locutor/core/exchange';
import type { Key } from '@locutor/core/line';
import { playBusy, playKeyTone, playRingback } from '../handset/sounds';
import { playHeard } from './heardPlayer';
import { LineSocket } from './lineSocket';
import { Store } from './store';
import { Voice, type MicrophoneState } from './voice';

export interface DeskPhoneView {
  /** Null until the line has said it. */
  readonly desk: DeskView | null;
  /** How far the line's clock is ahead of the browser's, in ms. */
  readonly aheadMs: number;
  readonly isLost: boolean;
  /** What was dialled and means nothing. */
  readonly wrongNumber: string | null;
  readonly microphone: MicrophoneState;
}

/** A desk phone on the live line. */
export class DeskPhone extends Store<DeskPhoneView> {
  private readonly socket: LineSocket<DeskSays, DeskHears>;
  private readonly voice = new Voice((frame) => this.socket.sendVoice(frame));
  private stopPlaying: () => void = () => undefined;
  private stopRinging: (() => void) | null = null;
  private stopTone: () => void = () => undefined;

  /** @param rings whether its ringing is heard here. */
  constructor(
    personId: PersonId,
    private readonly rings: boolean,
  ) {
    super({ desk: null, aheadMs: 0, isLost: false, wrongNumber: null, microphone: 'off' });
    this.socket = new LineSocket(`desk/${encodeURIComponent(personId)}`, {
      onMessage: (message) => this.hear(message),
      onVoice: (frame) => this.voice.hear(frame),
      onOpen: () => this.set({ isLost: false }),
      onLost: () => this.set({ isLost: true }),
    });
  }

  say(message: DeskSays): void {
    if (message.type === 'dial') this.set({ wrongNumber: null });
    this.socket.say(message);
  }

  press(key: Key): void {
    playKeyTone(key);
    this.say({ type: 'key', key });
  }

  async setMicrophone(isOn: boolean): Promise<void> {
    this.set({ microphone: await this.voice.turn(isOn) });
  }

  open(): void {
    this.socket.open();
  }

  close(): void {
    this.stopPlaying();
    this.stopRinging?.();
    this.stopTone();
    this.voice.close();
    this.socket.close();
  }

  private hear(message: DeskHears): void {
    switch (message.type) {
      case 'view': {
        const { view, nowMs } = message;
        this.ring(view.doing.type === 'rung' && !view.doing.isAccepting);
        if (view.doing.type === 'nothing' || view.doing.type === 'talking') this.stopPlaying();
        return this.set({ desk: view, aheadMs: nowMs - Date.now() });
      }
      case 'noSuchNumber':
        return this.set({ wrongNumber: message.digits });
      case 'play':
        this.stopPlaying();
        this.stopPlaying = playHeard(message.items, 0, () => undefined);
        return;
      case 'stop':
        return this.stopPlaying();
      case 'tone':
        return this.hearTone(message);
    }
  }

  private hearTone({ tone, country }: Extract<DeskHears, { type: 'tone' }>): void {
    this.stopTone();
    this.stopTone = () => undefined;
    if (tone) this.stopTone = (tone === 'busy' ? playBusy : playRingback)(country ?? undefined);
  }

  private ring(isRinging: boolean): void {
    if (!this.rings || isRinging === (this.stopRinging !== null)) return;
    this.stopRinging?.();
    this.stopRinging = isRinging ? playRingback() : null;
  }
}
