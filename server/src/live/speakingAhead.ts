import { spokenFacts, type CallScript, type PlayItem } from '@locutor/core/call';
import { sheetSentences } from '@locutor/core/speech';
import type { Clock, Stop } from '../clock/clock';

const soonMs = 3000;
/** What live parts say changes with the clock: it is spoken before callers can hear it. */
const everyMs = 600_000;

interface Options {
  readonly clock: Clock;
  /** What calls go by now; null while that is not known. */
  readonly world: () => CallScript | null;
  /** By the line's clock. */
  readonly now: () => number;
  readonly speak: (items: readonly PlayItem[]) => unknown;
}

/** Has what is on air spoken before anybody calls, so that the first one does not wait for it. */
export class SpeakingAhead {
  private turn = 0;
  private stopSoon: Stop | undefined;
  private stopAgain: Stop | undefined;

  constructor(private readonly options: Options) {}

  start(): void {
    this.soon();
    this.stopAgain = this.options.clock.every(everyMs, () => this.soon());
  }

  stop(): void {
    this.stopSoon?.();
    this.stopAgain?.();
    this.turn += 1;
  }

  /** What is said may be other than before. */
  soon(afterMs = soonMs): void {
    this.stopSoon?.();
    this.stopSoon = this.options.clock.after(afterMs, () => this.speak());
  }

  /** One sentence after the other: what a caller is to hear meanwhile waits for one at most. */
  private async speak(): Promise<void> {
    const turn = (this.turn += 1);
    const { now, speak } = this.options;
    const world = this.options.world();
    for (const line of world?.lines ?? []) {
      const { attendant } = line;
      for (const atMs of [now(), now() + everyMs]) {
        const facts = spokenFacts(world as CallScript, line, atMs);
        for (const sheet of attendant.sheets) {
          for (const sentence of sheetSentences(sheet, attendant.voice, facts)) {
            if (turn !== this.turn) return;
            await speak([{ type: 'sentence', sentence }]);
          }
        }
      }
    }
  }
}
