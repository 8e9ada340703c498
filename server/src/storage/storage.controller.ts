import { Controller, Get, Inject } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { DataSource } from 'typeorm';
import { spokenBytes } from '../speech/spokenBytes';
import { SpokenSentenceEntity } from '../speech/spokenSentence.entity';
import { dataFolder } from './dataFolder';
import { diskRoom, type DiskRoom } from './diskRoom';

/** What is kept, and what room there is for more. */
export interface Kept extends DiskRoom {
  /** Where everything is kept. */
  readonly folder: string;
  /** Sentences that voices have spoken. */
  readonly spokenSentences: number;
  readonly spokenBytes: number;
}

@ApiTags('Settings')
@Controller('api/storage')
export class StorageController {
  constructor(
    @Inject(dataFolder) private readonly folder: string,
    private readonly database: DataSource,
  ) {}

  @Get()
  async kept(): Promise<Kept> {
    const spoken = this.database.getRepository(SpokenSentenceEntity);
    const count = await spoken.count();
    const lengthMs = (await spoken.sum('lengthMs')) ?? 0;
    const bytes = count * spokenBytes(0) + (spokenBytes(lengthMs) - spokenBytes(0));
    return { ...(await diskRoom(this.folder)), folder: this.folder, spokenSentences: count, spokenBytes: bytes };
  }
}
