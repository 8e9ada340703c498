import { readTextFile } from './readTextFile';

const fileOf = (bytes: readonly number[] | string, name = 'people.csv'): File => {
  const content = typeof bytes === 'string' ? new TextEncoder().encode(bytes) : Uint8Array.from(bytes);
  return { name, size: content.length, arrayBuffer: () => Promise.resolve(content.buffer) } as unknown as File;
};

describe('a file of people', () => {
  it.each([
    ['UTF-8', fileOf('Åse Øyen'), 'Åse Øyen'],
    ['windows-1252', fileOf([0xc5, 0x73, 0x65, 0x20, 0xd8]), 'Åse Ø'],
    ['UTF-16, low byte first', fileOf([0xff, 0xfe, 0xc5, 0x00, 0x73, 0x00]), 'Ås'],
    ['UTF-16, high byte first', fileOf([0xfe, 0xff, 0x00, 0xc5, 0x00, 0x73]), 'Ås'],
  ])('is read as %s', async (_charset, file, text) => {
    expect(await readTextFile(file)).toEqual({ ok: true, text });
  });

  it('that is empty, no text or too large is refused by its name', async () => {
    expect(await readTextFile(fileOf([]))).toEqual({ ok: false, says: 'people.csv is empty.' });
    expect(await readTextFile(fileOf([0x50, 0x4b, 0x00, 0x04], 'staff.xlsx'))).toEqual({
      ok: false,
      says: 'staff.xlsx is no text. Save it as CSV or vCard first.',
    });
    const large = { ...fileOf('x'), name: 'large.csv', size: 21_000_000 } as File;
    expect(await readTextFile(large)).toEqual({ ok: false, says: 'large.csv is too large: at most 20 MB.' });
  });
});
