import { Body, Controller, Get, Injectable, Module, Put } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { InjectRepository, TypeOrmModule } from '@nestjs/typeorm';
import { languages, type Language } from '@locutor/core/line';
import { longestSaid, longestWritten, mostSayAs, type SayAs } from '@locutor/core/speech';

import { Column, Entity, PrimaryColumn, Repository } from 'typeorm';
import { ChoiceField, OrNull, PartsField, RevisionField, TextField } from '../problems/fields';
import { changeRevision } from '../rows/changeRevision';

/** How words are said, everywhere: one list for the whole business. */
@Entity('dictionary')
export class DictionaryEntity {
  @PrimaryColumn('text')
  id: 'business';

  @Column('simple-json')
  words: SayAs[];

  @Column('integer', { default: 1 })
  revision: number;
}

export class SayAsDto implements SayAs {
  @TextField({ name: 'The word', most: longestWritten })
  written: string;

  @TextField({ name: 'How it is said', most: longestSaid })
  said: string;

  @OrNull()
  @ChoiceField({ of: Object.keys(languages), says: 'The language must be one that menus can be in.' })
  language: Language | null;
}

export class ChangeDictionaryDto {
  @RevisionField()
  revision: number;

  @PartsField({
    of: SayAsDto,
    says: 'The words are missing.',
    most: mostSayAs,
    tooMany: `The dictionary holds at most ${mostSayAs} words.`,
  })
  words: SayAsDto[];
}

const empty: DictionaryEntity = { id: 'business', words: [], revision: 1 };

@Injectable()
export class DictionaryService {
  private known: Promise<DictionaryEntity> | null = null;

  constructor(@InjectRepository(DictionaryEntity) private readonly rows: Repository<DictionaryEntity>) {}

  /** Read once, then remembered: every sentence is looked up in it. */
  get(): Promise<DictionaryEntity> {
    this.known ??= this.read().catch((error: unknown) => {
      this.known = null;
      throw error;
    });
    return this.known;
  }

  async change({ revision, words }: ChangeDictionaryDto): Promise<DictionaryEntity> {
    await this.rows.createQueryBuilder().insert().values(empty).orIgnore().execute();
    const plain = words.map(({ written, said, language }) => ({ written, said, language }));
    const changed = await changeRevision(this.rows, { id: 'business' }, revision, { words: plain }, 'The dictionary');
    this.known = Promise.resolve(changed);
    return changed;
  }

  private async read(): Promise<DictionaryEntity> {
    return (await this.rows.findOneBy({ id: 'business' })) ?? empty;
  }
}

@ApiTags('Dictionary')
@Controller('api/dictionary')
export class DictionaryController {
  constructor(private readonly dictionary: DictionaryService) {}

  /** How words are said, by every voice. */
  @Get()
  get(): Promise<DictionaryEntity> {
    return this.dictionary.get();
  }

  @Put()
  change(@Body() body: ChangeDictionaryDto): Promise<DictionaryEntity> {
    return this.dictionary.change(body);
  }
}

@Module({
  imports: [TypeOrmModule.forFeature([DictionaryEntity])],
  controllers: [DictionaryController],
  providers: [DictionaryService],
  exports: [DictionaryService],
})
export class DictionaryModule {}
