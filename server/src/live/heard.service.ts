import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { itemMs, type PlayItem } from '@locutor/core/call';
import type { HeardItem } from '@locutor/core/exchange';
import { estimateMs, type Sentence } from '@locutor/core/speech';
import { log } from '../log/log';
import { SpeechService, type SpokenSentence } from '../speech/speech.service';

const mostRemembered = 20_000;

/** Makes what is to be heard ready: each sentence spoken, with its length known. */
@Injectable()
export class HeardService implements OnModuleDestroy {
  private readonly known = new Map<string, SpokenSentence>();

  private isClosing = false;

  constructor(private readonly speech: SpeechService) {}

  onModuleDestroy(): void {
    this.isClosing = true;
  }

  /** At once where everything was spoken before. */
  ready(items: readonly PlayItem[]): readonly HeardItem[] | Promise<readonly HeardItem[]> {
    const isKnown = items.every(
      (item) => item.type !== 'sentence' || item.sentence.recorded || this.known.has(keyOf(item.sentence)),
    );
    return isKnown ? items.map((item) => this.heard(item)) : this.speak(items);
  }

  /** Words may be said otherwise from now on. */
  forget(): void {
    this.known.clear();
  }

  private async speak(items: readonly PlayItem[]): Promise<readonly HeardItem[]> {
    await Promise.all(items.map((item) => (item.type === 'sentence' ? this.learn(item.sentence) : undefined)));
    return items.map((item) => this.heard(item));
  }

  /** A sentence that cannot be spoken is left silent for as long as it would take: the call goes on. */
  private async learn(sentence: Sentence): Promise<void> {
    const key = keyOf(sentence);
    if (sentence.recorded || this.known.has(key)) return;
    try {
      const [spoken] = await this.speech.speakAll(sentence.voice, [sentence.text]);
      if (this.known.size >= mostRemembered) this.known.clear();
      if (spoken) this.known.set(key, spoken);
    } catch (error) {
      if (!this.isClosing) log.error({ err: error, voice: sentence.voice }, 'A sentence could not be spoken');
    }
  }

  private heard(item: PlayItem): HeardItem {
    switch (item.type) {
      case 'beep':
        return { type: 'beep', ms: itemMs(item) };
      case 'music':
        return { ...item, fromMs: 0 };
      case 'audio':
        return item;
      case 'sentence': {
        const { text, pauseAfterMs, recorded } = item.sentence;
        if (recorded) {
          return { type: 'sentence', audioId: recorded.audioId, ms: recorded.lengthMs, pauseMs: pauseAfterMs };
        }
        const spoken = this.known.get(keyOf(item.sentence));
        const ms = spoken?.lengthMs ?? estimateMs(text);
        return { type: 'sentence', audioId: spoken?.audioId ?? null, ms, pauseMs: pauseAfterMs };
      }
    }
  }
}

function keyOf({ voice, text }: Sentence): string {
  return `${voice} ${text}`;
}
