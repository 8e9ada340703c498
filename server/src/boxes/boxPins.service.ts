import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import {
  afterWrongPin,
  noTries,
  pauseLeft,
  triesForgottenAfterMs,
  type PinAnswer,
  type PinTries,
} from '@locutor/core/call';
import type { BoxId } from '@locutor/core/directory';
import { Repository } from 'typeorm';
import { Clock } from '../clock/clock';
import { log } from '../log/log';
import { BoxPinEntity } from './boxPin.entity';

const derive = promisify<string, string, number, Buffer>(scrypt);
const hashBytes = 32;

/** What comes of a PIN, without the messages it opens. */
export type PinTried = { readonly type: 'right' } | Exclude<PinAnswer, { readonly type: 'right' }>;

/** Keeps the PINs of boxes, and knows whether one typed on a phone is right. */
@Injectable()
export class BoxPinsService {
  /** Of whom wrong PINs came, the one who was wrong last at the end. */
  private readonly tries = new Map<string, PinTries>();

  constructor(
    @InjectRepository(BoxPinEntity) private readonly pins: Repository<BoxPinEntity>,
    private readonly clock: Clock,
  ) {}

  async set(boxId: BoxId, pin: string): Promise<void> {
    const salt = randomBytes(16).toString('hex');
    await this.pins.save({ boxId, salt, hash: (await derive(pin, salt, hashBytes)).toString('hex') });
  }

  /** The boxes that have a PIN. */
  async boxes(): Promise<ReadonlySet<BoxId>> {
    return new Set((await this.pins.find()).map(({ boxId }) => boxId));
  }

  /**
   * Tries a PIN that somebody typed: a person's id, or the number they call from. Wrong ones are counted over all their
   * calls; after too many, none is tried for a while. A box without a PIN lets nobody in.
   */
  async check(boxId: BoxId, caller: string, pin: string): Promise<PinTried> {
    const key = `${boxId} ${caller}`;
    const nowMs = this.clock.elapsedMs();
    const pausedMs = pauseLeft(this.tries.get(key) ?? noTries, nowMs);
    if (pausedMs > 0) return { type: 'paused', forMs: pausedMs };
    // Counted before it is tried: of many at once no more are than of one after the other.
    const wrong = afterWrongPin(this.tries.get(key) ?? noTries, nowMs);
    this.keep(key, wrong);
    if (await this.isRight(boxId, pin)) {
      this.tries.delete(key);
      return { type: 'right' };
    }
    const forMs = pauseLeft(wrong, this.clock.elapsedMs());
    if (forMs === 0) return { type: 'wrong' };
    log.warn({ boxId, tries: wrong.count, forMs }, 'Too many wrong PINs');
    return { type: 'paused', forMs };
  }

  private keep(key: string, tries: PinTries): void {
    this.tries.delete(key);
    this.tries.set(key, tries);
    const before = this.clock.elapsedMs() - triesForgottenAfterMs;
    for (const [old, { pausedUntilMs }] of this.tries) {
      if (pausedUntilMs >= before) break;
      this.tries.delete(old);
    }
  }

  private async isRight(boxId: BoxId, pin: string): Promise<boolean> {
    const kept = await this.pins.findOneBy({ boxId });
    if (!kept) return false;
    return timingSafeEqual(await derive(pin, kept.salt, hashBytes), Buffer.from(kept.hash, 'hex'));
  }
}
