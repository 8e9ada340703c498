import fc from 'fast-check';
import { lookAtFile, looksLikeG711, lookOutside, readAuSound, readWavSound, writeAu, writeWav } from '.';
import { sine } from '../testing/tones';
import { cases } from '../testing/cases';

const latin = (text: string): Uint8Array => Uint8Array.from(text, (letter) => letter.charCodeAt(0));
const wav = writeWav(sine(440, 8000, 0.05));
const au = writeAu(sine(440, 8000, 0.05), 'a');

describe('what a file is', () => {
  it.each([
    ['wav', wav],
    ['au', au],
    ['aiff', latin('FORM\0\0\0\x10AIFFCOMM')],
    ['flac', latin('fLaC\0\0\0\x22')],
    ['ogg', latin('OggS\0\x02')],
    ['m4a', latin('\0\0\0\x20ftypM4A ')],
    ['mp3', latin('\xff\xfb\x90\x64')],
    ['mp3', latin('ID3\x04\0\0\0\0\0\x02..\xff\xfb\x90\x64')],
    ['aac', latin('\xff\xf1\x50\x80')],
  ])('is told by its first bytes, not by its name: %s', (kind, file) => {
    expect(lookAtFile(file, 'picture.png')).toEqual({ type: 'sound', kind });
  });

  it.each([
    ['%PDF-1.4', 'a PDF document'],
    ['\x89PNG\r\n', 'a picture'],
    ['PK\x03\x04', 'a zip archive or an office document'],
    ['-----BEGIN PGP MESSAGE-----', 'an encrypted file'],
    ['\x1a\x45\xdf\xa3', 'a video'],
    ['<!DOCTYPE html>', 'a web page'],
    ['MZ\x90\0', 'a program'],
    ['\0\0\0\x18ftypheic', undefined],
    ['Dear callers', undefined],
  ])('is named where it is no sound: %s', (text, looksLike) => {
    expect(lookAtFile(latin(text), 'greeting.wav')).toEqual({ type: 'other', ...(looksLike && { looksLike }) });
  });

  it('is bare telephone sound only by its name, which may tell the law', () => {
    const codes = latin('\x7e\x7f\xfe\xfd');
    expect(lookAtFile(codes, 'hello.ULAW')).toEqual({ type: 'bareG711', law: 'mu' });
    expect(lookAtFile(codes, 'hello.al')).toEqual({ type: 'bareG711', law: 'a' });
    expect(lookAtFile(codes, 'hello.raw')).toEqual({ type: 'bareG711', law: null });
    expect(lookAtFile(codes, 'hello')).toEqual({ type: 'other' });
  });

  it.each(['BM\x7e', 'MZ\x7f', '\xff\xfe\x78\x7e', '\xff\xf1\x50\x80', '%PDF'])(
    'is bare telephone sound by its name even where it happens to begin like something else: %j',
    (text) => {
      expect(lookAtFile(latin(text), 'hello.ulaw')).toEqual({ type: 'bareG711', law: 'mu' });
      expect(lookAtFile(wav, 'hello.ulaw')).toEqual({ type: 'sound', kind: 'wav' });
    },
  );

  it('never makes anything throw, whatever its bytes', () => {
    const kinds = ['wav', 'au', 'aiff', 'mp3', 'aac', 'm4a', 'ogg', 'flac'] as const;
    const heads = ['RIFF....WAVEfmt ', '.snd', 'FORM....AIFF', '\xff\xfb', '\0\0\0\x08ftyp', 'OggS', 'fLaC', ''];
    fc.assert(
      fc.property(fc.constantFrom(...heads), fc.uint8Array({ maxLength: 120 }), (head, rest) => {
        const file = Uint8Array.from([...latin(head), ...rest]);
        lookAtFile(file, 'x.wav');
        for (const kind of kinds) expect(typeof lookOutside(file, kind).isCutOff).toBe('boolean');
        for (const read of [readWavSound, readAuSound]) {
          expect(typeof read(file, { wholeOnly: true }).ok).toBe('boolean');
        }
      }),
      cases(300),
    );
  });
});

