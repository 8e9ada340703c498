import { Body, Controller, Get, HttpCode, Post } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { isVoiceId, type VoiceId } from '@locutor/core/line';
import { phrasesOf } from '@locutor/core/speech';
import { CheckedField } from '../problems/fields';
import { invalid } from '../problems/problem';
import { SpeechService, type SpokenSentence } from './speech.service';
import { VoiceFolder, VoiceSilent, type VoicesFound } from '../voices/voiceFolder';

export class TryVoiceDto {
  @CheckedField({ check: isVoiceId, says: () => 'There is no such voice.' })
  voice: VoiceId;
}

@ApiTags('Speech')
@Controller('api/voices')
export class VoicesController {
  constructor(
    private readonly voices: VoiceFolder,
    private readonly speech: SpeechService,
  ) {}

  /** The voices of the business's own, and what is wrong with folders that are none. */
  @Get()
  list(): Promise<VoicesFound> {
    return this.voices.list();
  }

  /** Has a voice say something, itself: another does not stand in for it. Problem 422 tells why it cannot. */
  @Post('try')
  @HttpCode(200)
  async try(@Body() { voice }: TryVoiceDto): Promise<SpokenSentence> {
    try {
      return await this.speech.speakItself(voice, phrasesOf(voice).messageTaken);
    } catch (error) {
      throw error instanceof VoiceSilent
        ? invalid([{ at: 'voice', says: `The voice cannot speak. ${error.message}` }])
        : error;
    }
  }
}
