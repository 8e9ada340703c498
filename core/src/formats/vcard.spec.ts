import { personDefaults, personId, type Person } from '../directory';
import { isVcard, readVcards, writeVcards } from './vcard';

const card = (...lines: string[]): string => ['BEGIN:VCARD', ...lines, 'END:VCARD'].join('\r\n');
const read = (...lines: string[]) => readVcards(card(...lines))[0];

const noor: Person = {
  ...personDefaults,
  id: personId.create('noor'),
  name: 'Noor van der Haldane',
  extension: '212',
  email: 'noor@larkspurcove.example',
  mobile: '+12075550161',
  saidAs: 'Noor Hall-dane',
};

describe('a contact card that is read', () => {
  it('is of somebody with an extension, an e-mail, a mobile and how the name is said', () => {
    expect(
      read(
        'VERSION:4.0',
        'FN: Noor Haldane ',
        'N:Haldane;Noor;;;',
        'X-EXTENSION:212',
        'EMAIL;TYPE=work: noor@larkspurcove.example',
        'TEL;TYPE=cell;VALUE=uri:tel:+12075550161',
        'X-SAID-AS:Noor Hall-dane',
      ),
    ).toEqual({
      row: 1,
      name: 'Noor Haldane',
      extension: '212',
      email: 'noor@larkspurcove.example',
      mobile: '+12075550161',
      saidAs: 'Noor Hall-dane',
    });
  });

  it('has nothing where the card says nothing', () => {
    expect(read('VERSION:4.0', 'FN:Noor Haldane')).toEqual({
      ...{ row: 1, name: 'Noor Haldane', extension: '', email: '', mobile: '', saidAs: '' },
    });
  });

  it('takes nothing for a number or an address that is something else', () => {
    const card = read('VERSION:3.0', 'FN:212', 'NOTE;TYPE=cell:213', 'X-ROOM:214');
    expect(card).toMatchObject({ name: '212', extension: '', mobile: '', email: '' });
    expect(read('VERSION:3.0', 'NOTE:nobody')).toMatchObject({ name: '' });
  });

  it('has its numbers without the spaces around them', () => {
    expect(read('VERSION:3.0', 'FN:Noor', 'TEL;TYPE=cell: +1 207 555 0161 ')?.mobile).toBe('+1 207 555 0161');
    expect(read('VERSION:3.0', 'FN:Noor', 'TEL;TYPE=work: 212 ')?.extension).toBe('212');
  });

  it('has the extension that stands behind a number, as people write it', () => {
    for (const number of [
      '+1 207 555 0100 x215',
      '207-555-0100 ext. 215',
      '+12075550100;ext=215',
      '(207) 555-0100, x 215',
    ]) {
      expect(read('VERSION:3.0', 'FN:Noor', `TEL;TYPE=work:${number}`)?.extension).toBe('215');
    }
  });

  it('is of a firm that has its name only', () => {
    expect(read('VERSION:3.0', 'N:;;;;', 'ORG:Tidewater Marine Supply;Parts')?.name).toContain(
      'Tidewater Marine Supply',
    );
  });

  it('has an address of several lines in quoted-printable text, and the rest after it', () => {
    const old = read(
      'VERSION:2.1',
      'N:Haldane;Noor',
      'ADR;WORK;ENCODING=QUOTED-PRINTABLE:;;1 Cannery Road=0D=0ADock 4;Larkspur Cove',
      'EMAIL;INTERNET:noor@larkspurcove.example',
    );
    expect(old).toMatchObject({ name: 'Noor Haldane', email: 'noor@larkspurcove.example' });
  });

  it('without its end is told, and takes nothing from the ones around it', () => {
    const text = [
      card('VERSION:3.0', 'FN:One'),
      'BEGIN:VCARD\r\nVERSION:3.0\r\nFN:Two',
      card('VERSION:3.0', 'FN:Three'),
    ];
    const found = readVcards(text.join('\r\n'));
    expect(found.map(({ name, unreadable = false }) => [name, unreadable])).toEqual([
      ['One', false],
      ['', true],
      ['Three', false],
    ]);
  });

  it('has no extension pieced together of two numbers', () => {
    expect(read('VERSION:4.0', 'FN:Noor', 'TEL:+12075550100;ext=2', 'TEL:0175550161')?.extension).toBe('');
    expect(read('VERSION:4.0', 'FN:Noor', 'TEL:+12075550100;ext=204')?.extension).toBe('204');
  });

  it('is none where a text holds no card', () => {
    expect(readVcards('Noor Haldane, 212')).toEqual([]);
  });

  it('is in the charset it names, and in no other', () => {
    const name = (charset: string) => read('VERSION:2.1', `FN;${charset};ENCODING=QUOTED-PRINTABLE:J=C3=A4ger`)?.name;
    expect(name('CHARSET=UTF-8')).toBe('Jäger');
    expect(name('X-CHARSET=ISO-8859-1')).toBe('Jäger');
    expect(name('CHARSET=ISO-8859-1')).toBe('JÃ¤ger');
    expect(name('CHARSET=X-UTF-8')).toBe('JÃ¤ger');
  });

  it('has a name of its parts where it has none as a whole', () => {
    expect(read('VERSION:3.0', 'N:Haldane;Noor;;;')?.name).toBe('Noor Haldane');
    expect(read('VERSION:3.0', 'N:Haldane;;;;')?.name).toBe('Haldane');
    expect(read('VERSION:3.0', 'N:;Noor;;;')?.name).toBe('Noor');
    expect(read('VERSION:3.0', 'FN:', 'N:Haldane;Noor;;;')?.name).toBe('Noor Haldane');
  });

  it.each([
    [['TEL;TYPE=CELL:+1 207 555 0161'], '+1 207 555 0161'],
    [['TEL;TYPE=cell,voice:+1 207 555 0161'], '+1 207 555 0161'],
    [['TEL;TYPE=voice;TYPE=mobile:+1 207 555 0161'], '+1 207 555 0161'],
    [['TEL;TYPE=work:+1 207 555 0140', 'TEL;TYPE=cell:+1 207 555 0161'], '+1 207 555 0161'],
    [['TEL;TYPE=cell:+1 207 555 0161', 'TEL;TYPE=cell:+1 207 555 0162'], '+1 207 555 0161'],
    [['TEL;TYPE=work:+1 207 555 0140'], ''],
    [['TEL:+1 207 555 0140'], ''],
  ])('has as its mobile the first number that says it is one: %j', (lines, mobile) => {
    expect(read('VERSION:3.0', 'FN:Noor', ...lines)?.mobile).toBe(mobile);
  });

  it.each([
    [['TEL;TYPE=work:212'], '212'],
    [['TEL;TYPE=work:+12075550140', 'TEL;TYPE=work:21'], '21'],
    [['TEL;TYPE=work:212345'], '212345'],
    [['TEL;TYPE=work:2123456'], ''],
    [['TEL;TYPE=work:2'], ''],
    [['TEL;TYPE=work:x212'], ''],
    [['TEL;TYPE=work:212x'], ''],
    [['TEL;TYPE=work:+1-207-555-0140;ext=213'], '213'],
    [['TEL;TYPE=cell:+12075550161', 'TEL;TYPE=work:+1-207-555-0140;ext=213'], '213'],
    [['X-EXTENSION:300', 'TEL;TYPE=work:212'], '300'],
  ])('has as its extension what stands there as one, or a number as short as one: %j', (lines, extension) => {
    expect(read('VERSION:3.0', 'FN:Noor', ...lines)?.extension).toBe(extension);
  });

  it('may be one of many, counted as they come, and a damaged one does not spoil the others', () => {
    const cards = [card('VERSION:4.0', 'FN:Ada'), card('nonsense'), card('VERSION:4.0', 'FN:Bo')].join('\r\n\r\n');
    expect(readVcards(cards).map(({ row, name, unreadable }) => [row, name, unreadable ?? false])).toEqual([
      [1, 'Ada', false],
      [2, '', true],
      [3, 'Bo', false],
    ]);
    expect(readVcards(cards)[1]).toEqual({
      ...{ row: 2, name: '', extension: '', email: '', mobile: '', saidAs: '', unreadable: true },
    });
  });

  it.each([
    ['with line feeds only', 'BEGIN:VCARD\nVERSION:4.0\nFN:Noor\nEND:VCARD'],
    ['with carriage returns only', 'BEGIN:VCARD\rVERSION:4.0\rFN:Noor\rEND:VCARD'],
    ['with a byte order mark', '\uFEFFBEGIN:VCARD\r\nVERSION:4.0\r\nFN:Noor\r\nEND:VCARD'],
    ['in small letters', 'begin:vcard\r\nversion:4.0\r\nfn:Noor\r\nend:vcard'],
    ['with a folded line', 'BEGIN:VCARD\r\nVERSION:4.0\r\nFN:No\r\n or\r\nEND:VCARD'],
  ])('may come %s', (_, text) => {
    expect(readVcards(text).map(({ name }) => name)).toEqual(['Noor']);
  });
});

