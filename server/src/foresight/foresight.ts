import { AsyncLocalStorage } from 'node:async_hooks';
import { Injectable } from '@nestjs/common';
import type { ProofSubject } from '@locutor/core/proof';
import type { LineEntity } from '../lines/line.entity';
import { breaksOnAir, type Break } from '../problems/problem';

/** What would be otherwise in the office: whole lists as they would be, and what may be called outside. */
export type OfficeChange = Partial<
  Pick<ProofSubject, 'people' | 'groups' | 'queues' | 'boxes' | 'contacts' | 'callerLists' | 'allHours' | 'outgoing'>
> & { readonly lines?: readonly LineEntity[] };

/** Tells what callers of the lines on air would meet then, and do not meet now. */
export type Look = (change: OfficeChange) => Promise<readonly Break[]>;

/**
 * Asks, before the directory, hours or a line is changed, what that would do to callers of what is on air. Only of those
 * who want to be asked: the server's own changes, and requests that do not say so, go through.
 */
@Injectable()
export class Foresight {
  private readonly wanted = new AsyncLocalStorage<true>();
  private look: Look = () => Promise.resolve([]);

  /** By whom it is told: the proof, which itself stands on the directory. */
  lookWith(look: Look): void {
    this.look = look;
  }

  /** Whatever is done in here is asked about first. */
  asking<Result>(work: () => Result): Result {
    return this.wanted.run(true, work);
  }

  /** Whether there is somebody to be asked. */
  get isWanted(): boolean {
    return this.wanted.getStore() === true;
  }

  /** @throws Problem 409 with what would break, when there is somebody to be asked. */
  async mustNotBreak(change: OfficeChange): Promise<void> {
    if (!this.isWanted) return;
    const breaks = await this.look(change);
    if (breaks.length > 0) throw breaksOnAir(breaks);
  }
}
