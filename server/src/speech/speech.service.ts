import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { languageOf, shippedVoiceOf, voiceNameOf, type VoiceId } from '@locutor/core/line';
import { respell } from '@locutor/core/speech';
import { Repository } from 'typeorm';
import type { AudioId } from '../audio/audioId';
import { AudioStore } from '../audio/audioStore';
import { Clock } from '../clock/clock';
import { DictionaryService } from '../dictionary/dictionary.module';
import { log } from '../log/log';
import { VoiceSilent } from '../voices/voiceFolder';
import { SpokenSentenceEntity } from './spokenSentence.entity';
import { Voice } from './voice';

export interface SpokenSentence {
  readonly text: string;
  readonly audioId: AudioId;
  readonly lengthMs: number;
}

const noteUseEveryMs = 86_400_000;

/** Speaks sentences by the dictionary, each only once: by voice and words as spoken they are kept while they are heard. */
@Injectable()
export class SpeechService {
  private readonly underWay = new Map<string, Promise<SpokenSentence>>();

  constructor(
    @InjectRepository(SpokenSentenceEntity) private readonly spoken: Repository<SpokenSentenceEntity>,
    private readonly audio: AudioStore,
    private readonly voice: Voice,
    private readonly dictionary: DictionaryService,
    private readonly clock: Clock,
  ) {}

  async speakAll(voice: VoiceId, texts: readonly string[]): Promise<SpokenSentence[]> {
    const { words } = await this.dictionary.get();
    const said = (text: string): string => respell(text, words, languageOf(voice));
    return Promise.all(texts.map(async (text) => ({ ...(await this.speak(voice, said(text))), text })));
  }

  /** The same for one sentence, by this voice or none. @throws VoiceSilent when it cannot speak */
  async speakItself(voice: VoiceId, text: string): Promise<SpokenSentence> {
    return sentence({ ...(await this.keep(voice, text)), text });
  }

  private async speak(voice: VoiceId, text: string): Promise<SpokenSentence> {
    const known = await this.spoken.findOneBy({ voice, text });
    if (known && (await this.audio.has(known.audioId))) {
      const now = this.clock.now();
      if (now - known.usedAt > noteUseEveryMs) await this.spoken.update({ voice, text }, { usedAt: now });
      return sentence(known);
    }
    const key = `${voice} ${text}`;
    const running = this.underWay.get(key) ?? this.speakNow(voice, text).finally(() => this.underWay.delete(key));
    this.underWay.set(key, running);
    return running;
  }

  /** Callers are never left in silence: where a voice of the business's own cannot speak, a shipped one does for now. */
  private async speakNow(voice: VoiceId, text: string): Promise<SpokenSentence> {
    try {
      return await this.keep(voice, text);
    } catch (error) {
      if (!(error instanceof VoiceSilent)) throw error;
      log.warn({ voice: voiceNameOf(voice), err: error }, 'A voice cannot speak; a shipped one does in its place');
      return this.speak(shippedVoiceOf(languageOf(voice)), text);
    }
  }

  private async keep(voice: VoiceId, text: string): Promise<SpokenSentence> {
    const { wav, lengthMs } = await this.voice.speak(voice, text);
    const row = { voice, text, audioId: await this.audio.keep(wav), lengthMs, usedAt: this.clock.now() };
    await this.spoken.upsert(row, ['voice', 'text']);
    return sentence(row);
  }
}

function sentence({ text, audioId, lengthMs }: SpokenSentence): SpokenSentence {
  return { text, audioId, lengthMs };
}