describe('a contact card of version 2.1', () => {
  it('names its types without saying that they are some', () => {
    const cell = read('VERSION:2.1', 'FN:Noor', 'TEL;WORK:+12075550140', 'TEL;PREF;CELL;VOICE:+12075550161');
    expect(cell?.mobile).toBe('+12075550161');
    expect(read('version: 2.1', 'FN:Noor', 'TEL;TYPE=CELL:+12075550161')?.mobile).toBe('+12075550161');
  });

  it.each([
    ['FN;ENCODING=QUOTED-PRINTABLE:=C3=85se =C3=98yen', 'Åse Øyen'],
    ['FN;QUOTED-PRINTABLE:=C3=85se', 'Åse'],
    ['FN;CHARSET=UTF-8;ENCODING=QUOTED-PRINTABLE:=c3=85se', 'Åse'],
    ['FN;CHARSET=utf8;ENCODING=QUOTED-PRINTABLE:=C3=85se', 'Åse'],
    ['FN;charset=iso-8859-1;encoding=quoted-printable:=C5se', 'Åse'],
    ['FN;CHARSET=UTF-8:Åse', 'Åse'],
    ['FN;ENCODING=QUOTED-PRINTABLE:100% Åse', '100% Åse'],
    ['FN;ENCODING=QUOTED-PRINTABLE:100%=20Ada', '100% Ada'],
    ['FN;ENCODING=8BIT:A=20B', 'A=20B'],
  ])('has its text decoded: %s', (line, name) => {
    expect(read('VERSION:2.1', line)?.name).toBe(name);
  });

  it('keeps text that is not what it says it is', () => {
    expect(read('VERSION:2.1', 'FN;ENCODING=QUOTED-PRINTABLE:=FF=FE')?.name).toBe('=FF=FE');
  });

  it('goes on in the next line after an equals sign, more than once', () => {
    const lines = ['FN;ENCODING=QUOTED-PRINTABLE:Noor =', 'van der =', 'Haldane', 'EMAIL:noor@x.example'];
    expect(read('VERSION:2.1', ...lines)).toMatchObject({ name: 'Noor van der Haldane', email: 'noor@x.example' });
  });
});