describe('whether a file is whole', () => {
  it('is told for WAV and AU, unless they are to be read as far as they go', () => {
    for (const [file, read] of [
      [wav, readWavSound],
      [au, readAuSound],
    ] as const) {
      expect(read(file, { wholeOnly: true }).ok).toBe(true);
      expect(read(file.subarray(0, 200), { wholeOnly: true })).toMatchObject({ problems: [{ type: 'cutOff' }] });
      expect(read(file.subarray(0, 200), { wholeOnly: false }).ok).toBe(true);
    }
  });

  it('has no sound where its chunk of sound is empty, whatever chunks follow', () => {
    const empty = writeWav({ samples: new Float32Array(0), rateHz: 8000 });
    const file = Uint8Array.from([...empty, ...latin('LIST\x08\0\0\0INFOabcd')]);
    for (const wholeOnly of [true, false]) {
      expect(readWavSound(file, { wholeOnly })).toMatchObject({ problems: [{ type: 'noSound' }] });
    }
  });

  it('is read to its end where a stream did not know its length, also as RF64', () => {
    for (const head of ['RIFF', 'RF64']) {
      const streamed = wav.slice();
      streamed.set(latin(head));
      new DataView(streamed.buffer).setUint32(40, 0xffff_ffff, true);
      const sound = readWavSound(streamed, { wholeOnly: true });
      expect(sound.ok && sound.value.channels[0]).toHaveLength(400);
    }
  });

  it('is told for frames that follow each other, tags after them not counting', () => {
    // MPEG 1 layer III at 128 kbit/s and 44.1 kHz: frames of 417 bytes.
    const frame = new Uint8Array(417);
    frame.set([0xff, 0xfb, 0x90, 0x64]);
    const two = Uint8Array.from([...frame, ...frame]);
    const cut = (file: Uint8Array): boolean => lookOutside(file, 'mp3').isCutOff;
    expect([cut(two), cut(Uint8Array.from([...two, ...latin('TAG....')])), cut(two.subarray(0, 800))]).toEqual([
      false,
      false,
      true,
    ]);
  });

  it('is told for boxes: the sound, and what describes it, are both there', () => {
    const box = (name: string, content = ''): string =>
      `\0\0\0${String.fromCharCode(8 + content.length)}${name}${content}`;
    const look = (text: string) => lookOutside(latin(text), 'm4a');
    const whole = box('ftyp', 'M4A ') + box('moov', 'abcd') + box('mdat', 'sound');
    expect(look(whole)).toMatchObject({ isCutOff: false, isEncrypted: false });
    expect(look(whole.slice(0, -2)).isCutOff).toBe(true);
    expect(look(box('ftyp', 'M4A ') + box('mdat', 'sound')).isCutOff).toBe(true);
    const locked = box('moov', box('stsd', `${'\0'.repeat(8)}\0\0\0\x10drms........`));
    expect(look(box('ftyp', 'M4A ') + locked + box('mdat', 'x')).isEncrypted).toBe(true);
  });
});

describe('bytes without a header', () => {
  const speech = Uint8Array.from(
    { length: 16_000 },
    (_, at) => 0x7f + Math.round(40 * Math.sin(at / 9) * Math.sin(at / 900)),
  );

  it('can be G.711 when they are as varied as sound is', () => {
    expect(looksLikeG711(speech)).toBe(true);
    expect(looksLikeG711(new Uint8Array(8000).fill(0xff))).toBe(true);
    expect(looksLikeG711(Uint8Array.of(0xff, 0x7f, 0x80))).toBe(true);
  });

  it('are none when they are text, or noise as of an encrypted file', () => {
    const text = 'Dear callers, we are closed on Monday. '.repeat(200);
    expect(looksLikeG711(new TextEncoder().encode(text))).toBe(false);
    expect(looksLikeG711(new Uint8Array(Uint16Array.from(text, (each) => each.charCodeAt(0)).buffer))).toBe(false);
    let seed = 7;
    const noise = Uint8Array.from({ length: 20_000 }, () => (seed = (seed * 1_103_515_245 + 12_345) % 2 ** 31) >> 16);
    expect(looksLikeG711(noise)).toBe(false);
  });
});
