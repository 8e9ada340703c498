import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import { ApiProperty, ApiTags } from '@nestjs/swagger';
import { isVoiceId, longestWords, type VoiceId } from '@locutor/core/line';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsString, Length } from 'class-validator';
import { CheckedField } from '../problems/fields';
import { SpeechService, type SpokenSentence } from './speech.service';

const mostSentences = 200;

export class SpeakDto {
  @CheckedField({ check: isVoiceId, says: () => 'That is not a voice that is shipped.' })
  voice: VoiceId;

  @IsArray({ message: 'The sentences are missing.' })
  @ArrayMinSize(1, { message: 'There is nothing to say.' })
  @ArrayMaxSize(mostSentences, { message: `At most ${mostSentences} sentences can be spoken at once.` })
  @IsString({ each: true, message: 'Each sentence must be text.' })
  @Length(1, longestWords, {
    each: true,
    message: `A sentence has 1 to ${longestWords.toLocaleString('en')} characters.`,
  })
  @ApiProperty({ type: [String] })
  texts: string[];
}

@ApiTags('Speech')
@Controller('api/speech')
export class SpeechController {
  constructor(private readonly speech: SpeechService) {}

  /** Speaks sentences; each comes back with its audio and its exact length. */
  @Post()
  @HttpCode(200)
  speak(@Body() { voice, texts }: SpeakDto): Promise<SpokenSentence[]> {
    return this.speech.speakAll(voice, texts);
  }
}
