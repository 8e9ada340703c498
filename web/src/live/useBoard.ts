import type { BoardHears, BoardSays } from '@locutor/core/exchange';
import { LineSocket } from './lineSocket';
import { Store, useStore } from './store';
import { useOwn } from './useOwn';

interface BoardView {
  readonly view: BoardHears | null;
  readonly aheadMs: number;
}

class BoardLink extends Store<BoardView> {
  private readonly socket = new LineSocket<BoardSays, BoardHears>('board', {
    onMessage: (view) => this.set({ view, aheadMs: view.nowMs - Date.now() }),
  });

  constructor() {
    super({ view: null, aheadMs: 0 });
  }

  readonly say = (message: BoardSays): void => this.socket.say(message);

  open(): void {
    this.socket.open();
  }

  close(): void {
    this.socket.close();
  }
}

/** The calls in progress, as they are now. */
export function useBoard(): BoardView & { readonly say: (message: BoardSays) => void } {
  const link = useOwn('board', () => new BoardLink());
  return { ...useStore(link), say: link.say };
}
