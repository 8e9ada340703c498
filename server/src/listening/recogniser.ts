import { execFile } from 'node:child_process';
import { existsSync } from 'node:fs';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import type { Grammar, HeardWord } from '@locutor/core/listening';
import { Workers } from '../workers';

const run = promisify(execFile);
/** Where Debian's packages `pocketsphinx` and `pocketsphinx-en-us` put things. */
const programs = ['/usr/bin/pocketsphinx_batch', '/usr/local/bin/pocketsphinx_batch'];
const model = '/usr/share/pocketsphinx/model/en-us';
const dictionary = 'cmudict-en-us.dict';
const longestMs = 120_000;
/** `LOCUTOR_LISTENING=off` leaves it alone, such as on a machine that is short of processor time. */
const isOff = (): boolean => process.env.LOCUTOR_LISTENING === 'off';

/** Ways to listen to the same sound. */
export interface Ear {
  /** Held to a grammar; nothing where it does not fit. */
  readonly held: (grammar: Grammar) => Promise<readonly HeardWord[]>;
  /** Free to hear any English. */
  readonly freely: () => Promise<readonly HeardWord[]>;
}

/** Listens to English with the offline recogniser, where that is installed. */
@Injectable()
export class Recogniser implements OnModuleDestroy {
  private readonly program = isOff()
    ? undefined
    : programs.find((path) => existsSync(path) && existsSync(join(model, 'en-us')));
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

  /** Lets a sound (WAV, 16 bits, 16 kHz) be listened to in several ways; what is needed for that is gone afterwards. */
  async listenTo<Heard>(wav: Uint8Array, work: (ear: Ear) => Promise<Heard>, signal?: AbortSignal): Promise<Heard> {
    const folder = await mkdtemp(join(tmpdir(), 'locutor-listening-'));
    try {
      await writeFile(join(folder, 'sound.wav'), wav);
      await writeFile(join(folder, 'sounds'), 'sound\n');
      return await work({
        held: async (grammar) => {
          const [grammarFile, wordsFile] = [join(folder, 'said.gram'), join(folder, 'said.dict')];
          await writeFile(grammarFile, grammar.jsgf);
          await writeFile(wordsFile, await this.dictionaryFor(grammar.words));
          return this.hear(folder, ['-dict', wordsFile, '-jsgf', grammarFile, '-bestpath', 'no'], signal);
        },
        freely: () => this.hear(folder, ['-dict', join(model, dictionary), '-lm', join(model, 'en-us.lm.bin')], signal),
      });
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  }

  private async hear(folder: string, how: readonly string[], signal?: AbortSignal): Promise<readonly HeardWord[]> {
    if (!this.program) throw new Error('The recogniser is not installed');
    const heard = join(folder, 'heard');
    const sound = [
      '-adcin',
      'yes',
      '-adchdr',
      '44',
      '-cepdir',
      folder,
      '-cepext',
      '.wav',
      '-ctl',
      join(folder, 'sounds'),
    ];
    const args = [...sound, '-hmm', join(model, 'en-us'), ...how, '-hypseg', heard, '-logfn', '/dev/null'];
    // Nobody waits for it: whatever else there is to do goes first.
    await run('nice', ['-n', '10', this.program, ...args], { timeout: longestMs, ...(signal && { signal }) });
    return segments(await readFile(heard, 'utf8'));
  }

  /** The model's dictionary cut down to the words that are needed; names it does not have are sounded out. */
  private async dictionaryFor(words: readonly string[]): Promise<string> {
    const wanted = new Set(words);
    const rows = (await readFile(join(model, dictionary), 'utf8')).split('\n');
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

/**
 * The words of a row that the recogniser writes: `sound S 0 T -2 A -2 L 0 FROM SCORE LM WORD FROM SCORE LM WORD ... UNTIL`, where
 * scores are of the sound alone.
 */
function segments(row: string): readonly HeardWord[] {
  const fields = row.trim().split(/\s+/);
  const rest = fields.slice(fields.indexOf('L') + 2);
  const words: HeardWord[] = [];
  for (let at = 0; at + 4 < rest.length; at += 4) {
    const [from = '', score = '', , word = ''] = rest.slice(at, at + 4);
    const said = word.replace(/\(\d+\)$/, '');
    words.push({ word: said, from: Number(from), until: Number(rest[at + 4]), score: Number(score) });
  }
  return words.every(({ from, until, score }) => [from, until, score].every(Number.isFinite)) ? words : [];
}
