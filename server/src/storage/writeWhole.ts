import { randomUUID } from 'node:crypto';
import { mkdir, open, rename, rm } from 'node:fs/promises';
import { dirname } from 'node:path';

/** How files end that are being written; of a server that was killed some are left. */
export const partEnding = '.part';

/** Writes a file; when the promise is kept it is on the disk, whole. Until then there is none, or what was there before. */
export async function writeWhole(path: string, bytes: Uint8Array): Promise<void> {
  const folder = dirname(path);
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const part = `${path}.${randomUUID()}${partEnding}`;
  try {
    const file = await open(part, 'wx', 0o600);
    try {
      await file.writeFile(bytes);
      await file.sync();
    } finally {
      await file.close();
    }
    await rename(part, path);
  } catch (error) {
    await rm(part, { force: true });
    throw error;
  }
  // That it is there is written into the folder.
  const within = await open(folder, 'r');
  await within.sync().finally(() => within.close());
}
