import { Controller, Get, Param, Res } from '@nestjs/common';
import { ApiProduces, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { notFound } from '../problems/problem';
import { isAudioId } from './audioId';
import { AudioStore } from './audioStore';

@ApiTags('Audio')
@Controller('api/audio')
export class AudioController {
  constructor(private readonly store: AudioStore) {}

  /** A sound as the telephone carries it: WAV, G.711 mu-law, 8 kHz. */
  @Get(':id')
  @ApiProduces('audio/wav')
  async send(@Param('id') id: string, @Res() response: Response): Promise<void> {
    if (!isAudioId(id)) throw notFound('That sound');
    const path = await this.store.pathOfKept(id);
    response.set('Cache-Control', 'private, max-age=31536000, immutable').type('audio/wav');
    response.sendFile(path, { dotfiles: 'allow' });
  }
}
