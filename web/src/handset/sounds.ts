import { beep, busyTone, dtmfTone, holdMusic, phoneRateHz, readWav, ringbackTone, type Pcm } from '@locutor/core/audio';
import {
  keyOfPiece,
  usualHoldMusic,
  type HoldMusicId,
  type HoldPiece,
  type Key,
  type VoiceId,
} from '@locutor/core/line';
import { audioUrl, speak } from '../api/resources';

let shared: AudioContext | undefined;

/** The browser's audio, opened at the first sound: browsers want a click before it. */
export function audioContext(): AudioContext {
  shared ??= new AudioContext();
  if (shared.state === 'suspended') void shared.resume();
  return shared;
}

/** Words may be said otherwise from now on. */
export function forgetSentences(): void {
  loaded.clear();
}

const loaded = new Map<string, Promise<Pcm>>();

/** A sentence as the telephone carries it, loaded once. */
export function loadSentence(voice: VoiceId, text: string): Promise<Pcm> {
  const key = `${voice} ${text}`;
  let sound = loaded.get(key);
  if (!sound) {
    sound = speak(voice, [text]).then(([spoken]) => loadAudio(spoken?.audioId ?? ''));
    sound.catch(() => loaded.delete(key));
    loaded.set(key, sound);
  }
  return sound;
}

/** Loads a kept sound. @throws Error when it is not a sound that can be played. */
export async function loadAudio(audioId: string): Promise<Pcm> {
  const response = await fetch(audioUrl(audioId));
  const wav = readWav(new Uint8Array(await response.arrayBuffer()));
  if (!wav.ok) throw new Error('This sound cannot be played.');
  return wav.value;
}

/** Plays a sound and gives back how to stop it. */
export function playPcm({ samples, rateHz }: Pcm, { loop = false, fromMs = 0 } = {}): () => void {
  const context = audioContext();
  const buffer = context.createBuffer(1, Math.max(1, samples.length), rateHz);
  buffer.copyToChannel(new Float32Array(samples), 0);
  const source = new AudioBufferSourceNode(context, { buffer, loop });
  source.connect(context.destination);
  source.start(0, (fromMs / 1000) % buffer.duration);
  return () => source.stop();
}

export const playBeep = (): (() => void) => playPcm(beep(phoneRateHz));
export const playKeyTone = (key: Key): (() => void) => playPcm(dtmfTone(key, 160, phoneRateHz));
/** What is heard while it rings, as in a country. */
export const playRingback = (country?: string): (() => void) =>
  playPcm(ringbackTone(phoneRateHz, country), { loop: true });

const busyForMs = 4000;

/** What is heard for a while when a call did not get through, or the other side has ended it. */
export function playBusy(country?: string): () => void {
  const stop = playPcm(busyTone(phoneRateHz, country), { loop: true });
  const timer = setTimeout(stop, busyForMs);
  return () => {
    clearTimeout(timer);
    stop();
  };
}

const pieces = new Map<HoldMusicId, Pcm>();

/** Where a piece was stopped, for whoever does not say where it goes on. */
const stoppedAtMs = new Map<string, number>();

/** A piece of hold music, over and over, from where it goes on: where it was stopped last, unless that is said. */
export function playHoldMusic(piece: HoldPiece, fromMs = stoppedAtMs.get(keyOfPiece(piece)) ?? 0): () => void {
  const beganMs = performance.now();
  let isOver = false;
  let stop = (): void => undefined;
  const begin = (pcm: Pcm): void => {
    if (!isOver) stop = playPcm(pcm, { loop: true, fromMs: fromMs + performance.now() - beganMs });
  };
  if (typeof piece === 'string') begin(shippedPiece(piece));
  else void ownPiece(piece.audioId).then(begin, () => begin(shippedPiece(usualHoldMusic)));
  return () => {
    isOver = true;
    stoppedAtMs.set(keyOfPiece(piece), fromMs + performance.now() - beganMs);
    stop();
  };
}

function shippedPiece(id: HoldMusicId): Pcm {
  const piece = pieces.get(id) ?? holdMusic(id, phoneRateHz);
  pieces.set(id, piece);
  return piece;
}

const own = new Map<string, Promise<Pcm>>();

function ownPiece(audioId: string): Promise<Pcm> {
  const piece = own.get(audioId) ?? loadAudio(audioId);
  piece.catch(() => own.delete(audioId));
  own.set(audioId, piece);
  return piece;
}
