import { Controller, Get, Header, Param, Query, StreamableFile } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { CallId } from '@locutor/core/exchange';
import { UsesService } from '../uses/uses.service';
import type { CallEntity } from './call.entity';
import { CallsQuery } from './calls.dto';
import { CallsService, type CallsPage } from './calls.service';

@ApiTags('Calls')
@Controller('api/calls')
export class CallsController {
  constructor(
    private readonly calls: CallsService,
    private readonly uses: UsesService,
  ) {}

  /** The call log, newest first, a hundred at a time. */
  @Get()
  async page(@Query() query: CallsQuery): Promise<CallsPage> {
    return this.calls.page(query, await this.uses.names());
  }

  /** The same calls as a spreadsheet (RFC 4180). */
  @Get('csv')
  @Header('Content-Type', 'text/csv; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="calls.csv"')
  async csv(@Query() query: CallsQuery): Promise<StreamableFile> {
    return new StreamableFile(await this.calls.csv(query, await this.uses.names()));
  }

  /** A call with its transcript. */
  @Get(':id')
  get(@Param('id') id: CallId): Promise<CallEntity> {
    return this.calls.get(id);
  }
}
