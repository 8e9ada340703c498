import { Body, Controller, Param, Patch, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { callerListId, type CallerListId } from '@locutor/core/directory';
import { OwnNumbers } from '../lines/ownNumbers';
import { newId } from '../rows/newId';
import { RowsController } from '../rows/rows.controller';
import { AddCallerListDto, ChangeCallerListDto, readPatterns } from './callerList.dto';
import type { CallerListEntity } from './callerList.entity';
import { CallerListsService } from './callerLists.service';

@ApiTags('Directory')
@Controller('api/caller-lists')
export class CallerListsController extends RowsController<CallerListId, CallerListEntity> {
  constructor(
    lists: CallerListsService,
    private readonly ownNumbers: OwnNumbers,
  ) {
    super(lists);
  }

  @Post()
  async add(@Body() { name, kind, patterns = [], anonymous = false }: AddCallerListDto): Promise<CallerListEntity> {
    const read = readPatterns(patterns, await this.ownNumbers.country());
    return this.rows.add({ id: newId(callerListId), name, kind, patterns: read, anonymous });
  }

  @Patch(':id')
  async change(
    @Param('id') id: CallerListId,
    @Body() { revision, patterns, ...changes }: ChangeCallerListDto,
  ): Promise<CallerListEntity> {
    const read = patterns ? { ...changes, patterns: readPatterns(patterns, await this.ownNumbers.country()) } : changes;
    return this.rows.change(id, revision, read);
  }
}
