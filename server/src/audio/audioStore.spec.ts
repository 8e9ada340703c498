import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { isAudioId } from './audioId';
import { AudioStore } from './audioStore';

const folder = mkdtempSync(join(tmpdir(), 'locutor-audio-'));
const store = new AudioStore(join(folder, 'audio'));
const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
afterAll(() => rmSync(folder, { recursive: true }));

describe('the audio store', () => {
  it('names a file by its content and gives it back whole', async () => {
    const id = await store.keep(bytes('a sound'));
    expect(isAudioId(id)).toBe(true);
    expect(await store.has(id)).toBe(true);
    expect(readFileSync(store.pathOf(id), 'utf8')).toBe('a sound');
  });

  it('keeps the same sound once, also when it comes twice at the same time', async () => {
    const ids = await Promise.all([1, 2, 3].map(() => store.keep(bytes('the same'))));
    expect(new Set(ids).size).toBe(1);
    const kept = ids.flatMap((id) => readdirSync(join(store.pathOf(id), '..')));
    expect(kept.filter((name) => name.endsWith('.part'))).toEqual([]);
  });

  it('takes only 64 hexadecimal digits for a name', () => {
    for (const text of ['', '../../etc/passwd', 'A'.repeat(64), `${'a'.repeat(64)}/..`, 'a'.repeat(63)]) {
      expect(isAudioId(text)).toBe(false);
    }
  });
});
