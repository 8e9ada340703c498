import { appendFileSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { phoneRateHz } from '@locutor/core/audio';
import type { BoxId, Tell } from '@locutor/core/directory';
import type { CallId } from '@locutor/core/exchange';
import type { LineId } from '@locutor/core/line';
import type { Clock } from '../clock/clock';
import { log } from '../log/log';
import type { Tracks } from '../reckoning/spoken';

/** What a recording is for, kept beside it so that it can be finished after the server was killed. */
export interface TakeHeader {
  readonly id: string;
  readonly callId: CallId;
  readonly lineId: LineId;
  readonly callerNumber: string;
  /** In ms since 1970, by the line's clock. */
  readonly startedAt: number;
  readonly isPretended: boolean;
  /** A message for a box, both sides of a call, or a greeting that somebody of the staff speaks. */
  readonly of:
    | { readonly type: 'message'; readonly boxId: BoxId; readonly tell: readonly Tell[] }
    | { readonly type: 'call' }
    | { readonly type: 'greeting' };
}

type Side = 'caller' | 'staff';
const sides: readonly Side[] = ['caller', 'staff'];
/** G.711 mu-law for silence. */
const silence = 0xff;
const bytesPerMs = phoneRateHz / 1000;
/** Frames that come a little late do not tear a hole. */
const slackBytes = 60 * bytesPerMs;

/** A recording under way: raw mu-law, written as it comes, so that what was recorded is there whatever happens. */
export class Take {
  private readonly written: Record<Side, number> = { caller: 0, staff: 0 };
  /** What could not be written, after what was. */
  private readonly held: Record<Side, Uint8Array[]> = { caller: [], staff: [] };
  private isHeld = false;
  /** How long it was in the end; null until it is finished. */
  private endSamples: number | null = null;
  private readonly beganMs: number;

  constructor(
    private readonly folder: string,
    readonly header: TakeHeader,
    private readonly clock: Clock,
  ) {
    this.beganMs = clock.elapsedMs();
    this.write(() => {
      mkdirSync(folder, { recursive: true, mode: 0o700 });
      writeFileSync(join(folder, `${header.id}.json`), JSON.stringify(header), { mode: 0o600 });
    });
  }

  /** Adds what somebody says now; the time in which nothing came is silence. */
  add(side: Side, frame: Uint8Array): void {
    const due = this.samplesSoFar() - frame.length;
    const gap = due - this.written[side];
    // What comes faster than it can be spoken is not spoken.
    if (-gap > slackBytes) return;
    const bytes = gap > slackBytes ? Buffer.concat([Buffer.alloc(gap, silence), frame]) : frame;
    this.written[side] += bytes.length;
    this.write(
      () => appendFileSync(pathOf(this.folder, this.header.id, side), bytes, { mode: 0o600 }),
      () => this.held[side].push(bytes),
    );
  }

  /** Where the disk does not take it, it is held in memory: what is spoken is not lost, and nobody's call ends. */
  private write(onDisk: () => void, inMemory?: () => void): void {
    if (!this.isHeld) {
      try {
        return onDisk();
      } catch (err) {
        this.isHeld = true;
        log.error({ err, takeId: this.header.id }, 'What is recorded cannot be written; it is held in memory');
      }
    }
    inMemory?.();
  }

  /** What was recorded, as long as it took until this was first asked. */
  finish(): Tracks {
    this.endSamples ??= this.samplesSoFar();
    return readTake(this.folder, this.header.id, this.endSamples, this.held);
  }

  discard(): void {
    removeTake(this.folder, this.header.id);
  }

  private samplesSoFar(): number {
    return Math.round((this.clock.elapsedMs() - this.beganMs) * bytesPerMs);
  }
}

/** Recordings that were under way when the server was killed. */
export function takesLeft(folder: string): readonly TakeHeader[] {
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .filter((name) => name.endsWith('.json'))
    .flatMap((name) => {
      try {
        return [JSON.parse(readFileSync(join(folder, name), 'utf8')) as TakeHeader];
      } catch {
        // Killed while its first line was written: there is nothing of it.
        rmSync(join(folder, name));
        return [];
      }
    });
}

/** The sides of a recording; at least so many samples. */
export function readTake(
  folder: string,
  id: string,
  leastSamples = 0,
  held: Readonly<Record<Side, readonly Uint8Array[]>> = { caller: [], staff: [] },
): Tracks {
  const sideOf = (side: Side): Uint8Array => {
    const path = pathOf(folder, id, side);
    return Buffer.concat([existsSync(path) ? readFileSync(path) : Buffer.alloc(0), ...held[side]]);
  };
  return { sides: sides.map(sideOf), leastSamples };
}

export function removeTake(folder: string, id: string): void {
  rmSync(join(folder, `${id}.json`), { force: true });
  for (const side of sides) rmSync(pathOf(folder, id, side), { force: true });
}

function pathOf(folder: string, id: string, side: Side): string {
  return join(folder, `${id}.${side}.ulaw`);
}
