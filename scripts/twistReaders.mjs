import { createRequire } from 'node:module';
import { join } from 'node:path';
import { root } from './setup.mjs';

/**
 * Has tens of thousands of twisted calendars, contact cards, tables and SSML read: nothing may be thrown, take long, or come
 * to hours or people that could not be kept. `node scripts/twistReaders.mjs 40000 [seed]`, after a build.
 */
const require = createRequire(join(root, 'server', 'package.json'));
const formats = require('@locutor/core/formats');
const { checkHours, readDate } = require('@locutor/core/hours');
const times = Number(process.argv[2] ?? 40_000);
const longestMs = 2000;
const zone = 'America/New_York';
const today = readDate('2026-11-24');
let state = Number(process.argv[3] ?? Date.now()) % 4_294_967_296;
console.log(`Seed ${state}`);

const hours = {
  id: 'hours:a',
  name: 'Office',
  periods: [{ id: 'period:open', name: 'Open' }],
  week: [{ periodId: 'period:open', day: 1, startMin: 480, endMin: 1020 }],
  datedWeeks: [],
  seasons: [],
  special: [],
};
const calendar = [
  'BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//Made up//EN',
  'BEGIN:VTIMEZONE\r\nTZID:Here\r\nBEGIN:STANDARD\r\nDTSTART:20071104T020000\r\nRRULE:FREQ=YEARLY;BYMONTH=11;BYDAY=1SU\r\nTZOFFSETFROM:-0400\r\nTZOFFSETTO:-0500\r\nEND:STANDARD',
  'BEGIN:DAYLIGHT\r\nDTSTART:20070311T020000\r\nRRULE:FREQ=YEARLY;BYMONTH=3;BYDAY=2SU\r\nTZOFFSETFROM:-0500\r\nTZOFFSETTO:-0400\r\nEND:DAYLIGHT\r\nEND:VTIMEZONE',
  'BEGIN:VEVENT\r\nUID:1@x.example\r\nSUMMARY;LANGUAGE=en:Open\r\nDTSTART;TZID=Here:20260105T080000\r\nDTEND;TZID=Here:20260105T173000\r\nRRULE:FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR\r\nEXDATE;TZID=Here:20261126T080000,20261225T080000\r\nEND:VEVENT',
  'BEGIN:VEVENT\r\nUID:1@x.example\r\nRECURRENCE-ID;TZID=Here:20261223T080000\r\nSUMMARY:Open\r\nDTSTART;TZID=Here:20261223T080000\r\nDTEND;TZID=Here:20261223T120000\r\nEND:VEVENT',
  'BEGIN:VEVENT\r\nUID:2@x.example\r\nSUMMARY:Thanksgiving\\, a holiday\r\nDTSTART;VALUE=DATE:20261126\r\nDTEND;VALUE=DATE:20261127\r\nRRULE:FREQ=YEARLY;BYMONTH=11;BYDAY=4TH\r\nBEGIN:VALARM\r\nSUMMARY:Soon\r\nTRIGGER:-PT15M\r\nEND:VALARM\r\nEND:VEVENT',
  'BEGIN:VEVENT\r\nUID:3@x.example\r\nSUMMARY:Inventory\r\nDTSTART:20270104T130000Z\r\nDURATION:PT4H\r\nRDATE:20270111T130000Z\r\nSTATUS:CONFIRMED\r\nEND:VEVENT\r\nEND:VCALENDAR',
].join('\r\n');
const cards = [
  'BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Noor Haldane\r\nN:Haldane;Noor;;;\r\nTEL;TYPE=work,voice;VALUE=uri:tel:+1-207-555-0140;ext=212\r\nTEL;TYPE=cell:+1 207 555 0161\r\nEMAIL:noor@larkspurcove.example\r\nNOTE:Front\\; desk\\nand more\r\nEND:VCARD',
  'BEGIN:VCARD\r\nVERSION:2.1\r\nN;CHARSET=windows-1252;ENCODING=QUOTED-PRINTABLE:Adey=E9mi;Cormac\r\nADR;WORK;ENCODING=QUOTED-PRINTABLE:;;1 Dock=0D=0A=\r\nRoad;Cove\r\nTEL;WORK:207 555 0140 x211\r\nTEL;CELL:2075550163\r\nEND:VCARD',
  'BEGIN:VCARD\r\nVERSION:3.0\r\nN:Quinn;Ada;;Dr.;Jr.\r\nORG:Larkspur Cove;Yard\r\nitem1.EMAIL;TYPE=INTERNET:ada@x.example\r\nitem1.X-ABLabel:Work\r\nPHOTO;ENCODING=b;TYPE=JPEG:/9j/4AAQSkZJRgABAQAAAQABAAD\r\n  2wBDAAMCAgMCAgMDAwMEAwMEBQgFBQQEBQoHBwYIDAoMDAsKCwsN\r\nEND:VCARD',
].join('\r\n');
const table =
  'sep=;\r\nFirst name;Last name;Ext.;E-mail;Mobile;Job title\r\nNoor;Haldane;212;noor@larkspurcove.example;207 555 0161;Front desk\r\n"Ann; Lee";"DDS ""Jr.""";213;ann@x.example;=1+1;+1\r\nÉlodie;O’Dowd;;;;\r\n';
const ssml =
  '<?xml version="1.0"?><speak version="1.1" xmlns="http://www.w3.org/2001/10/synthesis" xmlns:locutor="urn:locutor:speech" xml:lang="en-US"><voice name="slt"><prosody rate="95%" pitch="+5%"><p><s>Thank you for calling <sub alias="lark spur">Larkspur</sub> Cove &amp; Yard&#8212;hello.</s><break time="500ms"/>We are open <say-as interpret-as="date">2026-11-24</say-as>.</p></prosody></voice></speak>';

