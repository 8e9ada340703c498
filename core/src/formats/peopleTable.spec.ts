import { planTakeIn, readPeopleTable } from '.';
import { noor } from '../testing/boatyard';

const rows = (...lines: readonly string[]): string => lines.join('\n');
const staff = ['Noor Haldane;212;noor@example.com', 'Priya Castellanos;204;priya@example.com'];

describe('headings', () => {
  it.each([
    ['English', 'First name;Last name;Ext.;E-mail;Cell', 'Noor;Haldane;212;noor@example.com;+12075550161'],
    ['French', 'Prénom;Nom;Poste;Courriel;Portable', 'Noor;Haldane;212;noor@example.com;+12075550161'],
    [
      'Spanish',
      'Nombre;Apellidos;Extensión;Correo electrónico;Móvil',
      'Noor;Haldane;212;noor@example.com;+12075550161',
    ],
    ['German', 'Vorname;Nachname;Durchwahl;E-Mail-Adresse;Handy', 'Noor;Haldane;212;noor@example.com;+12075550161'],
  ])('are known in %s', (_language, heading, row) => {
    const { people, isHeadingKnown } = readPeopleTable(rows(heading, row));
    expect(isHeadingKnown).toBe(true);
    const mobile = '+12075550161';
    expect(people).toMatchObject([{ name: 'Noor Haldane', extension: '212', email: 'noor@example.com', mobile }]);
  });

  it('in another language are asked about, and are nobody until then', () => {
    const text = rows('Navn;Lokalnummer;E-post', ...staff);
    const read = readPeopleTable(text);
    expect([read.hasHeading, read.isHeadingKnown]).toEqual([true, false]);
    expect(read.people.map(({ name }) => name)).toEqual(['Noor Haldane', 'Priya Castellanos']);
    expect(read.columns).toEqual([
      { head: 'Navn', is: 'name' },
      { head: 'Lokalnummer', is: 'extension' },
      { head: 'E-post', is: 'email' },
    ]);
    expect(readPeopleTable(text, undefined, { hasHeading: false }).people[0]).toMatchObject({ name: 'Navn' });
  });

  it('are not seen in a first row that is somebody', () => {
    expect(readPeopleTable(rows(...staff))).toMatchObject({ hasHeading: false, isHeadingKnown: true });
    expect(readPeopleTable('Noor Haldane').people).toMatchObject([{ name: 'Noor Haldane' }]);
  });
});

describe('columns', () => {
  const text = rows('Name;Job title;Extension', 'Noor Haldane;Office manager;212');

  it('that are not taken are told', () => {
    expect(readPeopleTable(text).columns).toEqual([
      { head: 'Name', is: 'name' },
      { head: 'Job title', is: null },
      { head: 'Extension', is: 'extension' },
    ]);
  });

  it('are what they are said to be', () => {
    const chosen = readPeopleTable(text, undefined, { columns: { 1: 'saidAs', 2: null } });
    expect(chosen.people).toMatchObject([{ saidAs: 'Office manager', extension: '' }]);
    expect(chosen.columns.map(({ is }) => is)).toEqual(['name', 'saidAs', null]);
  });
});

describe('a table of 125,000 rows', () => {
  const all = Array.from({ length: 125_000 }, (_, at) => `Person ${at},${10_000 + at}`);
  const text = ['Name,Extension', ...all].join('\n');

  it('is read whole, a thousand people are taken at a time, and the next after those who are there', () => {
    const { people } = readPeopleTable(text);
    expect(people).toHaveLength(125_000);
    const first = planTakeIn(people, []);
    expect([first.length, first.every(({ type }) => type === 'add')]).toEqual([1000, true]);
    const there = first.map(({ fields }, at) => ({ ...noor, ...fields, id: `person:${at}` as never }));
    const next = planTakeIn(people, there);
    expect(next.filter(({ type }) => type === 'add').map(({ row }) => row)).toMatchObject({ 0: 1002, 999: 2001 });
  });
});
