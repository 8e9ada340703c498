import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { GreetingId } from '@locutor/core/line';
import { Repository } from 'typeorm';
import { RowsService } from '../rows/rows.service';
import { UsesService } from '../uses/uses.service';
import { GreetingEntity } from './greeting.entity';

@Injectable()
export class GreetingsService extends RowsService<GreetingId, GreetingEntity> {
  constructor(@InjectRepository(GreetingEntity) greetings: Repository<GreetingEntity>, uses: UsesService) {
    super(greetings, uses);
  }

  /** Whatever the door lets in may be kept. */
  protected async check(): Promise<void> {}
}