describe('contact cards that are written', () => {
  const lines = (person: Person): readonly string[] => writeVcards([person]).split('\r\n');

  it('hold a whole name, its parts, and what is known of somebody, line by line (RFC 6350)', () => {
    expect(lines(noor)).toEqual([
      'BEGIN:VCARD',
      'VERSION:4.0',
      'FN:Noor van der Haldane',
      'N:van der Haldane;Noor;;;',
      'X-EXTENSION:212',
      'EMAIL:noor@larkspurcove.example',
      'TEL;TYPE=cell;VALUE=TEXT:+12075550161',
      'X-SAID-AS:Noor Hall-dane',
      'END:VCARD',
      '',
    ]);
  });

  it('leave out what is not known', () => {
    expect(lines({ ...noor, name: 'Noor', email: '', mobile: '', saidAs: '' })).toEqual([
      ...['BEGIN:VCARD', 'VERSION:4.0', 'FN:Noor', 'N:;Noor;;;', 'X-EXTENSION:212', 'END:VCARD', ''],
    ]);
  });

  it('stand one after the other, and are read back as they were', () => {
    const ada: Person = { ...noor, name: 'Ada; "A, B"', extension: '230', email: '', mobile: '', saidAs: '' };
    const again = readVcards(writeVcards([noor, ada]));
    expect(again.map(({ name, extension, mobile }) => [name, extension, mobile])).toEqual([
      [noor.name, '212', '+12075550161'],
      [ada.name, '230', ''],
    ]);
    expect(writeVcards([noor, ada])).toContain('END:VCARD\r\nBEGIN:VCARD');
    expect(lines({ ...noor, name: 'Noor  Haldane' })).toContain('N:Haldane;Noor;;;');
    expect(writeVcards([])).toBe('');
  });
});

describe('text that holds contact cards', () => {
  it.each([
    ['BEGIN:VCARD\r\n', true],
    ['\uFEFF begin:vcard', true],
    ['\n\nBEGIN:VCARD', true],
    ['Name,Extension\nBEGIN:VCARD,212', false],
    ['', false],
  ])('is told from rows: %j', (text, is) => {
    expect(isVcard(text)).toBe(is);
  });
});

it('a number that is neither a mobile nor an extension is told as left out', () => {
  const found = read('VERSION:3.0', 'FN:Noor Haldane', 'TEL;TYPE=CELL:+12075550161', 'TEL;TYPE=WORK:+12075550140');
  expect(found).toMatchObject({ mobile: '+12075550161', leftOut: ['+12075550140'] });
});
