import { Body, Controller, Get, HttpCode, Injectable, Module, Param, Post } from '@nestjs/common';
import { ApiProperty, ApiTags } from '@nestjs/swagger';
import { keys, longestLabel, longestWords, type Key, type TakeId } from '@locutor/core/line';
import { compareHeard, grammarOf, heardOptions, type HeardOption, type Listened } from '@locutor/core/speech';

import { ArrayMaxSize, IsArray, IsString, MaxLength } from 'class-validator';
import { ChoiceField, PartsField, TextField } from '../problems/fields';
import { conflict } from '../problems/problem';
import { SoundsService } from '../sounds/sounds.service';
import { TakesModule } from '../takes/takes.module';
import { TakesService } from '../takes/takes.service';
import { Recogniser } from './recogniser';

const mostSentences = 60;

export class ListenedOptionDto {
  @ChoiceField({ of: keys, says: 'A key is one of 0 to 9, * and #.' })
  key: Key;

  @TextField({ name: 'What the key is for', most: longestLabel })
  label: string;
}

export class ListenDto implements Listened {
  @PartsField({
    of: ListenedOptionDto,
    says: 'The options are missing.',
    most: keys.length,
    tooMany: 'There are more options than keys.',
  })
  options: ListenedOptionDto[];

  @IsArray({ message: 'The sentences are missing.' })
  @ArrayMaxSize(mostSentences, { message: `At most ${mostSentences} sentences can be listened for.` })
  @IsString({ each: true, message: 'Each sentence must be text.' })
  @MaxLength(longestWords, { each: true, message: 'A sentence is too long.' })
  @ApiProperty({ type: [String] })
  sentences: string[];
}

/** What was heard in a recording. */
export interface Heard {
  readonly options: readonly HeardOption[];
  /** What was understood, a line an utterance. */
  readonly lines: readonly string[];
}

@Injectable()
export class ListeningService {
  constructor(
    private readonly recogniser: Recogniser,
    private readonly takes: TakesService,
    private readonly sounds: SoundsService,
  ) {}

  get isThere(): boolean {
    return this.recogniser.isThere;
  }

  /**
   * Listens to an English recording three times, as it is and a little slower and quicker: what is not heard the same
   * each time is in doubt. @throws Problem 409 where no recogniser is installed.
   */
  async listen(id: TakeId, expected: Listened): Promise<Heard> {
    if (!this.isThere) throw conflict('No speech recogniser is installed, so that nothing can be listened to.');
    const { recordingId } = await this.takes.get(id);
    const wavs = await this.sounds.forListening(recordingId);
    const times = await this.recogniser.listen(wavs, grammarOf(expected));
    const heard = times.map((lines) => heardOptions(lines, expected));
    return { options: compareHeard(heard, expected), lines: times[0] ?? [] };
  }
}

@ApiTags('Recordings')
@Controller('api')
export class ListeningController {
  constructor(private readonly listening: ListeningService) {}

  /** Whether recordings can be listened to here. */
  @Get('listening')
  isThere(): { readonly isThere: boolean } {
    return { isThere: this.listening.isThere };
  }

  /** Listens to an English recording, and tells which options it says with which keys. */
  @Post('takes/:id/listen')
  @HttpCode(200)
  listen(@Param('id') id: TakeId, @Body() body: ListenDto): Promise<Heard> {
    return this.listening.listen(id, body);
  }
}

@Module({
  imports: [TakesModule],
  controllers: [ListeningController],
  providers: [ListeningService, Recogniser],
})
export class ListeningModule {}
