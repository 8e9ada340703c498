import { readFile } from 'node:fs/promises';
import { strToU8, zipSync } from 'fflate';
import type { Reckonings } from './task';

/** A zip of texts as they are, and of files on disk, each by its name in it. */
export async function zipped({ texts, files }: Reckonings['zip']['from']): Promise<Uint8Array> {
  const parts: Record<string, Uint8Array> = {};
  for (const [name, text] of Object.entries(texts)) parts[name] = strToU8(text);
  for (const [name, path] of Object.entries(files)) parts[name] = await readFile(path);
  return zipSync(parts, { level: 6 });
}
