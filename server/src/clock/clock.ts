import { Injectable } from '@nestjs/common';
import { enclosed } from '../log/enclosed';
import { inTurn } from './breath';

/** Stops what was to happen later; once it has happened, or was stopped, this does nothing. */
export type Stop = () => void;

/**
 * Where the server's time comes from. Whatever waits, rings, retries or expires asks here, so that specs can let an hour
 * pass at once. Dates that are only written down (`savedAt`, `deletedAt`) may come from anywhere.
 */
export abstract class Clock {
  /** The clock on the wall, in ms since 1970. It may jump, as when somebody sets it. */
  abstract now(): number;

  /** Time that never jumps, in ms since some moment: for what lasts, not for what is when. */
  abstract elapsedMs(): number;

  /**
   * Lets something happen once, so many ms from now. It keeps no process alive, and whatever goes wrong in it, later too, is
   * logged and ends nothing else.
   */
  abstract after(ms: number, work: () => unknown): Stop;

  /** The same again and again, the first time so many ms from now. */
  abstract every(ms: number, work: () => unknown): Stop;

  /** Soon after the start, and then again and again: what is looked after as long as the server runs. */
  soonAndEvery(soonMs: number, everyMs: number, work: () => unknown): Stop {
    const stops = [this.after(soonMs, work), this.every(everyMs, work)];
    return () => {
      for (const stop of stops) stop();
    };
  }
}

/** The machine's own clock. */
@Injectable()
export class MachineClock extends Clock {
  now(): number {
    return Date.now();
  }

  elapsedMs(): number {
    return performance.now();
  }

  after(ms: number, work: () => unknown): Stop {
    let isStopped = false;
    const happens = enclosed('a timer', () => (isStopped ? undefined : work()));
    const timer = setTimeout(() => inTurn(happens), ms).unref();
    return () => {
      isStopped = true;
      clearTimeout(timer);
    };
  }

  every(ms: number, work: () => unknown): Stop {
    const timer = setInterval(enclosed('a timer', work), ms).unref();
    return () => clearInterval(timer);
  }
}
