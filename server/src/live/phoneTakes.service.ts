import { Injectable } from '@nestjs/common';
import type { CallState, PhoneTake } from '@locutor/core/call';
import type { PersonId } from '@locutor/core/directory';
import type { TakeId } from '@locutor/core/line';
import { conflict, notFound, Problem } from '../problems/problem';
import type { Stages } from '../problems/answerInStages';
import type { TakeEntity } from '../takes/take.entity';
import { TakesService } from '../takes/takes.service';
import { LiveLine } from './liveLine.service';
import type { PhoneTakeDto } from './phoneTake.dto';

/** How far a recording with a desk phone is; `kept` once for each that is. */
export type PhoneStage = 'ringing' | 'instructing' | 'recording' | 'finishing' | 'asking' | 'kept';

const stageOf: Partial<Record<CallState['phase']['type'], PhoneStage>> = {
  takeSpeaking: 'instructing',
  takeRecording: 'recording',
  takeFinishing: 'finishing',
  takeAsking: 'asking',
  takeWaiting: 'asking',
};

/** Records greetings with the phone on somebody's desk. */
@Injectable()
export class PhoneTakesService {
  constructor(
    private readonly line: LiveLine,
    private readonly takes: TakesService,
  ) {}

  /**
   * Rings a desk phone and waits until everything was recorded and kept on it, or it is hung up.
   * @returns the last that was kept
   * @throws Problem 409 when the phone is in use, nobody answers, or nothing was kept.
   */
  async record(of: PhoneTakeDto, { tell, signal }: Stages<PhoneStage>): Promise<TakeEntity> {
    const { personId, more = [], ...first } = of;
    const all = [first, ...more];
    let current = 0;
    if (!this.line.isPerson(personId as PersonId)) throw notFound('That person');
    tell?.('ringing');
    const kept = await new Promise<TakeId | null>((resolve, reject) => {
      let keptId: TakeId | null = null;
      const giveUp = this.line.askForTake(personId as PersonId, phoneTakeOf(all), {
        phaseIs: (phase) => {
          const stage = stageOf[phase];
          if (stage) tell?.(stage);
        },
        finish: async (wav) => {
          try {
            const { place, text, says } = all[current] ?? first;
            const take = await this.takes.bringSound(wav, { place, text, says, source: 'phone' });
            return { takeId: take.id, audioId: take.audioId, lengthMs: take.lengthMs };
          } catch (error) {
            // Nothing is heard on it.
            if (error instanceof Problem) return null;
            throw error;
          }
        },
        settle: async (takeId, keep) => {
          if (!keep) return this.takes.remove(takeId);
          keptId = takeId;
          current += 1;
          tell?.('kept');
        },
        unanswered: (why) => reject(conflict(unanswered[why])),
        over: () => resolve(keptId),
      });
      signal.addEventListener('abort', () => {
        giveUp();
        resolve(null);
      });
    });
    if (!kept) throw conflict('The phone was hung up and nothing was kept. Ring it again when you like.');
    return this.takes.get(kept);
  }
}

/** Everything that is recorded on one call, each with what comes after it. */
function phoneTakeOf(all: readonly { readonly name: string; readonly text?: string }[]): PhoneTake {
  const [last, ...before] = [...all].reverse().map(({ name, text = '' }): PhoneTake => ({ name, words: text }));
  return before.reduce<PhoneTake>((then, each) => ({ ...each, then }), last ?? { name: '', words: '' });
}

const unanswered = {
  inUse: 'That phone is in use. Try again later, or ring another one.',
  noAnswer: 'Nobody answered that phone. Try again, or ring another one.',
} as const;
