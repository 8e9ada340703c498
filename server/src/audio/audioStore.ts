import { createHash, randomUUID } from 'node:crypto';
import { mkdir, open, rename, rm, stat } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { Injectable } from '@nestjs/common';
import type { AudioId } from './audioId';

/** Audio as files beside the database, each named by its content, so that the same sound is kept once. */
@Injectable()
export class AudioStore {
  constructor(private readonly folder: string) {}

  /** Keeps a file; when the promise is kept it is on disk, whole. */
  async keep(file: Uint8Array): Promise<AudioId> {
    const id = createHash('sha256').update(file).digest('hex') as AudioId;
    const path = this.pathOf(id);
    if (await this.has(id)) return id;
    await mkdir(dirname(path), { recursive: true });
    const part = `${path}.${randomUUID()}.part`;
    const handle = await open(part, 'wx', 0o600);
    try {
      await handle.writeFile(file);
      await handle.sync();
    } finally {
      await handle.close();
    }
    await rename(part, path);
    return id;
  }

  has(id: AudioId): Promise<boolean> {
    return stat(this.pathOf(id)).then(
      () => true,
      () => false,
    );
  }

  async remove(id: AudioId): Promise<void> {
    await rm(this.pathOf(id), { force: true });
  }

  pathOf(id: AudioId): string {
    return join(this.folder, id.slice(0, 2), `${id}.wav`);
  }
}
