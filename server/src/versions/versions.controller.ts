import { Controller, Get, Param, Res } from '@nestjs/common';
import { ApiProduces, ApiTags } from '@nestjs/swagger';
import type { LineId } from '@locutor/core/line';
import type { Response } from 'express';
import { AudioStore } from '../audio/audioStore';
import { LinesService } from '../lines/lines.service';
import { Reckoning } from '../reckoning/reckoning.module';
import { exportVersion } from './exportVersion';
import type { VersionId } from './versionId';
import { VersionsService, type Version, type WholeVersion } from './versions.service';

@ApiTags('Versions')
@Controller('api/lines/:lineId/versions')
export class VersionsController {
  constructor(
    private readonly versions: VersionsService,
    private readonly lines: LinesService,
    private readonly audio: AudioStore,
    private readonly reckoning: Reckoning,
  ) {}

  @Get()
  list(@Param('lineId') lineId: LineId): Promise<Version[]> {
    return this.versions.list(lineId);
  }

  /** A version as it was, with what it said and whom it referred to. */
  @Get(':versionId')
  get(@Param('lineId') lineId: LineId, @Param('versionId') id: VersionId): Promise<WholeVersion> {
    return this.versions.get(lineId, id);
  }

  /** A version with its recordings, as a zip of JSON and WAV files. */
  @Get(':versionId/export')
  @ApiProduces('application/zip')
  async export(
    @Param('lineId') lineId: LineId,
    @Param('versionId') id: VersionId,
    @Res() response: Response,
  ): Promise<void> {
    const version = await this.versions.get(lineId, id);
    const zip = await exportVersion(await this.lines.get(lineId), version, this.audio, this.reckoning);
    response.attachment(`version ${version.number}.zip`).type('application/zip').end(zip);
  }
}
