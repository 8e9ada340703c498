import { readdir, readFile, rm, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { Injectable } from '@nestjs/common';
import { notOnDisk } from '../problems/problem';
import { partEnding } from '../storage/writeWhole';
import { audioPath, keepAudio, removeAudioOlder } from './audioFiles';
import { isAudioId, type AudioId } from './audioId';

export interface StoredFile {
  readonly path: string;
  /** None where the file is none of the store's, such as one that was being written. */
  readonly id: AudioId | null;
}

/** Audio as files beside the database, each named by its content, so that the same sound is kept once. */
@Injectable()
export class AudioStore {
  /** @param folder where they are kept, a folder within for each first byte of an id */
  constructor(readonly folder: string) {}

  /** Keeps a file; when the promise is kept it is on disk, whole. */
  keep(file: Uint8Array): Promise<AudioId> {
    return keepAudio(this.folder, file);
  }

  /** Where files are put that are being brought in; what a killed server leaves there goes at the next start. */
  get incoming(): string {
    return join(this.folder, 'incoming');
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

  /** Where a sound is that is to be read elsewhere. @throws Problem 404 with its path where the file is gone. */
  async pathOfKept(id: AudioId): Promise<string> {
    if (!(await this.has(id))) throw notOnDisk('The sound', this.pathOf(id));
    return this.pathOf(id);
  }

  pathOf(id: AudioId): string {
    return audioPath(this.folder, id);
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

  /** Removes a file, unless it was kept since a moment. */
  removeOlder(path: string, before: number): void {
    removeAudioOlder(path, before);
  }

  /** Removes what a killed server was writing or taking in; only before anything is written. */
  async removeParts(): Promise<void> {
    for await (const { path } of this.files()) {
      if (path.endsWith(partEnding) || dirname(path) === this.incoming) await rm(path, { force: true });
    }
  }
}

async function namesIn(folder: string): Promise<string[]> {
  return readdir(folder).catch(() => []);
}
