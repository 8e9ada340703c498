import { Body, Controller, Get, HttpCode, Param, Post, Put } from '@nestjs/common';
import { ApiBody, ApiTags } from '@nestjs/swagger';
import type { LineId } from '@locutor/core/line';
import { WithDocument } from '../problems/withDocument';
import { SaveDraftDto, type SavedDraft } from './draft.dto';
import { DraftsService, type Draft } from './drafts.service';

const withAttendant = new WithDocument(SaveDraftDto, 'attendant');

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
  @ApiBody({ type: SaveDraftDto })
  save(@Param('lineId') lineId: LineId, @Body(withAttendant) body: SavedDraft): Promise<Omit<Draft, 'attendant'>> {
    return this.drafts.save(lineId, body.revision, body.attendant);
  }

  /** Begins anew a draft that cannot be read; refused with 409 where it can. */
  @Post('begin-again')
  @HttpCode(200)
  @ApiBody({ type: SaveDraftDto })
  beginAgain(
    @Param('lineId') lineId: LineId,
    @Body(withAttendant) body: SavedDraft,
  ): Promise<Omit<Draft, 'attendant'>> {
    return this.drafts.beginAgain(lineId, body.revision, body.attendant);
  }
}
