import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { ownVoice, ownVoiceIn, tuningOf, type OwnVoice, type VoiceId } from '@locutor/core/line';
import type { Spoken } from '../speech/voice';
import { Workers, type WorkersState } from '../workers';
import type { OwnVoiceTask } from './ownVoice.worker';
import { canTune, readVoiceFile, type VoiceFile } from './voiceFile';

/** A voice of the business's own, and whether its program can change its pace and pitch. */
export interface FoundVoice {
  readonly voice: OwnVoice;
  readonly pace: boolean;
  readonly pitch: boolean;
}

/** A folder that is no voice, and why. */
export interface FolderTrouble {
  readonly folder: string;
  readonly says: string;
}

export interface VoicesFound {
  /** Where the voices are; null where none was named. */
  readonly folder: string | null;
  readonly voices: readonly FoundVoice[];
  readonly troubles: readonly FolderTrouble[];
}

/** A voice that cannot speak, and why. */
export class VoiceSilent extends Error {}

const mostVoices = 50;
const longestMs = 30_000;

/** Voices of the business's own: each a folder with a `voice.json` that names a program (docs/greetings.md). */
@Injectable()
export class VoiceFolder implements OnModuleDestroy {
  private readonly workers = new Workers<OwnVoiceTask, Spoken>(
    require.resolve('@locutor/server/voices/ownVoice.worker'),
    { maxThreads: 2, longestMs },
  );

  constructor(private readonly folder: string | null) {}

  /** Looks at the folder as it is now. */
  async list(): Promise<VoicesFound> {
    const { folder } = this;
    if (folder === null) return { folder, voices: [], troubles: [] };
    const names = await this.names(folder);
    if (!names) return { folder, voices: [], troubles: [{ folder: '', says: 'The folder cannot be read.' }] };
    const looked = await Promise.all(names.map((name) => lookAt(folder, name)));
    return {
      folder,
      voices: looked.flatMap((each) => ('voice' in each ? [each] : [])),
      troubles: looked.flatMap((each) => ('says' in each ? [each] : [])),
    };
  }

  /** @throws VoiceSilent when it is not there, or its program fails */
  async speak(voice: VoiceId, text: string): Promise<Spoken> {
    const own = ownVoiceIn(voice);
    if (!own || this.folder === null) throw new VoiceSilent('There is no folder of voices.');
    const folder = join(this.folder, own.slice('own-'.length));
    const { command } = await fileIn(folder).catch((error: unknown) => {
      throw new VoiceSilent(error instanceof Error ? error.message : String(error));
    });
    const { pace, pitch } = tuningOf(voice);
    return this.workers.run({ folder, command, text, pace, pitch }).catch((error: unknown) => {
      throw new VoiceSilent(error instanceof Error ? error.message : String(error));
    });
  }

  state(): WorkersState {
    return this.workers.state();
  }

  async onModuleDestroy(): Promise<void> {
    await this.workers.end();
  }

  private async names(folder: string): Promise<readonly string[] | undefined> {
    try {
      const entries = await readdir(folder, { withFileTypes: true });
      const names = entries.filter((entry) => entry.isDirectory() || entry.isSymbolicLink()).map(({ name }) => name);
      return names
        .filter((name) => !name.startsWith('.'))
        .sort()
        .slice(0, mostVoices);
    } catch {
      return undefined;
    }
  }
}

async function lookAt(folder: string, name: string): Promise<FoundVoice | FolderTrouble> {
  const voice = ownVoice(name);
  if (!voice) {
    const says =
      'A voice’s folder is called by its language and a name in small letters, such as en-anna. The languages are en, fr, es and de.';
    return { folder: name, says };
  }
  try {
    return { voice, ...canTune(await fileIn(join(folder, name))) };
  } catch (error) {
    return { folder: name, says: error instanceof Error ? error.message : String(error) };
  }
}

async function fileIn(folder: string): Promise<VoiceFile> {
  const text = await readFile(join(folder, 'voice.json'), 'utf8').catch(() => undefined);
  if (text === undefined) throw new Error('It has no voice.json.');
  return readVoiceFile(text);
}
