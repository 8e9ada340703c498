import type { BoardHears, BoardSays, BoardShows } from '@locutor/core/exchange';
import { playHeard } from './heardPlayer';
import { LineSocket } from './lineSocket';
import { Store, useStore } from './store';
import { useOwn } from './useOwn';
import { Voice, type MicrophoneState } from './voice';

interface BoardView {
  readonly view: BoardShows | null;
  readonly aheadMs: number;
  readonly microphone: MicrophoneState;
}

/** The switchboard on the live line; outside phones that are answered here are heard, and spoken on, here. */
class BoardLink extends Store<BoardView> {
  private readonly socket = new LineSocket<BoardSays, BoardHears>('board', {
    onMessage: (message) => this.hear(message),
    onVoice: (frame) => this.voice.hear(frame),
  });
  private readonly voice = new Voice((frame) => this.socket.sendVoice(frame));
  private stopPlaying: () => void = () => undefined;

  constructor() {
    super({ view: null, aheadMs: 0, microphone: 'off' });
  }

  readonly say = (message: BoardSays): void => this.socket.say(message);

  readonly setMicrophone = async (isOn: boolean): Promise<void> => {
    this.set({ microphone: await this.voice.turn(isOn) });
  };

  open(): void {
    this.socket.open();
  }

  close(): void {
    this.stopPlaying();
    this.voice.close();
    this.socket.close();
  }

  private hear(message: BoardHears): void {
    switch (message.type) {
      case 'board':
        return this.set({ view: message, aheadMs: message.nowMs - Date.now() });
      case 'play':
        this.stopPlaying();
        this.stopPlaying = playHeard(message.items, 0, () => undefined);
        return;
      case 'stop':
        return this.stopPlaying();
    }
  }
}

interface Board extends BoardView {
  readonly say: (message: BoardSays) => void;
  readonly setMicrophone: (isOn: boolean) => Promise<void>;
}

/** The calls in progress, as they are now. */
export function useBoard(): Board {
  const link = useOwn('board', () => new BoardLink());
  return { ...useStore(link), say: link.say, setMicrophone: link.setMicrophone };
}
