import fc from 'fast-check';
import { personDefaults, personId, type Person } from '../directory';
import { noor, priya } from '../testing/boatyard';
import {
  describeTakeInProblem,
  isVcard,
  mostTakenIn,
  planTakeIn,
  readPeopleTable,
  readTable,
  readVcards,
  takeInBody,
  writeCsv,
  writePeopleCsv,
  writeVcards,
  type MobileUse,
} from '.';

const people = [noor, { ...priya, email: 'priya@larkspurcove.example' }];
const plan = (text: string) => planTakeIn(readPeopleTable(text).people, people);
const inWords = (text: string) =>
  plan(text).map((each) =>
    each.type === 'wrong' ? each.problems.map(describeTakeInProblem).join(' ') : `${each.type} ${each.fields.name}`,
  );

describe('tables', () => {
  it('are read with tabs, commas or semicolons, and with quotes', () => {
    expect(readTable('a\tb\nc\td')).toEqual([
      ['a', 'b'],
      ['c', 'd'],
    ]);
    expect(readTable('"Haldane, Noor",212\n"say ""hi""",1')).toEqual([
      ['Haldane, Noor', '212'],
      ['say "hi"', '1'],
    ]);
    expect(readTable('\uFEFFName;Ext\nNoor;212')[1]).toEqual(['Noor', '212']);
  });

  it('are written so that no spreadsheet runs anything, and read back the same', () => {
    expect(writeCsv([['=SUM(A1)', '+1 207 555 0161', '-x', '@y']])).toBe("'=SUM(A1),+1 207 555 0161,'-x,'@y\r\n");
    const cell = fc.string({ minLength: 1 }).map((text) => `x${text.replace(/[\r\n\t]/g, ' ')}x`);
    const formula = fc.constantFrom('=A1', '@x', '-y');
    const table = fc.array(
      fc.tuple(cell, fc.oneof(cell, formula), cell).map((row) => row.map((each) => each.trim())),
      {
        minLength: 2,
      },
    );
    fc.assert(fc.property(table, (rows) => expect(readTable(writeCsv(rows)).slice(0, -1)).toEqual(rows)));
  });
});

