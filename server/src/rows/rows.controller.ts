import { Delete, Get, HttpCode, Param, Post } from '@nestjs/common';
import type { ReferredId } from '@locutor/core/line';
import type { Row } from './row.entity';
import type { RowsService } from './rows.service';

/** What every list of the directory and the library can be asked; adding and changing know their own fields. */
export abstract class RowsController<
  RowId extends string & ReferredId,
  Entity extends Row<RowId> & { name: string },
  Service extends RowsService<RowId, Entity> = RowsService<RowId, Entity>,
> {
  constructor(protected readonly rows: Service) {}

  @Get()
  list(): Promise<Entity[]> {
    return this.rows.list();
  }

  /** Refused with its uses while a draft or what is on air still needs it. */
  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.rows.remove(id as RowId);
  }

  /** Takes a deletion back. */
  @Post(':id/restore')
  @HttpCode(200)
  restore(@Param('id') id: string): Promise<Entity> {
    return this.rows.restore(id as RowId);
  }
}
