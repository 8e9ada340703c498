import { open } from 'node:fs/promises';
import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Param,
  Patch,
  Post,
  Query,
  Req,
  Res,
  UploadedFile,
  UseInterceptors,
} from '@nestjs/common';
import { FileInterceptor } from '@nestjs/platform-express';
import { ApiConsumes, ApiProduces, ApiTags } from '@nestjs/swagger';
import { largestSoundBytes, lookAtFile } from '@locutor/core/audio';
import type { TakeId } from '@locutor/core/line';
import type { Request, Response } from 'express';
import { AudioStore } from '../audio/audioStore';
import { answerInStages, stagesType } from '../problems/answerInStages';
import { invalid } from '../problems/problem';
import { downloadKinds, type DownloadKind } from '../sounds/soundTask';
import { BringTakeDto, ChangeTakeDto, PolishTakeDto } from './take.dto';
import type { TakeEntity } from './take.entity';
import { TakesService } from './takes.service';

/** A little over the limit, so that what is larger is refused in words and not by the form reader. */
const mostBytes = largestSoundBytes + 4096;

@ApiTags('Recordings')
@Controller('api/takes')
export class TakesController {
  constructor(
    private readonly takes: TakesService,
    private readonly audio: AudioStore,
  ) {}

  /** The recordings of a place, or all, the newest first. */
  @Get()
  list(@Query('place') place: string | undefined): Promise<TakeEntity[]> {
    return this.takes.list(place);
  }

  /**
   * Takes a sound file in (part `audio`) and makes it good. Asked for `application/x-ndjson` it tells a line at each
   * stage, `{"stage": ...}`, and at the end `{"done": ...}` or `{"problem": ...}`. Giving up the request ends the work.
   */
  @Post()
  @ApiConsumes('multipart/form-data')
  @ApiProduces('application/json', stagesType)
  @UseInterceptors(FileInterceptor('audio', { limits: { fileSize: mostBytes, files: 1, fields: 12 } }))
  bring(
    @Body() body: BringTakeDto,
    @UploadedFile() file: Express.Multer.File | undefined,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    if (!file) throw invalid([{ at: 'audio', says: 'The sound file is missing.' }]);
    const fileName = body.fileName || (body.source === 'file' ? nameOf(file) : '');
    return answerInStages(request, response, 201, (progress) =>
      this.takes.bring(file, { ...body, fileName }, progress),
    );
  }

  /** Makes a recording good by another recipe. */
  @Post(':id/polish')
  @ApiProduces('application/json', stagesType)
  polish(
    @Param('id') id: TakeId,
    @Body() { recipe }: PolishTakeDto,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    return answerInStages(request, response, 200, (progress) => this.takes.polish(id, recipe, progress));
  }

  @Patch(':id')
  change(@Param('id') id: TakeId, @Body() body: ChangeTakeDto): Promise<TakeEntity> {
    return this.takes.change(id, body);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: TakeId): Promise<void> {
    return this.takes.remove(id);
  }

  /** Takes a deletion back. */
  @Post(':id/restore')
  @HttpCode(200)
  restore(@Param('id') id: TakeId): Promise<TakeEntity> {
    return this.takes.restore(id);
  }

  /** The file as it came. */
  @Get(':id/original')
  @ApiProduces('application/octet-stream')
  async original(@Param('id') id: TakeId, @Res() response: Response): Promise<void> {
    const { originalId, fileName } = await this.takes.get(id);
    const path = await this.audio.pathOfKept(originalId);
    const head = { name: fileName || `recording.${await kindOf(path)}`, type: 'application/octet-stream' };
    headed(response, head).sendFile(path, { dotfiles: 'allow', cacheControl: false });
  }

  /** The finished recording in an open format. */
  @Get(':id/download')
  @ApiProduces('audio/wav', 'audio/basic', 'application/octet-stream')
  async download(
    @Param('id') id: TakeId,
    @Query('as') as: string | undefined,
    @Res() response: Response,
  ): Promise<void> {
    if (!isDownloadKind(as)) {
      throw invalid([{ at: 'as', says: `A recording can be had as one of ${downloadKinds.join(', ')}.` }]);
    }
    const { end, type } = fileKinds[as];
    const sound = await this.takes.write(id, as);
    headed(response, { name: `recording${end}`, type }).end(sound);
  }
}

const fileKinds: Readonly<Record<DownloadKind, { readonly end: string; readonly type: string }>> = {
  wav: { end: '.wav', type: 'audio/wav' },
  muLaw: { end: '.ulaw', type: 'application/octet-stream' },
  aLaw: { end: '.alaw', type: 'application/octet-stream' },
  muLawWav: { end: ' mu-law.wav', type: 'audio/wav' },
  aLawWav: { end: ' A-law.wav', type: 'audio/wav' },
  au: { end: '.au', type: 'audio/basic' },
  asOnPhone: { end: ' as on the phone.wav', type: 'audio/wav' },
};

function isDownloadKind(text: string | undefined): text is DownloadKind {
  return downloadKinds.some((kind) => kind === text);
}

function headed(response: Response, { name, type }: { readonly name: string; readonly type: string }): Response {
  return response.attachment(name).type(type).set('Cache-Control', 'private, no-cache');
}

/** Enough of a file to tell its kind. */
const headBytes = 4096;

async function kindOf(path: string): Promise<string> {
  const file = await open(path);
  try {
    const { buffer, bytesRead } = await file.read({ buffer: Buffer.alloc(headBytes) });
    const look = lookAtFile(buffer.subarray(0, bytesRead), '');
    return look.type === 'sound' ? look.kind : 'raw';
  } finally {
    await file.close();
  }
}

/** The form reader takes names for Latin-1; browsers send UTF-8. */
function nameOf({ originalname }: Express.Multer.File): string {
  return Buffer.from(originalname, 'latin1').toString('utf8').slice(0, 255);
}
