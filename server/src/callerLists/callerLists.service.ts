import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { CallerListId } from '@locutor/core/directory';
import { Repository } from 'typeorm';
import { RowsService } from '../rows/rows.service';
import { UsesService } from '../uses/uses.service';
import { CallerListEntity } from './callerList.entity';

@Injectable()
export class CallerListsService extends RowsService<CallerListId, CallerListEntity> {
  protected override readonly listed = 'callerLists';
  constructor(@InjectRepository(CallerListEntity) lists: Repository<CallerListEntity>, uses: UsesService) {
    super(lists, uses);
  }

  /** Whatever the door lets in may be kept. */
  protected async check(): Promise<void> {}
}
