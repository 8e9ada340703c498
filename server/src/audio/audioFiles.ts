import { webcrypto } from 'node:crypto';
import { renameSync, rmSync, statSync, utimesSync } from 'node:fs';
import { join } from 'node:path';
import { partEnding, writeWhole } from '../storage/writeWhole';
import type { AudioId } from './audioId';

/** Where a sound is kept in the folder of all of them. */
export function audioPath(folder: string, id: AudioId): string {
  return join(folder, id.slice(0, 2), `${id}.wav`);
}

/** Keeps a sound, from any thread; when the promise is kept it is on disk, whole. The thread that asks is not held by it. */
export async function keepAudio(folder: string, file: Uint8Array): Promise<AudioId> {
  const digest = await webcrypto.subtle.digest('SHA-256', file);
  const id = Buffer.from(digest).toString('hex') as AudioId;
  const path = audioPath(folder, id);
  if (!isKeptAgain(path)) await writeWhole(path, file);
  return id;
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

/**
 * Removes a file, unless it was kept since a moment. It is taken away first and looked at then: a thread that keeps the same
 * sound meanwhile either made it young before, or finds none and writes it anew.
 */
export function removeAudioOlder(path: string, before: number): void {
  const isOld = (at: string): boolean => (statSync(at, { throwIfNoEntry: false })?.mtimeMs ?? Infinity) < before;
  if (!isOld(path)) return;
  const taken = `${path}${partEnding}`;
  renameSync(path, taken);
  if (isOld(taken)) rmSync(taken, { force: true });
  else renameSync(taken, path);
}