describe('people pasted from a spreadsheet', () => {
  it('are found by headings in any order, or by what the columns look like', () => {
    const expected = { name: 'Juno Marchetti', extension: '206', email: 'juno@x.example', mobile: '207 555 0166' };
    const headed =
      'E-mail\tExt.\tLast name\tFirst name\tCell phone\njuno@x.example\t206\tMarchetti\tJuno\t207 555 0166';
    expect(readPeopleTable(headed).people).toMatchObject([expected]);
    const bare =
      'Marchetti, Juno\t206\tjuno@x.example\t207 555 0166\nEffie Brannigan\t213\teffie@x.example\t207 555 0113';
    expect(readPeopleTable(bare, 'US').people).toMatchObject([expected, { name: 'Effie Brannigan', extension: '213' }]);
  });

  it('have their names turned round where the last one stands first, but not a degree or a generation', () => {
    const names = ['"Haldane, Noor"', '"Ann Lee, DDS"', '"Sam Cole, Jr."', '"Ito, Ken"', '"Rao, Ph.D."', '"LEE, ANN"'];
    const rows = names.map((name, at) => `${name},${300 + at}`).join('\n');
    expect(readPeopleTable(`Name,Extension\n${rows}`).people.map(({ name }) => name)).toEqual([
      ...['Noor Haldane', 'Ann Lee, DDS', 'Sam Cole, Jr.', 'Ken Ito', 'Rao, Ph.D.', 'ANN LEE'],
    ]);
  });

  it('are read with the separator that the file names', () => {
    const found = readPeopleTable('sep=;\r\nName;Extension\r\nNoor Haldane;212\r\n').people;
    expect(found).toMatchObject([{ name: 'Noor Haldane', extension: '212' }]);
    expect(readTable('sep=|\na|b,c')).toEqual([['a', 'b,c']]);
  });

  it('are new, changed, or the same; an extension that is missing is given', () => {
    const text =
      'Name\tExtension\tE-mail\nJuno Marchetti\t206\t\nNOOR HALDANE\t212\tnoor@x.example\nPriya Castellanos\t204\nEffie Brannigan';
    const planned = plan(text);
    expect(planned.map(({ type }) => type)).toEqual(['add', 'change', 'same', 'add']);
    expect(planned[1]).toMatchObject({ changed: ['name', 'email'] });
    expect(planned[3]).toMatchObject({ given: true, fields: { extension: '201' } });
    expect(takeInBody(planned, people, 'texts')).toEqual([
      expect.objectContaining({ name: 'Juno Marchetti', extension: '206' }),
      { id: noor.id, name: 'NOOR HALDANE', email: 'noor@x.example' },
      expect.objectContaining({ name: 'Effie Brannigan', extension: '201' }),
    ]);
  });

  it('bring mobiles for texts, and to be rung where that is wanted, once', () => {
    const planned = plan('Name\tExtension\tMobile\nJuno Marchetti\t206\t+12075550166\nNoor Haldane\t212\t');
    const phonesAs = (use: MobileUse) => takeInBody(planned, people, use).map(({ phones }) => phones);
    const mobile = { type: 'outside', number: '+12075550166', seconds: 12, accept: true };
    expect(phonesAs('texts')).toEqual([undefined]);
    expect(phonesAs('rings')).toEqual([[{ type: 'desk', seconds: 12 }, mobile]]);
    expect(phonesAs('onCall')).toEqual([
      [
        { type: 'desk', seconds: 12 },
        { ...mobile, onCallOnly: true },
      ],
    ]);
    const known = plan('Name\tMobile\nNoor Haldane\t+12075550166');
    const noorWith = [{ ...noor, mobile: '+12075550166', phones: [...noor.phones, mobile] } as Person];
    expect(takeInBody(known, people, 'rings')).toMatchObject([{ id: noor.id, phones: [...noor.phones, mobile] }]);
    expect(
      takeInBody(
        planTakeIn(readPeopleTable('Name\tMobile\nNoor Haldane\t+12075550166').people, noorWith),
        noorWith,
        'rings',
      ),
    ).toEqual([]);
  });

  it('are known by their e-mail address when the name was changed', () => {
    expect(plan('Name,Email\nPriya Castellanos-Roy,priya@larkspurcove.example')).toMatchObject([
      { type: 'change', id: priya.id, changed: ['name'] },
    ]);
  });

  it('with gaps, doubles, formulas and wrong cells are taken where they can be, with a reason where not', () => {
    const text = [
      'Name\tExtension\tE-mail\tMobile',
      '',
      'Juno Marchetti\t206\t\t',
      '\t\t\t',
      'juno marchetti\t207\t\t',
      '=HYPERLINK("http://x","Bo")\t208\t\t',
      '\t209\t\t',
      'Ada\t212\t\t',
      'Bo\tx12\tnowhere\tcall me',
      `${'N'.repeat(81)}\t231\t\t`,
      'Cy\t232\t=A1\t',
    ].join('\n');
    expect(inWords(text)).toEqual([
      'add Juno Marchetti',
      'The same person is in row 3 already.',
      'The name is a formula, “=HYPERLINK("http://x","Bo")”. Paste its value instead.',
      'There is no name.',
      'Extension 212 is Noor Haldane’s.',
      '“x12” is not an extension: it has 2 to 6 digits. “nowhere” is not an e-mail address. “call me” is not a telephone number.',
      'The name is too long.',
      'The e-mail is a formula, “=A1”. Paste its value instead.',
    ]);
  });

  it('never throw, whatever is pasted', () => {
    fc.assert(fc.property(fc.string(), (text) => void plan(text)));
  });

  it('are planned a thousand at a time, however many there are', () => {
    const many = Array.from({ length: 1500 }, (_, index) => `Person ${index}\t${3000 + index}`).join('\n');
    const planned = plan(many);
    expect(planned).toHaveLength(mostTakenIn);
    expect(planned.every(({ type }) => type === 'add')).toBe(true);
  });

  it('may exchange extensions only one after the other: the first to ask gets it', () => {
    expect(inWords('Name,Ext\nAda,230\nBo,230')).toEqual(['add Ada', 'Extension 230 is Ada’s.']);
  });
});

