import { lengthMs, type Pcm } from '@locutor/core/audio';
import type { PlayItem } from '@locutor/core/call';
import { estimateMs } from '@locutor/core/speech';
import { loadAudio, loadSentence, playBeep, playHoldMusic, playPcm } from './sounds';

export interface SpeakerWatch {
  /** An item begins to be heard. */
  readonly onItem: (index: number) => void;
  readonly onEnd: () => void;
  /** The voice could not be had; captions go on without it. */
  readonly onMute: () => void;
}

const beepMs = 400;

/** Plays items one after the other, each loaded while the ones before it are heard. Returns how to stop. */
export function playItems(items: readonly PlayItem[], watch: SpeakerWatch): () => void {
  const sounds = items.map(load);
  let isStopped = false;
  let stopSound: () => void = () => undefined;
  let wake: () => void = () => undefined;

  const pause = (ms: number): Promise<void> =>
    new Promise((resolve) => {
      const timer = setTimeout(resolve, ms);
      wake = () => {
        clearTimeout(timer);
        resolve();
      };
    });

  const run = async (): Promise<void> => {
    for (const [index, item] of items.entries()) {
      const sound = await sounds[index];
      if (isStopped) return;
      watch.onItem(index);
      if (item.type === 'beep') {
        stopSound = playBeep();
        await pause(beepMs);
      } else if (item.type === 'music') {
        stopSound = playHoldMusic();
        await pause(item.ms);
        stopSound();
      } else {
        if (sound) stopSound = playPcm(sound);
        else watch.onMute();
        await pause((sound ? lengthMs(sound) : expectedMs(item)) + pauseAfterMs(item));
      }
      if (isStopped) return;
    }
    watch.onEnd();
  };
  void run();

  return () => {
    isStopped = true;
    stopSound();
    wake();
  };
}

/** Plays items again and again, as a caller hears them while somebody is rung. Returns how to stop. */
export function playOverAndOver(items: readonly PlayItem[]): () => void {
  let stop: () => void = () => undefined;
  const begin = (): void => {
    stop = playItems(items, { onItem: () => undefined, onMute: () => undefined, onEnd: begin });
  };
  begin();
  return () => stop();
}

type Loaded = Extract<PlayItem, { type: 'sentence' | 'audio' }>;

function expectedMs(item: Loaded): number {
  return item.type === 'audio' ? item.ms : estimateMs(item.sentence.text);
}

function pauseAfterMs(item: Loaded): number {
  return item.type === 'audio' ? 0 : item.sentence.pauseAfterMs;
}

function load(item: PlayItem): Promise<Pcm | null> | null {
  if (item.type === 'sentence') return loadSentence(item.sentence.voice, item.sentence.text).catch(() => null);
  return item.type === 'audio' ? loadAudio(item.audioId).catch(() => null) : null;
}
