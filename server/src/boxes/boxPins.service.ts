import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { BoxId } from '@locutor/core/directory';
import { Repository } from 'typeorm';
import { BoxPinEntity } from './boxPin.entity';

const derive = promisify<string, string, number, Buffer>(scrypt);
const hashBytes = 32;

/** Keeps the PINs of boxes, and knows whether one typed on a phone is right. */
@Injectable()
export class BoxPinsService {
  constructor(@InjectRepository(BoxPinEntity) private readonly pins: Repository<BoxPinEntity>) {}

  async set(boxId: BoxId, pin: string): Promise<void> {
    const salt = randomBytes(16).toString('hex');
    await this.pins.save({ boxId, salt, hash: (await derive(pin, salt, hashBytes)).toString('hex') });
  }

  /** The boxes that have a PIN. */
  async boxes(): Promise<ReadonlySet<BoxId>> {
    return new Set((await this.pins.find()).map(({ boxId }) => boxId));
  }

  /** A box without a PIN lets nobody in. */
  async isRight(boxId: BoxId, pin: string): Promise<boolean> {
    const kept = await this.pins.findOneBy({ boxId });
    if (!kept) return false;
    return timingSafeEqual(await derive(pin, kept.salt, hashBytes), Buffer.from(kept.hash, 'hex'));
  }
}