const staff: readonly Person[] = [
  { ...noor, email: 'noor@x.example', mobile: '+12075550161', saidAs: 'Noor Hall-dane' },
  { ...personDefaults, id: personId.create('m'), name: 'Mateo O’Dowd, "Matt"; Åse', extension: '209' },
];
const kept = staff.map(({ name, extension, email, saidAs }) => ({ name, extension, email, saidAs }));

describe('files of people', () => {
  it('are written as CSV and read back the same', () => {
    const read = readPeopleTable(writePeopleCsv(staff)).people;
    expect(read.map(({ name, extension, email, saidAs }) => ({ name, extension, email, saidAs }))[0]).toEqual(kept[0]);
    expect(planTakeIn(readPeopleTable(writePeopleCsv([...staff].slice(0, 1))).people, staff)).toMatchObject([
      { type: 'same' },
    ]);
  });

  it('are written as contact cards and read back the same', () => {
    const text = writeVcards(staff);
    expect(isVcard(text)).toBe(true);
    expect(text).toContain('VERSION:4.0');
    expect(planTakeIn(readVcards(text), staff).map(({ type }) => type)).toEqual(['same', 'same']);
  });
});

describe('contact cards', () => {
  const read = (...lines: string[]) => readVcards(['BEGIN:VCARD', ...lines, 'END:VCARD'].join('\r\n'))[0];

  it('are read in version 4.0 and 3.0, folded lines too', () => {
    expect(
      read('VERSION:4.0', 'FN:Juno Marchetti', 'TEL;TYPE=cell;VALUE=uri:tel:+12075550166', 'EMAIL:juno@x.example'),
    ).toMatchObject({ name: 'Juno Marchetti', mobile: '+12075550166', email: 'juno@x.example' });
    expect(read('VERSION:3.0', 'N:O\\, Dowd;Mateo;;;', 'FN:Mateo O’D', ' owd', 'TEL;TYPE=WORK:209')).toMatchObject({
      name: 'Mateo O’Dowd',
      extension: '209',
    });
    expect(read('VERSION:3.0', 'N:Abara;Lucienne;;;', 'TEL;TYPE=WORK:+1-207-555-0140;ext=221')).toMatchObject({
      name: 'Lucienne Abara',
      extension: '221',
    });
  });

  it('are read in the old version 2.1, with its bare types, charsets and quoted-printable text', () => {
    expect(
      read(
        'VERSION:2.1',
        'N;CHARSET=ISO-8859-1;ENCODING=QUOTED-PRINTABLE:=D8yen;=C5se;;;',
        'FN;CHARSET=UTF-8;ENCODING=QUOTED-PRINTABLE:=C3=85se =',
        '=C3=98yen',
        'TEL;CELL;VOICE:207 555 0166',
        'TEL;WORK:215',
      ),
    ).toMatchObject({ name: 'Åse Øyen', mobile: '207 555 0166', extension: '215' });
    expect(read('VERSION:2.1', 'N;CHARSET=ISO-8859-1;ENCODING=QUOTED-PRINTABLE:=D8yen;=C5se;;;')).toMatchObject({
      name: 'Åse Øyen',
    });
  });

  it('that are damaged are told apart from those that are not', () => {
    const text = `BEGIN:VCARD\nnonsense\nEND:VCARD\n${writeVcards(staff)}`;
    expect(planTakeIn(readVcards(text), []).map(({ type }) => type)).toEqual(['wrong', 'add', 'add']);
    fc.assert(fc.property(fc.string(), (body) => void readVcards(`BEGIN:VCARD\n${body}\nEND:VCARD`)));
    expect(readVcards('not a card')).toEqual([]);
  });
});
