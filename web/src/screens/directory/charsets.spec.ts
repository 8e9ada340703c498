import { TextDecoder as NodeDecoder } from 'node:util';
import { readVcards } from '@locutor/core/formats';
import { charsets } from './charsets';

beforeAll(() => Object.assign(globalThis, { TextDecoder: NodeDecoder }));

it.each([
  ['windows-1252', 'J=E4ger', 'Jäger'],
  ['windows-1251', '=C8=E2=E0=ED', 'Иван'],
  ['ISO-8859-2', 'Wa=B3=EAsa', 'Wałęsa'],
  ['x-unheard-of', 'J=E4ger', 'Jäger'],
])('a card of version 2.1 in %s is read as it was written', (charset, written, name) => {
  const card = [
    'BEGIN:VCARD',
    'VERSION:2.1',
    `FN;CHARSET=${charset};ENCODING=QUOTED-PRINTABLE:${written}`,
    'END:VCARD',
  ];
  expect(readVcards(card.join('\r\n'), charsets)).toMatchObject([{ name }]);
});
