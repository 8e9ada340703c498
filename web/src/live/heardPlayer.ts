import type { HeardItem } from '@locutor/core/exchange';
import { loadAudio, playBeep, playHoldMusic, playPcm } from '../handset/sounds';
import type { Pcm } from '@locutor/core/audio';

const loaded = new Map<string, Promise<Pcm | null>>();

/**
 * Plays items by the lengths the line gave them, beginning so far into them. The line keeps the clock: what comes late
 * is begun late and cut by what follows. Told which item begins, how long it takes, and how much of it is over
 * already, in ms. Returns how to stop.
 */
export function playHeard(
  items: readonly HeardItem[],
  fromMs: number,
  onItem: (index: number, ms: number, skippedMs: number) => void,
): () => void {
  const stops: (() => void)[] = [];
  const timers: ReturnType<typeof setTimeout>[] = [];
  let isOver = false;
  let at = -fromMs;
  items.forEach((item, index) => {
    const beginsMs = at;
    const endsMs = at + item.ms;
    at = endsMs + (item.type === 'sentence' ? item.pauseMs : 0);
    if (at <= 0) return;
    const begin = (): void => {
      const skippedMs = Math.max(0, -beginsMs);
      onItem(index, item.ms, skippedMs);
      void sound(item, skippedMs, () => isOver).then((stop) => {
        if (isOver) stop();
        else stops.push(stop);
      });
    };
    timers.push(setTimeout(begin, Math.max(0, beginsMs)));
    timers.push(setTimeout(() => stops.splice(0).forEach((stop) => stop()), Math.max(0, endsMs)));
  });
  return () => {
    isOver = true;
    timers.forEach((timer) => clearTimeout(timer));
    stops.forEach((stop) => stop());
  };
}

async function sound(item: HeardItem, skipMs: number, isOver: () => boolean): Promise<() => void> {
  if (item.type === 'beep') return playBeep();
  if (item.type === 'music') return playHoldMusic(item.piece, item.fromMs + skipMs);
  const pcm = item.audioId ? await load(item.audioId) : null;
  if (!pcm || isOver()) return () => undefined;
  const from = Math.round((skipMs / 1000) * pcm.rateHz);
  return playPcm({ ...pcm, samples: pcm.samples.subarray(from) });
}

function load(audioId: string): Promise<Pcm | null> {
  const known = loaded.get(audioId) ?? loadAudio(audioId).catch(() => null);
  loaded.set(audioId, known);
  return known;
}
