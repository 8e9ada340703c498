import { createHash } from 'node:crypto';
import { rmSync, statSync, utimesSync } from 'node:fs';
import { readdir, readFile, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { Injectable } from '@nestjs/common';
import { notOnDisk } from '../problems/problem';
import { partEnding, writeWhole } from '../storage/writeWhole';
import { isAudioId, type AudioId } from './audioId';

export interface StoredFile {
  readonly path: string;
  /** None where the file is none of the store's, such as one that was being written. */
  readonly id: AudioId | null;
}

/** Audio as files beside the database, each named by its content, so that the same sound is kept once. */
@Injectable()
export class AudioStore {
  constructor(private readonly folder: string) {}

  /** Keeps a file; when the promise is kept it is on disk, whole. */
  async keep(file: Uint8Array): Promise<AudioId> {
    const id = createHash('sha256').update(file).digest('hex') as AudioId;
    const path = this.pathOf(id);
    if (!isKeptAgain(path)) await writeWhole(path, file);
    return id;
  }

  has(id: AudioId): Promise<boolean> {
    return stat(this.pathOf(id)).then(
      () => true,
      () => false,
    );
  }

  /** @throws Problem 404 with its path where the file is gone. */
  async read(id: AudioId): Promise<Buffer> {
    return readFile(this.pathOf(id)).catch((error: unknown) => {
      throw (error as NodeJS.ErrnoException).code === 'ENOENT' ? notOnDisk('The sound', this.pathOf(id)) : error;
    });
  }

  pathOf(id: AudioId): string {
    return join(this.folder, id.slice(0, 2), `${id}.wav`);
  }

  /** Every file there is, folder by folder. */
  async *files(): AsyncGenerator<StoredFile> {
    for (const part of await namesIn(this.folder)) {
      for (const name of await namesIn(join(this.folder, part))) {
        const id = name.replace(/\.wav$/, '');
        yield { path: join(this.folder, part, name), id: isAudioId(id) ? id : null };
      }
    }
  }

  /** Removes a file, unless it was kept since a moment. Nothing comes between looking and removing, nor in `keep`. */
  removeOlder(path: string, before: number): void {
    const found = statSync(path, { throwIfNoEntry: false });
    if (found && found.mtimeMs < before) rmSync(path, { force: true });
  }

  /** Removes what a killed server was writing; only before anything is written. */
  async removeParts(): Promise<void> {
    for await (const { path } of this.files()) if (path.endsWith(partEnding)) await rm(path, { force: true });
  }
}

/** A sound that is kept again is young, so that it is not swept before the row that names it is written. */
function isKeptAgain(path: string): boolean {
  try {
    const now = new Date();
    utimesSync(path, now, now);
    return true;
  } catch {
    return false;
  }
}

async function namesIn(folder: string): Promise<string[]> {
  return readdir(folder).catch(() => []);
}
