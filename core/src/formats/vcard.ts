import ICAL from 'ical.js';
import type { Person } from '../directory';
import { beginsWith } from './contentLine';
import { asNewer, latin1, type Charsets } from './oldVcard';
import type { FoundPerson } from './peopleTable';

/**
 * Cards as people send them: versions 2.1, 3.0 (RFC 2426) and 4.0 (RFC 6350), several in one file.
 * `charsets` are those in which quoted-printable text of old cards may be.
 */
export function readVcards(text: string, charsets: Charsets = latin1): readonly FoundPerson[] {
  return cardsIn(asNewer(text, charsets)).map((card, index) => readCard(card, index + 1));
}

/** The text of each card; one that another begins in, or that the file ends in, has no end and cannot be read. */
function cardsIn(lines: readonly string[]): readonly string[] {
  const cards: string[][] = [];
  let within: string[] | null = null;
  for (const line of lines) {
    const mark = line.trim().toUpperCase();
    if (mark === 'BEGIN:VCARD') cards.push((within = []));
    within?.push(line);
    if (mark === 'END:VCARD') within = null;
  }
  return cards.map((lines) => lines.join('\r\n'));
}

/** Writes people as cards (RFC 6350, version 4.0), from which they can be read back. */
export function writeVcards(people: readonly Person[]): string {
  return people.map((person) => `${cardOf(person).toString()}\r\n`).join('');
}

/** An extension written behind a number: as RFC 3966 has it, or as people do: “x215”, “ext. 215”. */
const behindNumber = /[\d)](?:;ext=|[\s,]*\bx\s*|[\s,]*\bext\.?\s*)(\d{2,6})$/i;

const nobody = { name: '', extension: '', email: '', mobile: '', saidAs: '' };

function readCard(card: string, row: number): FoundPerson {
  try {
    return { row, ...fieldsOf(new ICAL.Component(ICAL.parse(card) as unknown as string)) };
  } catch {
    return { row, ...nobody, unreadable: true };
  }
}

function fieldsOf(card: InstanceType<typeof ICAL.Component>): Omit<FoundPerson, 'row'> {
  const text = (name: string): string => String(card.getFirstPropertyValue(name) ?? '').trim();
  const family = card.getFirstPropertyValue('n');
  const [last = '', first = ''] = Array.isArray(family) ? family.map((part) => String(part)) : [];
  const numbers = card.getAllProperties('tel').map((property) => ({
    types: [property.getParameter('type')].flat().join(' ').toLowerCase(),
    value: String(property.getFirstValue()).replace(/^tel:/, '').trim(),
  }));
  const extension =
    text('x-extension') || numbers.map(({ value }) => value).find((value) => /^[0-9]{2,6}$/.test(value)) || '';
  const behind = numbers.flatMap(({ value }) => behindNumber.exec(value)?.[1] ?? []);
  const mobile = numbers.find(({ types }) => /cell|mobile/.test(types))?.value ?? '';
  const leftOut = numbers.map(({ value }) => value).filter((value) => value !== mobile && !/^[0-9]{2,6}$/.test(value));
  return {
    // A card of a firm may have its name only.
    name: text('fn') || `${first} ${last}`.trim() || text('org').replace(/,+$/, ''),
    extension: extension || (behind[0] ?? ''),
    email: text('email'),
    mobile,
    saidAs: text('x-said-as'),
    ...(leftOut.length > 0 && { leftOut }),
  };
}

function cardOf({ name, extension, email, mobile, saidAs }: Person): InstanceType<typeof ICAL.Component> {
  const card = new ICAL.Component(['vcard', [], []]);
  card.addPropertyWithValue('version', '4.0');
  card.addPropertyWithValue('fn', name);
  const [first = '', ...last] = name.split(/\s+/);
  card.addProperty(new ICAL.Property(['n', {}, 'text', [last.join(' '), first, '', '', '']]));
  card.addPropertyWithValue('x-extension', extension);
  if (email) card.addPropertyWithValue('email', email);
  if (mobile) card.addProperty(new ICAL.Property(['tel', { type: 'cell' }, 'text', mobile]));
  if (saidAs) card.addPropertyWithValue('x-said-as', saidAs);
  return card;
}

/** Whether a text holds contact cards rather than rows. */
export function isVcard(text: string): boolean {
  return beginsWith(text, 'VCARD');
}
