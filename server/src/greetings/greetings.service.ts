import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { GreetingId } from '@locutor/core/line';
import { Repository } from 'typeorm';
import { RowsService } from '../rows/rows.service';
import { TakesService } from '../takes/takes.service';
import { UsesService } from '../uses/uses.service';
import { GreetingEntity } from './greeting.entity';

@Injectable()
export class GreetingsService extends RowsService<GreetingId, GreetingEntity> {
  constructor(
    @InjectRepository(GreetingEntity) greetings: Repository<GreetingEntity>,
    uses: UsesService,
    private readonly takes: TakesService,
  ) {
    super(greetings, uses);
  }

  /** A recording must be there to be heard. */
  protected async check({ take }: Pick<GreetingEntity, 'take'>): Promise<void> {
    if (take) await this.takes.get(take.takeId);
  }
}
