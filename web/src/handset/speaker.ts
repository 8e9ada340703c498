import { lengthMs, type Pcm } from '@locutor/core/audio';
import type { PlayItem } from '@locutor/core/call';
import { expectedMs } from '@locutor/core/speech';
import { loadAudio, loadSentence, playBeep, playHoldMusic, playPcm } from './sounds';

export interface SpeakerWatch {
  /** An item begins to be heard, for so long. */
  readonly onItem: (index: number, ms: number) => void;
  /** So many of the items can be heard already. */
  readonly onLoaded?: (count: number) => void;
  readonly onEnd: () => void;
  /** The voice could not be had; captions go on without it. */
  readonly onMute: () => void;
}

const beepMs = 400;

/** Plays items one after the other, each loaded while the ones before it are heard. Returns how to stop. */
export function playItems(items: readonly PlayItem[], watch: SpeakerWatch): () => void {
  const sounds = items.map(load);
  let ready = 0;
  for (const sound of sounds) void Promise.resolve(sound).then(() => watch.onLoaded?.((ready += 1)));
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
      watch.onItem(
        index,
        sound ? lengthMs(sound) : item.type === 'beep' ? beepMs : item.type === 'music' ? item.ms : lengthOf(item),
      );
      if (item.type === 'beep') {
        stopSound = playBeep();
        await pause(beepMs);
      } else if (item.type === 'music') {
        stopSound = playHoldMusic(item.piece);
        await pause(item.ms);
        stopSound();
      } else {
        if (sound) stopSound = playPcm(sound);
        else watch.onMute();
        await pause((sound ? lengthMs(sound) : lengthOf(item)) + pauseAfterMs(item));
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

function lengthOf(item: Loaded): number {
  return item.type === 'audio' ? item.ms : expectedMs(item.sentence);
}

function pauseAfterMs(item: Loaded): number {
  return item.type === 'audio' ? 0 : item.sentence.pauseAfterMs;
}

function load(item: PlayItem): Promise<Pcm | null> | null {
  if (item.type === 'sentence') {
    const { voice, text, recorded } = item.sentence;
    return (recorded ? loadAudio(recorded.audioId) : loadSentence(voice, text)).catch(() => null);
  }
  return item.type === 'audio' ? loadAudio(item.audioId).catch(() => null) : null;
}
