import type { TranscriptEntry } from '@locutor/core/call';
import { boxId, contactId, groupId, personId, queueId } from '@locutor/core/directory';
import { periodId } from '@locutor/core/hours';
import { sheetId } from '@locutor/core/line';
import type { Source } from '@locutor/core/speech';
import { captionOf, linkOf } from './captionWords';

const noor = personId.create('noor');
const office = boxId.create('office');
const welcome = sheetId.create('welcome');
const tow = contactId.create('tow');
const person = { type: 'person', personId: noor } as const;
const desk = { ...person, number: null };
const mobile = { ...person, number: '+12075550161' };
const outside = { type: 'outside', number: '+12075550191', contactId: tow } as const;
const typed = { type: 'outside', number: '+12075550190', contactId: null } as const;
const desk7 = groupId.create('desk');
const rush = queueId.create('rush');
const names = {
  [desk7]: 'Front desk',
  [rush]: 'Launch line',
  [tow]: 'Tow boat',
  [noor]: 'Noor Haldane',
  [office]: 'Office',
};

/** An entry without its moment, kind by kind. */
type Untimed<Entry> = Entry extends unknown ? Omit<Entry, 'atMs'> : never;

describe('captions', () => {
  it.each<[Untimed<TranscriptEntry>, string | null]>([
    [{ type: 'key', key: '1', use: 'option' }, 'You press 1'],
    [{ type: 'key', key: '7', use: 'wrong' }, 'You press 7, which has no use here'],
    [{ type: 'key', key: '7', use: 'ignored' }, 'You press 7; keys do nothing here'],
    [{ type: 'silence', sheetId: welcome, round: 1 }, 'No key was pressed'],
    [{ type: 'ringing', phone: desk, forMs: 24_000 }, 'Ringing Noor Haldane for up to 24 s'],
    [{ type: 'answered', phone: desk }, 'Noor Haldane answers'],
    [{ type: 'notAnswered', target: person, why: 'noAnswer' }, 'Noor Haldane does not answer'],
    [{ type: 'notAnswered', target: person, why: 'busy' }, 'Noor Haldane is busy'],
    [{ type: 'notAnswered', target: person, why: 'notWorking' }, 'Noor Haldane is not working now'],
    [{ type: 'notAnswered', target: outside, why: 'outOfService' }, 'Tow boat is not in service today'],
    [{ type: 'ringing', phone: mobile, forMs: null }, 'Ringing Noor Haldane on +1 207 555 0161'],
    [{ type: 'askedToAccept', phone: typed }, '+1 207 555 0190 picked up and is asked to press 1'],
    [{ type: 'handedOver', target: outside }, 'Handed over to Tow boat'],
    [{ type: 'key', key: '2', use: 'digit' }, 'You press 2 …'],
    [{ type: 'dialledExtension', digits: '212', to: noor }, 'Extension 212 is Noor Haldane'],
    [{ type: 'dialledExtension', digits: '299', to: null }, 'Nobody has extension 299'],
    [{ type: 'spelled', digits: '425', matches: [noor] }, '425 matches Noor Haldane'],
    [{ type: 'spelled', digits: '999', matches: [] }, '999 matches nobody'],
    [{ type: 'spoke', words: 'pizza', understood: false }, 'You say “pizza”, which is not understood'],
    [{ type: 'ringingGroup', groupId: desk7 }, 'Ringing the group Front desk'],
    [{ type: 'notAnswered', target: { type: 'group', groupId: desk7 }, why: 'nobody' }, 'Front desk has no members'],
    [{ type: 'notAnswered', target: person, why: 'away' }, 'Noor Haldane is away'],
    [{ type: 'queued', queueId: rush }, 'Waiting in Launch line'],
    [{ type: 'place', place: 3, expectedWaitMs: 60_000 }, 'Number 3 in line'],
    [{ type: 'leftQueue', queueId: rush, why: 'full', waitedMs: 0 }, 'Launch line is full'],
    [{ type: 'leftQueue', queueId: rush, why: 'tooLong', waitedMs: 180_000 }, 'Waited 3:00, as long as it may be'],
    [{ type: 'leftQueue', queueId: rush, why: 'nobodyWorking', waitedMs: 0 }, 'Nobody is working in Launch line'],
    [{ type: 'leftQueue', queueId: rush, why: 'exitKey', waitedMs: 9000 }, 'Left Launch line'],
    [{ type: 'leftQueue', queueId: rush, why: 'hungUp', waitedMs: 65_000 }, 'Hung up after waiting 1:05'],
    [{ type: 'held', on: true }, 'Put on hold'],
    [{ type: 'held', on: false }, 'Taken back from hold'],
    [{ type: 'transferred', to: { type: 'group', groupId: desk7 }, by: null }, 'Transferred to Front desk'],
    [{ type: 'pin', boxId: office, right: false }, 'That is not the PIN'],
    [{ type: 'heardMessage', messageId: 'm', deleted: true }, 'The message was deleted'],
    [{ type: 'callRecording', on: true }, 'The call is recorded from here on'],
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
    [
      { type: 'step', slot: { type: 'queue', queueId: rush, reason: 'exitKey' }, stepIndex: 0 },
      `/directory/queues/${rush}`,
    ],
    [{ type: 'step', slot: { type: 'group', groupId: desk7 }, stepIndex: 0 }, `/directory/groups/${desk7}`],
    [{ type: 'step', slot: { type: 'period', periodId: periodId.create('open') }, stepIndex: 0 }, '/hours'],
    [{ type: 'box', boxId: office }, '/directory/boxes'],
    [{ type: 'line' }, '/script'],
  ])('what %o says was written at %s', (source, path) => expect(linkOf(source)).toBe(path));
});

it('the call log tells of the caller, not to them', () => {
  const told = (entry: Omit<TranscriptEntry, 'atMs'> & object) =>
    captionOf({ ...entry, atMs: 0 } as TranscriptEntry, names, 'log');
  expect(told({ type: 'key', key: '4', use: 'ignored' } as never)).toBe('The caller presses 4; keys do nothing here');
  expect(told({ type: 'spoke', words: 'moorings', understood: true } as never)).toBe('The caller says “moorings”');
  expect(told({ type: 'ended', reason: 'callerHungUp' } as never)).toBe('The caller hung up');
  expect(told({ type: 'recording', boxId: office } as never)).toBe('Beep. A message is recorded');
});
