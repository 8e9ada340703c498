import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { Box, BoxId } from '@locutor/core/directory';
import { Repository } from 'typeorm';
import { GreetingsService } from '../greetings/greetings.service';
import { PeopleService } from '../people/people.service';
import { RowsService } from '../rows/rows.service';
import { UsesService } from '../uses/uses.service';
import { BoxEntity } from './box.entity';

@Injectable()
export class BoxesService extends RowsService<BoxId, BoxEntity> {
  constructor(
    @InjectRepository(BoxEntity) boxes: Repository<BoxEntity>,
    uses: UsesService,
    private readonly greetings: GreetingsService,
    private readonly people: PeopleService,
  ) {
    super(boxes, uses);
  }

  protected async check({ greetingId, ownerId, tell }: Pick<Box, 'greetingId' | 'ownerId' | 'tell'>): Promise<void> {
    if (greetingId) await this.greetings.get(greetingId);
    if (ownerId) await this.people.get(ownerId);
    for (const { personId } of tell) await this.people.get(personId);
  }
}
