import { readWav, type Pcm } from '@locutor/core/audio';

/** A sound that a server keeps. */
export async function soundOf(url: string, audioId: string): Promise<Pcm> {
  const wav = readWav(new Uint8Array(await (await fetch(`${url}/api/audio/${audioId}`)).arrayBuffer()));
  if (!wav.ok) throw new Error(`${audioId} is not a sound`);
  return wav.value;
}
