import { Clock, type Stop } from '../clock/clock';
import { enclosed } from '../log/enclosed';

interface Due {
  atMs: number;
  readonly everyMs: number | null;
  readonly work: () => void;
}

/** The longest stretch that passes before whatever came over a socket or from the disk meanwhile is seen to. */
const stepMs = 100;
/** How much passes between two looks at what is waited for. */
const lookEveryMs = 10;
const standsFor = Date.UTC(2026, 10, 23, 15);

/**
 * A clock in a spec's hands: it stands still until the spec lets time pass, and then whatever is due happens in its
 * order. It begins on Monday, 23 November 2026 at 10:00 in New York, whenever the specs run.
 */
export class HandClock extends Clock {
  private passedMs = 0;
  private jumpedMs = 0;
  private due: Due[] = [];

  now(): number {
    return standsFor + this.passedMs + this.jumpedMs;
  }

  elapsedMs(): number {
    return this.passedMs;
  }

  after(ms: number, work: () => unknown): Stop {
    return this.add({ atMs: this.passedMs + ms, everyMs: null, work: enclosed('a timer', work) });
  }

  every(ms: number, work: () => unknown): Stop {
    return this.add({ atMs: this.passedMs + ms, everyMs: ms, work: enclosed('a timer', work) });
  }

  /** Somebody sets the clock on the wall; no time passes by that. */
  jump(ms: number): void {
    this.jumpedMs += ms;
  }

  /** Lets so much time pass; what is due happens, and so does what comes of it. */
  async pass(ms: number): Promise<void> {
    const endMs = this.passedMs + ms;
    await turn();
    while (this.passedMs < endMs || this.due.some(({ atMs }) => atMs <= endMs)) {
      this.step(Math.min(endMs, this.passedMs + stepMs));
      await turn();
    }
  }

  /** Lets time pass until something is found, and gives it back. @throws Error when it is not within so much time. */
  async until<Found>(look: () => Found | undefined | Promise<Found | undefined>, withinMs: number): Promise<Found> {
    const endMs = this.passedMs + withinMs;
    // What comes over sockets and from the disk takes real time: once the clock has passed, that is waited for a while.
    const giveUpMs = Date.now() + 20_000;
    for (;;) {
      const found = await look();
      if (found !== undefined) return found;
      if (this.passedMs < endMs) await this.pass(lookEveryMs);
      else if (Date.now() < giveUpMs) await turn();
      else throw new Error(`It did not come to that within ${withinMs} ms`);
    }
  }

  private add(due: Due): Stop {
    this.due.push(due);
    return () => {
      this.due = this.due.filter((each) => each !== due);
    };
  }

  /** Goes to the next thing that is due, or to a moment when nothing is until then. */
  private step(toMs: number): void {
    const next = this.due.reduce<Due | null>((first, each) => (first && first.atMs <= each.atMs ? first : each), null);
    if (!next || next.atMs > toMs) {
      this.passedMs = toMs;
      return;
    }
    this.passedMs = Math.max(this.passedMs, next.atMs);
    if (next.everyMs === null) this.due = this.due.filter((each) => each !== next);
    else next.atMs += next.everyMs;
    next.work();
  }
}

/** Lets Node see to what came over sockets and from the disk. */
const turn = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 1));
