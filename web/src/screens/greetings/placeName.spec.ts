import { newMenu, sheetId, type Attendant } from '@locutor/core/line';
import type { SaidPlace } from '@locutor/core/speech';
import { namedPlace } from './placeName';

const welcome = sheetId.create('welcome');
const attendant = {
  ...{ voice: 'slt', sheets: [newMenu(welcome, 'Welcome')], paths: [], fallbacks: [] },
  answering: { rules: [], otherwise: [] },
} as unknown as Attendant;
const names = {
  'queue:rush': 'Launch line',
  'group:desk': 'Front desk',
  'special:snow': 'Snow day',
  'person:noor': 'Noor Haldane',
};
const of = (place: object) => namedPlace(place as SaidPlace, attendant, names as never);

describe('the name of a place where something is said', () => {
  it.each([
    [{ type: 'words', sheetId: welcome, part: 'silenceWords' }, 'Welcome, if nobody presses a key', 'Welcome'],
    [{ type: 'words', sheetId: welcome, part: 'wrongKeyWords' }, 'Welcome, after a wrong key', 'Welcome'],
    [
      { type: 'step', slot: { type: 'silence', sheetId: welcome }, stepIndex: 1 },
      'The silence path of Welcome, step 2',
      'Welcome',
    ],
    [{ type: 'closed', of: 'group:desk', reason: 'closed' }, 'Front desk, outside its hours', 'Groups and queues'],
    [{ type: 'closed', of: 'queue:rush', reason: 'special' }, 'Launch line, on special dates', 'Groups and queues'],
    [{ type: 'queueEntry', queueId: 'queue:rush' }, 'Launch line, on entry', 'Groups and queues'],
    [{ type: 'queueWaiting', queueId: 'queue:rush', index: 0 }, 'Launch line, while waiting', 'Groups and queues'],
    [{ type: 'special', specialId: 'special:snow' }, 'Snow day', 'Special dates'],
    [{ type: 'switch' }, 'The switch', 'Special dates'],
    [{ type: 'name', personId: 'person:noor' }, 'Noor Haldane', 'Names'],
    [{ type: 'queueEntry', queueId: 'queue:gone' }, 'Something deleted, on entry', 'Groups and queues'],
  ])('of %j is “%s”', (place, name, group) => {
    expect(of(place)).toMatchObject({ name, group });
  });

  it('leads to where its words are written', () => {
    expect(of({ type: 'closed', of: 'queue:rush', reason: 'closed' }).to).toBe('/directory/queues/queue:rush');
    expect(of({ type: 'closed', of: 'group:desk', reason: 'closed' }).to).toBe('/directory/groups/group:desk');
    expect(of({ type: 'words', sheetId: welcome, part: 'silenceWords' }).to).toBe(`/script/${welcome}`);
  });
});
