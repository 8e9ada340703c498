import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { PersonId } from '@locutor/core/directory';
import type { Presence } from '@locutor/core/exchange';
import { Repository } from 'typeorm';
import { PresenceEntity } from './presence.entity';

@Injectable()
export class PresencesService {
  constructor(@InjectRepository(PresenceEntity) private readonly presences: Repository<PresenceEntity>) {}

  async all(): Promise<ReadonlyMap<PersonId, Presence>> {
    return new Map((await this.presences.find()).map(({ personId, presence }) => [personId, presence]));
  }

  /** Of several at once the last one stays. */
  async keep(personId: PersonId, presence: Presence): Promise<void> {
    await this.presences.upsert({ personId, presence }, ['personId']);
  }
}
