import { Body, Controller, Get, HttpCode, Param, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { LineId } from '@locutor/core/line';
import { RevisionField } from '../problems/fields';
import type { VersionId } from './versionId';
import { VersionsService, type Version, type WholeVersion } from './versions.service';

export class PutOnAirDto {
  /** The revision of the draft that was looked at. */
  @RevisionField()
  draftRevision: number;
}

@ApiTags('Versions')
@Controller('api/lines/:lineId/versions')
export class VersionsController {
  constructor(private readonly versions: VersionsService) {}

  @Get()
  list(@Param('lineId') lineId: LineId): Promise<Version[]> {
    return this.versions.list(lineId);
  }

  @Get(':versionId')
  get(@Param('lineId') lineId: LineId, @Param('versionId') id: VersionId): Promise<WholeVersion> {
    return this.versions.get(lineId, id);
  }

  /** Puts the draft on air as a new version; refused with its faults when it has any. */
  @Post()
  putOnAir(@Param('lineId') lineId: LineId, @Body() { draftRevision }: PutOnAirDto): Promise<Version> {
    return this.versions.putOnAir(lineId, draftRevision);
  }

  /** Puts an earlier version back on air. */
  @Post(':versionId/put-back')
  @HttpCode(200)
  putBack(@Param('lineId') lineId: LineId, @Param('versionId') id: VersionId): Promise<Version> {
    return this.versions.putBack(lineId, id);
  }
}
