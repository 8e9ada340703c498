import { readAiffSound } from './aiff';

/** An AIFF file of 8-bit samples, with its rate as the ten bytes that stand in the file (IEEE 754 extended). */
function aiff(rate: readonly number[], samples: readonly number[]): Uint8Array {
  const ascii = (text: string): number[] => [...text].map((letter) => letter.charCodeAt(0));
  const long = (value: number): number[] => [24, 16, 8, 0].map((shift) => (value >>> shift) & 255);
  const common = [0, 1, ...long(samples.length), 0, 8, ...rate];
  const sound = [...long(0), ...long(0), ...samples];
  const chunks = [
    ...ascii('COMM'),
    ...long(common.length),
    ...common,
    ...ascii('SSND'),
    ...long(sound.length),
    ...sound,
  ];
  return Uint8Array.from([...ascii('FORM'), ...long(chunks.length + 4), ...ascii('AIFF'), ...chunks]);
}

describe('the rate of an AIFF file', () => {
  it('with a fraction, as of old computers, is taken for the nearest whole one', () => {
    // 22,254.545 Hz.
    const read = readAiffSound(aiff([0x40, 0x0d, 0xad, 0xdd, 0x17, 0x45, 0, 0, 0, 0], [1, 2, 3]));
    expect(read.ok && read.value.rateHz).toBe(22_255);
  });

  it.each([
    ['nothing', [0, 0, 0, 0, 0, 0, 0, 0, 0, 0]],
    ['more than there are', [0x7f, 0xff, 0xff, 0xff, 0xff, 0xff, 0xff, 0xff, 0xff, 0xff]],
    ['half a sample a second', [0x3f, 0xfe, 0x80, 0, 0, 0, 0, 0, 0, 0]],
  ])('of %s is refused', (_what, rate) => {
    expect(readAiffSound(aiff(rate, [1, 2, 3]))).toEqual({ ok: false, problems: [{ type: 'broken' }] });
  });
});
