import { randomUUID } from 'node:crypto';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import {
  describeSoundFileProblem,
  largestSoundBytes,
  soundFaults,
  wholeRecipe,
  type Recipe,
  type SoundFileProblem,
} from '@locutor/core/audio';
import {
  holdMusicPlace,
  takeId,
  type RecordedTake,
  type TakeId,
  type TakeSays,
  type TakeVerdict,
} from '@locutor/core/line';
import { answered } from '@locutor/core/listening';
import { In, IsNull, Repository } from 'typeorm';
import { AudioStore } from '../audio/audioStore';
import { Clock } from '../clock/clock';
import { invalid, notFound, Problem } from '../problems/problem';
import { newId } from '../rows/newId';
import { SoundsService, type Progress } from '../sounds/sounds.service';
import type { DownloadKind, Ready } from '../sounds/soundTask';
import { writeWhole } from '../storage/writeWhole';
import { WorkTooLong } from '../workers';
import { readRecipe, readSays, readVerdict, type BringTakeDto, type ChangeTakeDto } from './take.dto';
import { TakeEntity } from './take.entity';

/** What follows from a recording and its recipe. */
type Made = Pick<TakeEntity, 'audioId' | 'lengthMs' | 'made' | 'faults'>;

/** A file on disk, such as one that was uploaded; `size` in bytes. */
export type FileAt = Pick<Express.Multer.File, 'path' | 'size'>;

const nothingSaid: TakeSays = { words: '', options: [], live: [] };
const right: TakeVerdict = { type: 'right', by: 'manager' };

@Injectable()
export class TakesService {
  private unheardListener: ((id: TakeId) => void) | null = null;

  constructor(
    @InjectRepository(TakeEntity) private readonly takes: Repository<TakeEntity>,
    private readonly audio: AudioStore,
    private readonly sounds: SoundsService,
    private readonly clock: Clock,
  ) {}

  /** The takes of a place, or all, the newest first. */
  list(place?: string): Promise<TakeEntity[]> {
    const where = { deletedAt: IsNull(), ...(place && { place }) };
    return this.takes.find({ where, order: { madeAt: 'DESC' } });
  }

  async get(id: TakeId): Promise<TakeEntity> {
    const take = await this.takes.findOneBy({ id });
    if (!take) throw notFound('That recording');
    return take;
  }

  /** Those of these that there are, as calls hear them. */
  async recorded(ids: Iterable<TakeId>): Promise<RecordedTake[]> {
    const found = await this.takes.findBy({ id: In([...new Set(ids)]) });
    return found.map(({ id, audioId, lengthMs, text }) => ({ id, audioId, lengthMs, text }));
  }

  /** Takes a recording in that is not in a file yet. */
  async bringSound(sound: Uint8Array, body: BringTakeDto): Promise<TakeEntity> {
    const path = join(this.audio.incoming, randomUUID());
    await writeWhole(path, sound);
    return this.bring({ path, size: sound.length }, body);
  }

  /**
   * Takes a file in, which is gone then, and makes it good.
   * @throws Problem 422 in the manager's words when it cannot be taken; nothing is kept then.
   */
  async bring({ path, size }: FileAt, body: BringTakeDto, progress: Progress = {}): Promise<TakeEntity> {
    try {
      const name = body.fileName || 'the recording';
      if (body.place === holdMusicPlace && body.rights !== 'yes') {
        throw invalid([{ at: 'rights', says: 'Say first that you have the right to play this music to callers.' }]);
      }
      if (size > largestSoundBytes) throw refused({ type: 'tooLarge', mostBytes: largestSoundBytes }, name);
      const recipe = body.recipe ? readRecipe(body.recipe) : wholeRecipe;
      const says = body.says ? readSays(body.says) : nothingSaid;
      const brought = await this.sounds
        .bring(path, name, body.law || null, recipe, progress)
        .catch((error: unknown) => {
          throw isTooMuch(error) ? refused({ type: 'tooMuch' }, name) : error;
        });
      if (!brought.ok) throw refused(brought.problems[0] as SoundFileProblem, name);
      const { originalId, recordingId, isOneOfSeveral, ...ready } = brought.value;
      const made = madeOf(ready);
      const row: TakeEntity = {
        id: newId(takeId),
        place: body.place,
        source: body.source,
        fileName: body.fileName ?? '',
        madeAt: Date.now(),
        originalId,
        recordingId,
        recipe,
        text: body.text ?? '',
        says,
        verdict: null,
        deletedAt: null,
        ...made,
        faults: isOneOfSeveral ? [...made.faults, 'antiphase'] : made.faults,
      };
      await this.takes.insert(row as never);
      this.tellUnheard(row.id);
      return row;
    } finally {
      await rm(path, { force: true });
    }
  }