const kinds = {
  calendar: { good: calendar, read: (text) => keepable(formats.readCalendar(text, zone, today)) },
  cards: { good: cards, read: (text) => planned(formats.readVcards(text, charsets)) },
  table: { good: table, read: (text) => planned(formats.readPeopleTable(text, 'US').people) },
  ssml: { good: ssml, read: (text) => formats.readSsml(text, 'slt') },
};
const counts = {};
let bad = 0;

function tell(name, text, what) {
  bad += 1;
  if (bad <= 10) console.log(`${name}: ${what}\n${JSON.stringify(text.slice(0, 1500))}`);
}

/** Hours that a calendar made can be kept. */
function keepable(read) {
  if (!read.ok) return read;
  let ids = 0;
  const newIds = { period: () => `period:${(ids += 1)}`, special: () => `special:${(ids += 1)}` };
  const taken = formats.takeCalendar(hours, { ...read.value, periodOf: () => null }, newIds);
  const problems = checkHours(taken);
  if (problems.length > 0) throw new Error(`hours that cannot be kept: ${JSON.stringify(problems[0])}`);
  return read;
}

function planned(people) {
  formats.planTakeIn(people, []);
  return people;
}

function charsets(bytes, charset) {
  try {
    return new TextDecoder(charset).decode(bytes);
  } catch {
    return undefined;
  }
}

/** A number from 0 up to 1, the same ones for the same seed (mulberry32). */
function chance() {
  state = (state + 0x6d2b79f5) >>> 0;
  let mixed = Math.imul(state ^ (state >>> 15), state | 1);
  mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
  return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
}
function below(count) {
  return Math.floor(chance() * count);
}
function pick(list) {
  return list[below(list.length)];
}

function twisted(good) {
  let text = good;
  for (let twist = 0; twist < 1 + below(4); twist += 1) text = pick(twists)(text);
  return text;
}
function at(text, change) {
  const place = below(text.length + 1);
  return text.slice(0, place) + change(text.slice(place));
}
function lines(text, change) {
  return change(text.split(/\r?\n/)).join('\r\n');
}
function oddities() {
  return pick([
    ...[
      '\0',
      '\u0007',
      '\uFEFF',
      '\uFFFD',
      '\u202E',
      '\uD800',
      'é',
      '😀',
      '\r',
      '\n ',
      '\t',
      ';',
      ':',
      ',',
      '=',
      '"',
      '\\',
      '<',
      '&',
      '&#0;',
    ],
    ...[
      '999999999',
      '-1',
      '0',
      'NaN',
      '1e309',
      'T',
      'Z',
      'P',
      'BEGIN:VEVENT',
      'END:VCARD',
      'FREQ=SECONDLY',
      'INTERVAL=0',
      'UNTIL=99991231',
    ],
    ...[
      'COUNT=100000000',
      'BYSETPOS=-366',
      '__proto__',
      'constructor',
      '<![CDATA[',
      '<!DOCTYPE x [<!ENTITY a "b">]>',
      ']]>',
      'x'.repeat(70_000),
    ],
  ]);
}
const twists = [
  (text) => at(text, (rest) => rest.slice(1 + below(3))),
  (text) => at(text, (rest) => oddities() + rest),
  (text) => at(text, (rest) => oddities() + rest.slice(1 + below(8))),
  (text) => at(text, () => ''),
  (text) => at(text, (rest) => rest.replace(/\d+/, String(Math.floor(10 ** (chance() * 12))))),
  (text) =>
    at(text, (rest) =>
      rest.replace(/\d{8}/, pick(['00000000', '99991231', '20260230', '20261332', '19000101', '21001231'])),
    ),
  (text) => at(text, (rest) => rest.replace(/[A-Z]{2,}/, (word) => pick(text.match(/[A-Z]{2,}/g) ?? [word]))),
  (text) => lines(text, (all) => all.toSpliced(below(all.length), 1)),
  (text) => lines(text, (all) => all.toSpliced(below(all.length), 0, pick(all))),
  (text) => lines(text, (all) => [...all].sort(() => chance() - 0.5)),
  (text) =>
    lines(text, (all) =>
      all.flatMap((line) => (chance() < 0.2 ? Array.from({ length: below(60) }, () => line) : [line])),
    ),
  (text) => text.replaceAll('\r\n', pick(['\n', '\r', '\r\n ', '\n\n'])),
  (text) => text.repeat(1 + below(20)),
  (text) => Buffer.from(text, 'utf8').toString(pick(['latin1', 'utf16le', 'base64'])),
];

for (let time = 0; time < times; time += 1) {
  const [name, { good, read }] = pick(Object.entries(kinds));
  const text = twisted(good);
  const began = performance.now();
  try {
    const made = read(text);
    const came = made?.ok === false ? `refused: ${made.problems[0].type}` : 'read';
    counts[`${name} ${came}`] = (counts[`${name} ${came}`] ?? 0) + 1;
  } catch (error) {
    tell(name, text, error.stack?.split('\n').slice(0, 4).join('\n') ?? String(error));
  }
  const ms = performance.now() - began;
  if (ms > longestMs) tell(name, text, `took ${ms.toFixed(0)} ms`);
}
for (const [what, count] of Object.entries(counts).sort()) console.log(String(count).padStart(7), what);
const peakMb = Math.round(process.resourceUsage().maxRSS / 1024);
console.log(`${times} read, ${bad} bad, at most ${peakMb} MB`);
process.exitCode = bad > 0 ? 1 : 0;
