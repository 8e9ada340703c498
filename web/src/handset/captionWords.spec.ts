import type { TranscriptEntry } from '@locutor/core/call';
import { boxId, personId } from '@locutor/core/directory';
import { periodId } from '@locutor/core/hours';
import { sheetId } from '@locutor/core/line';
import type { Source } from '@locutor/core/speech';
import { captionOf, linkOf } from './captionWords';

const noor = personId.create('noor');
const office = boxId.create('office');
const welcome = sheetId.create('welcome');
const names = { [noor]: 'Noor Haldane', [office]: 'Office' };

describe('captions', () => {
  it.each<[Omit<TranscriptEntry, 'atMs'> & object, string | null]>([
    [{ type: 'key', key: '1', use: 'option' }, 'You press 1'],
    [{ type: 'key', key: '7', use: 'wrong' }, 'You press 7, which has no use here'],
    [{ type: 'key', key: '7', use: 'ignored' }, 'You press 7; keys do nothing here'],
    [{ type: 'silence', sheetId: welcome, round: 1 }, 'No key was pressed'],
    [{ type: 'ringing', personId: noor, seconds: 24 }, 'Ringing Noor Haldane for up to 24 s'],
    [{ type: 'answered', personId: noor }, 'Noor Haldane answers'],
    [{ type: 'notAnswered', personId: noor, why: 'noAnswer' }, 'Noor Haldane does not answer'],
    [{ type: 'notAnswered', personId: noor, why: 'busy' }, 'Noor Haldane is busy'],
    [{ type: 'recording', boxId: office }, 'Beep. Recording your message'],
    [{ type: 'message', boxId: office, lengthMs: 65_400, kept: true }, 'Message of 1:05 left in Office'],
    [{ type: 'message', boxId: office, lengthMs: 400, kept: false }, 'Too short to be a message; not kept'],
    [{ type: 'ended', reason: 'staffHungUp' }, 'The other side hung up'],
    [{ type: 'ended', reason: 'circle' }, 'The menus go round in a circle; the line hung up'],
    [{ type: 'sheet', sheetId: welcome }, null],
  ])('%o reads: %s', (entry, words) => expect(captionOf({ atMs: 0, ...entry } as TranscriptEntry, names)).toBe(words));

  it.each<[Source, string]>([
    [{ type: 'words', sheetId: welcome, part: 'openingWords' }, '/script/sheet:welcome'],
    [{ type: 'option', sheetId: welcome, key: '#' }, '/script/sheet:welcome?key=%23'],
    [{ type: 'step', slot: { type: 'key', sheetId: welcome, key: '2' }, stepIndex: 1 }, '/script/sheet:welcome?key=2'],
    [{ type: 'step', slot: { type: 'after', sheetId: welcome }, stepIndex: 0 }, '/script/sheet:welcome'],
    [{ type: 'step', slot: { type: 'period', periodId: periodId.create('open') }, stepIndex: 0 }, '/hours'],
    [{ type: 'box', boxId: office }, '/directory/boxes'],
    [{ type: 'line' }, '/script'],
  ])('what %o says was written at %s', (source, path) => expect(linkOf(source)).toBe(path));
});
