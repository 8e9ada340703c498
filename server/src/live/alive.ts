import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const fileOf = (folder: string): string => join(folder, 'alive');

/** Notes that calls went on at a moment, so that it is known, after the server was killed, until when they did. */
export function noteAlive(folder: string, atMs: number): void {
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    writeFileSync(fileOf(folder), String(atMs), { mode: 0o600 });
  } catch {
    // A disk that takes nothing is said where something is lost by it.
  }
}

/** The moment noted last, in ms since 1970 by the line's clock; 0 where none was. */
export function lastAlive(folder: string): number {
  try {
    return Number(readFileSync(fileOf(folder), 'utf8')) || 0;
  } catch {
    return 0;
  }
}
