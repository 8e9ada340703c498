import { instantOf, type TimeZone } from '@locutor/core/hours';
import type { Clock } from '../clock/clock';
import { log } from '../log/log';

/** The clocks of a machine part by less than this as they are kept right. */
const smallestJumpMs = 1000;

/**
 * The line's clock: the real one, or a pretended one. It never jumps by itself; when the clock on the wall is set, all that
 * is on the line moves with it.
 */
export class LineClock {
  private aheadMs = 0;
  /** The clock on the wall and the one that never jumps, at the same moment. */
  private wallAtStartMs: number;
  private readonly elapsedAtStartMs: number;

  constructor(private readonly clock: Clock) {
    this.wallAtStartMs = clock.now();
    this.elapsedAtStartMs = clock.elapsedMs();
  }

  /** In ms since 1970. */
  now(): number {
    return this.wallAtStartMs + Math.round(this.clock.elapsedMs() - this.elapsedAtStartMs) + this.aheadMs;
  }

  get isPretended(): boolean {
    return this.aheadMs !== 0;
  }

  /** How much later everything on the line happened by the wall, when that was set; 0 when it was not. */
  followWall(): number {
    const jumpMs = this.clock.now() + this.aheadMs - this.now();
    if (Math.abs(jumpMs) < smallestJumpMs) return 0;
    this.wallAtStartMs += jumpMs;
    log.warn({ jumpMs }, 'The clock of this machine was set');
    if (!this.isPretended) return jumpMs;
    // A pretended moment stays what it is.
    this.aheadMs -= jumpMs;
    return 0;
  }

  /** Sets it to a pretended moment by the clock on the wall of a zone, or back to the real one. */
  set(reading: string | null, zone: TimeZone): void {
    this.aheadMs = 0;
    if (reading) this.aheadMs = instantOf(reading, zone) - this.now();
  }
}