  /** Makes a take good by another recipe. What is on air keeps what it had. */
  async polish(id: TakeId, text: string, progress: Progress = {}): Promise<TakeEntity> {
    const take = await this.get(id);
    const recipe = readRecipe(text);
    // What was cut out may have been words.
    const isCut = JSON.stringify(recipe.cuts) !== JSON.stringify(take.recipe.cuts);
    const changes = { recipe, ...(await this.polished(take, recipe, progress)), ...(isCut && { verdict: null }) };
    await this.takes.update({ id }, changes as never);
    if (isCut) this.tellUnheard(id);
    return this.get(id);
  }

  /** Marking it as right, or answering what it says, settles what is known of it. */
  async change(id: TakeId, { text, says, answer, verdict }: ChangeTakeDto): Promise<TakeEntity> {
    const take = await this.get(id);
    const nowSays = says === undefined ? take.says : readSays(says);
    const known = says === undefined ? undefined : right;
    const told = answer === undefined ? known : answered(nowSays, answer);
    const settled = verdict === undefined ? told : readVerdict(verdict);
    const changes = {
      ...(text !== undefined && { text }),
      ...(answer !== undefined && { text: answer }),
      ...(says !== undefined && { says: nowSays }),
      ...(settled !== undefined && { verdict: settled }),
    };
    if (Object.keys(changes).length > 0) await this.takes.update({ id }, changes as never);
    if (settled === null) this.tellUnheard(id);
    return this.get(id);
  }

  /** Those that nobody has listened to yet, the newest first. */
  async unheard(): Promise<readonly TakeId[]> {
    const where = { verdict: IsNull(), deletedAt: IsNull() };
    return (await this.takes.find({ where, order: { madeAt: 'DESC' }, select: { id: true } })).map(({ id }) => id);
  }

  /** Somebody listened to it: kept, unless the manager has settled it meanwhile. */
  async settle(id: TakeId, verdict: TakeVerdict): Promise<void> {
    await this.takes.update({ id, verdict: IsNull() }, { verdict });
  }

  /** Lets somebody know of recordings that are to be listened to. */
  whenUnheard(listener: (id: TakeId) => void): void {
    this.unheardListener = listener;
  }

  async remove(id: TakeId): Promise<void> {
    await this.get(id);
    await this.takes.update({ id }, { deletedAt: this.clock.now() });
  }

  async restore(id: TakeId): Promise<TakeEntity> {
    await this.takes.update({ id }, { deletedAt: null });
    return this.get(id);
  }

  async write(id: TakeId, as: DownloadKind): Promise<Uint8Array> {
    const { recordingId, recipe } = await this.get(id);
    return this.sounds.write(recordingId, recipe, as);
  }

  private tellUnheard(id: TakeId): void {
    this.unheardListener?.(id);
  }

  private async polished(take: TakeEntity, recipe: Recipe, progress: Progress): Promise<Made> {
    const ready = await this.sounds.polish(take.recordingId, recipe, progress);
    if (!ready) throw invalid([{ at: 'recipe', says: 'Nothing is left of the recording. Leave some of it in.' }]);
    const made = madeOf(ready);
    // That only one channel is used stays so, whatever is done to it.
    return take.faults.includes('antiphase') ? { ...made, faults: [...made.faults, 'antiphase'] } : made;
  }
}

function madeOf({ audioId, made }: Ready): Made {
  const { before, after } = made;
  const faults = soundFaults({ ...before, lengthMs: after.lengthMs });
  return { audioId, lengthMs: after.lengthMs, made, faults };
}

/** Work that took too long, or more memory than it may. */
function isTooMuch(error: unknown): boolean {
  return error instanceof WorkTooLong || (error as { code?: unknown }).code === 'ERR_WORKER_OUT_OF_MEMORY';
}

function refused(problem: SoundFileProblem, name: string): Problem {
  const says = describeSoundFileProblem(problem, name);
  return new Problem({
    type: `/problems/sound-${problem.type}`,
    title: 'Not taken',
    status: 422,
    detail: says,
    errors: [{ at: problem.type === 'whichLaw' ? 'law' : 'audio', says }],
  });
}
