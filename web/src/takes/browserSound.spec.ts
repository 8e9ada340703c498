import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { largestSoundBytes, readWav } from '@locutor/core/audio';
import { sendable } from './browserSound';

const sounds = join(__dirname, '..', '..', '..', 'server', 'src', 'testing', 'sounds');
const fixture = (name: string): Buffer => readFileSync(join(sounds, name));
const file = (bytes: Uint8Array, name: string): File => {
  const made = new File([bytes as BlobPart], name);
  return Object.assign(made, { arrayBuffer: () => Promise.resolve(new Uint8Array(bytes).buffer) });
};

/** A browser that decodes everything to the same two channels, or nothing at all. */
function browserDecodes(channels: readonly number[] | null, seconds = 1): void {
  class Context {
    constructor(
      _channels: number,
      _length: number,
      readonly rateHz: number,
    ) {}

    decodeAudioData() {
      if (!channels) return Promise.reject(new DOMException('Unable to decode', 'EncodingError'));
      const data = channels.map((level) => new Float32Array(this.rateHz * seconds).fill(level));
      return Promise.resolve({
        ...{ duration: seconds, sampleRate: this.rateHz, numberOfChannels: data.length },
        getChannelData: (index: number) => data[index],
      });
    }
  }
  Object.assign(globalThis, { OfflineAudioContext: Context });
}

describe('a sound file that is brought', () => {
  it('is sent as it is where the server reads it', async () => {
    browserDecodes(null);
    for (const name of ['tone.mp3', 'tone.ogg', 'tone.flac']) {
      const brought = file(fixture(name), name);
      expect(await sendable(brought)).toBe(brought);
    }
  });

  it.each(['tone.m4a', 'tone.aac', 'alac.m4a'])('is decoded here where only browsers can: %s', async (name) => {
    browserDecodes([0.5, 0.25]);
    const sent = await sendable(file(fixture(name), name));
    expect(sent.name).toBe(name.replace(/\.\w+$/, '.wav'));
    const bytes = await new Response(sent).arrayBuffer();
    const read = readWav(new Uint8Array(bytes));
    expect(read.ok && [read.value.rateHz, read.value.samples.length]).toEqual([48_000, 48_000]);
    expect(read.ok && read.value.samples[100]).toBeCloseTo(0.375, 3);
  });

  it('is refused in words where it is cut, locked, too long, or in a coding that this browser does not read', async () => {
    browserDecodes(null);
    const whole = fixture('tone.m4a');
    const locked = Buffer.from(whole);
    locked.write('enca', locked.indexOf('stsd') + 16, 'latin1');
    const long = Buffer.from(whole);
    long.writeUInt32BE(0x7fff_ffff, long.indexOf('mvhd') + 20);
    const says = async (bytes: Uint8Array, name = 'memo.m4a') =>
      sendable(file(bytes, name)).then(
        () => 'sent',
        (error: Error) => error.message,
      );
    expect(await says(whole.subarray(0, 3000))).toContain('“memo.m4a” was cut off');
    expect(await says(fixture('tone.aac').subarray(0, 2000), 'memo.aac')).toContain('“memo.aac” was cut off');
    expect(await says(locked)).toContain('“memo.m4a” is encrypted');
    expect(await says(long)).toContain('“memo.m4a” is longer than 10 minutes');
    expect(await says(whole)).toContain('in a coding (AAC or Apple Lossless) that this browser does not read');
    browserDecodes([0.5], 601);
    expect(await says(whole)).toContain('“memo.m4a” is longer than 10 minutes');
  });

  it('is refused before it is read where it is too large', async () => {
    const large = Object.assign(new File([], 'large.wav'), { arrayBuffer: () => Promise.reject(new Error('read')) });
    Object.defineProperty(large, 'size', { value: largestSoundBytes + 1 });
    await expect(sendable(large)).rejects.toThrow('“large.wav” is larger than 50 MB');
  });
});
