import { execFile } from 'node:child_process';
import { existsSync } from 'node:fs';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import type { Grammar } from '@locutor/core/speech';
import { Workers } from '../workers';

const run = promisify(execFile);
/** Where Debian's packages `pocketsphinx` and `pocketsphinx-en-us` put things. */
const programs = ['/usr/bin/pocketsphinx_continuous', '/usr/local/bin/pocketsphinx_continuous'];
const model = '/usr/share/pocketsphinx/model/en-us';
const longestMs = 120_000;

/** Listens to English with the offline recogniser, where that is installed. */
@Injectable()
export class Recogniser implements OnModuleDestroy {
  private readonly program = programs.find((path) => existsSync(path) && existsSync(join(model, 'en-us')));
  private readonly phones = new Workers<readonly string[], readonly (readonly [string, string])[]>(
    require.resolve('@locutor/server/listening/phones.worker'),
    { idleMs: 30_000 },
  );

  get isThere(): boolean {
    return this.program !== undefined;
  }

  async onModuleDestroy(): Promise<void> {
    await this.phones.end();
  }

  /** What is heard in each of several sounds (WAV, 16 bits, 16 kHz), a line of plain words an utterance. */
  async listen(wavs: readonly Uint8Array[], grammar: Grammar): Promise<readonly (readonly string[])[]> {
    const folder = await mkdtemp(join(tmpdir(), 'locutor-listening-'));
    try {
      const [grammarFile, wordsFile] = [join(folder, 'menu.gram'), join(folder, 'menu.dict')];
      await writeFile(grammarFile, grammar.jsgf);
      await writeFile(wordsFile, await this.dictionaryFor(grammar.words));
      const times: (readonly string[])[] = [];
      for (const [index, wav] of wavs.entries()) {
        const soundFile = join(folder, `${index}.wav`);
        await writeFile(soundFile, wav);
        times.push(await this.hear(soundFile, grammarFile, wordsFile));
      }
      return times;
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  }

  private async hear(soundFile: string, grammarFile: string, wordsFile: string): Promise<readonly string[]> {
    if (!this.program) throw new Error('The recogniser is not installed');
    const args = ['-infile', soundFile, '-hmm', join(model, 'en-us'), '-dict', wordsFile, '-jsgf', grammarFile];
    const { stdout } = await run(this.program, [...args, '-logfn', '/dev/null'], { timeout: longestMs });
    return stdout
      .split('\n')
      .map((line) => line.trim())
      .filter((line) => line !== '');
  }

  /** The model's dictionary cut down to the words that are needed; names it does not have are sounded out. */
  private async dictionaryFor(words: readonly string[]): Promise<string> {
    const wanted = new Set(words);
    const rows = (await readFile(join(model, 'cmudict-en-us.dict'), 'utf8')).split('\n');
    const found = rows.filter((row) => wanted.has(wordOf(row)));
    const known = new Set(found.map(wordOf));
    const sounded = await this.phones.run(words.filter((word) => !known.has(word)));
    return [...found, ...sounded.map(([word, phones]) => `${word} ${phones}`), ''].join('\n');
  }
}

/** The word of a row; a second way to say it is marked with a number in brackets. */
function wordOf(row: string): string {
  return row.slice(0, row.search(/[\s(]|$/));
}
