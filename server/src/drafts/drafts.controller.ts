import { Body, Controller, Get, HttpCode, Param, Post, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { LineId } from '@locutor/core/line';
import { SaveDraftDto } from './draft.dto';
import { DraftsService, type Draft } from './drafts.service';

@ApiTags('Draft')
@Controller('api/lines/:lineId/draft')
export class DraftsController {
  constructor(private readonly drafts: DraftsService) {}

  /** The attendant being edited. */
  @Get()
  get(@Param('lineId') lineId: LineId): Promise<Draft> {
    return this.drafts.get(lineId);
  }

  /** Saves the draft; refused with 409 and the newer revision when it was changed meanwhile. */
  @Put()
  save(@Param('lineId') lineId: LineId, @Body() body: SaveDraftDto): Promise<Omit<Draft, 'attendant'>> {
    return this.drafts.save(lineId, body.revision, body.attendant);
  }

  /** Begins anew a draft that cannot be read; refused with 409 where it can. */
  @Post('begin-again')
  @HttpCode(200)
  beginAgain(@Param('lineId') lineId: LineId, @Body() body: SaveDraftDto): Promise<Omit<Draft, 'attendant'>> {
    return this.drafts.beginAgain(lineId, body.revision, body.attendant);
  }
}
