import { Injectable, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import type { TakeId, TakeVerdict } from '@locutor/core/line';
import { exactGrammar, expectedSentences, slotGrammar, tokensOf, verdictOf } from '@locutor/core/listening';
import { DataSource } from 'typeorm';
import { log } from '../log/log';
import { SoundsService } from '../sounds/sounds.service';
import { TakesService } from '../takes/takes.service';
import type { TakeEntity } from '../takes/take.entity';
import { languageOfTake } from './languageOfTake';
import { Recogniser } from './recogniser';

/** Longer than any greeting that a caller would hear out: it is not listened to. */
const mostWords = 400;

/** Listens to recordings in the background, one after the other, the newest first. */
@Injectable()
export class ListeningService implements OnApplicationBootstrap, OnModuleDestroy {
  private readonly waiting: TakeId[] = [];
  private readonly stopping = new AbortController();
  private working: Promise<void> | null = null;

  constructor(
    private readonly database: DataSource,
    private readonly recogniser: Recogniser,
    private readonly takes: TakesService,
    private readonly sounds: SoundsService,
  ) {}

  get isThere(): boolean {
    return this.recogniser.isThere;
  }

  async onApplicationBootstrap(): Promise<void> {
    this.takes.whenUnheard((id) => this.listenSoon([id]));
    this.listenSoon(await this.takes.unheard());
  }

  async onModuleDestroy(): Promise<void> {
    this.stopping.abort();
    await this.working;
  }

  /** Once nothing is left to be listened to. */
  async settled(): Promise<void> {
    while (this.working) await this.working;
  }

  private listenSoon(ids: readonly TakeId[]): void {
    this.waiting.unshift(...ids);
    this.working ??= this.listenToAll().finally(() => (this.working = null));
  }

  private async listenToAll(): Promise<void> {
    for (let id = this.waiting.shift(); id && !this.stopping.signal.aborted; id = this.waiting.shift()) {
      try {
        const take = await this.takes.get(id);
        if (take.verdict === null && take.deletedAt === null) await this.takes.settle(id, await this.listen(take));
      } catch (error) {
        if (this.stopping.signal.aborted) return;
        log.warn({ err: error, takeId: id }, 'A recording could not be listened to');
        await this.takes.settle(id, { type: 'unknown', why: 'unclear' });
      }
    }
  }

  /** What a recording says, as against what it should. */
  private async listen({ place, says, recordingId, recipe }: TakeEntity): Promise<TakeVerdict> {
    const sentences = expectedSentences(says);
    const tokens = sentences.map((sentence) => tokensOf(sentence));
    const count = tokens.flat().length;
    if (count === 0) return { type: 'unknown', why: 'noWords' };
    if ((await languageOfTake(this.database.manager, place)) !== 'en') return { type: 'unknown', why: 'language' };
    if (!this.isThere) return { type: 'unknown', why: 'noRecogniser' };
    if (count > mostWords) return { type: 'unknown', why: 'unclear' };
    const { wav, isNarrow } = await this.sounds.forListening(recordingId, recipe);
    const found = await this.recogniser.listenTo(
      wav,
      async ({ held, freely }) => {
        const [exact, slots] = [await held(exactGrammar(tokens)), await held(slotGrammar(tokens))];
        const first = verdictOf(sentences, tokens, { exact, slots, free: [], isNarrow });
        // What else was said matters only where it is not right.
        return first.type === 'right'
          ? first
          : verdictOf(sentences, tokens, { exact, slots, free: await freely(), isNarrow });
      },
      this.stopping.signal,
    );
    return found.type === 'unclear' ? { type: 'unknown', why: 'unclear' } : { ...found, by: 'listening' };
  }
}
