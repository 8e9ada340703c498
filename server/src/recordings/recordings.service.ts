import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { placeOfText } from '@locutor/core/line';
import { Repository } from 'typeorm';
import { readSays } from '../takes/take.dto';
import { TakesService } from '../takes/takes.service';
import type { SetRecordingDto } from './recordings.dto';
import { TextRecordingEntity } from './textRecording.entity';

/** Which texts are heard from a recording, whoever says them. */
@Injectable()
export class RecordingsService {
  constructor(
    @InjectRepository(TextRecordingEntity) private readonly recordings: Repository<TextRecordingEntity>,
    private readonly takes: TakesService,
  ) {}

  list(): Promise<TextRecordingEntity[]> {
    return this.recordings.find({ order: { place: 'ASC' } });
  }

  /** Lets a text be heard from a recording, or from the voice again. Callers hear it at once. */
  async set({ language, words, take, live }: SetRecordingDto): Promise<TextRecordingEntity[]> {
    const place = placeOfText(language, words);
    if (take) {
      await this.takes.get(take.takeId);
      const said = live === undefined ? [] : readSays(`{"words":"","options":[],"live":${live}}`).live;
      await this.recordings.upsert({ place, language, words, take: { ...take }, live: said } as never, ['place']);
    } else await this.recordings.delete({ place });
    return this.list();
  }
}
