import { describeSlot, findSheet, type Attendant, type Names, type SpokenPlace } from '@locutor/core/line';
import { unreachable } from '@locutor/core/result';
import type { SaidPlace } from '@locutor/core/speech';
import { slotLink } from '../../path/slotLink';

/** What a place is called where everything that is spoken is listed, and under which head it stands there. */
export interface NamedPlace {
  readonly group: string;
  readonly name: string;
  /** The address where its words are written. */
  readonly to: string;
}

const deleted = 'Something deleted';
const theLine = 'The line itself';

/** What a place is called: "Welcome, if nobody presses a key". */
export function namedPlace(place: SaidPlace, attendant: Attendant, names: Names): NamedPlace {
  const sheetName = (id: string): string => findSheet(attendant, id as never)?.name ?? deleted;
  switch (place.type) {
    case 'words':
      return {
        ...{ group: sheetName(place.sheetId), name: `${sheetName(place.sheetId)}, ${partNames[place.part]}` },
        to: `/script/${place.sheetId}`,
      };
    case 'option':
      return {
        ...{ group: sheetName(place.sheetId), name: `${sheetName(place.sheetId)}, key ${place.key}` },
        to: `/script/${place.sheetId}?key=${encodeURIComponent(place.key)}`,
      };
    case 'step': {
      const of = describeSlot(place.slot, attendant, names);
      const group = 'sheetId' in place.slot ? sheetName(place.slot.sheetId) : 'Steps';
      return { group, name: `${capital(of)}, step ${place.stepIndex + 1}`, to: slotLink(place.slot) };
    }
    case 'closed': {
      const name = names[place.of] ?? deleted;
      const list = place.of.startsWith('queue:') ? 'queues' : 'groups';
      const when = place.reason === 'closed' ? 'outside its hours' : 'on special dates';
      return { group: 'Groups and queues', name: `${name}, ${when}`, to: `/directory/${list}/${place.of}` };
    }
    case 'queueEntry':
    case 'queueWaiting':
    case 'queueHold': {
      const when = place.type === 'queueEntry' ? 'on entry' : place.type === 'queueHold' ? 'on hold' : 'while waiting';
      const name = `${names[place.queueId] ?? deleted}, ${when}`;
      return { group: 'Groups and queues', name, to: `/directory/queues/${place.queueId}` };
    }
    case 'box':
      return { group: 'Boxes', name: names[place.boxId] ?? deleted, to: '/directory/boxes' };
    case 'special':
      return { group: 'Special dates', name: names[place.specialId] ?? deleted, to: '/hours' };
    case 'switch':
      return { group: 'Special dates', name: 'The switch', to: '/today' };
    case 'greeting':
      return { group: 'Greetings', name: 'A greeting', to: '/greetings' };
    case 'name':
      return { group: 'Names', name: names[place.personId] ?? deleted, to: '/directory/people' };
    case 'phrase':
      return { group: theLine, name: theLine, to: '/greetings' };
    default:
      return unreachable(place);
  }
}

const partNames: Readonly<Record<Extract<SpokenPlace, { type: 'words' }>['part'], string>> = {
  openingWords: 'opening words',
  closingWords: 'closing words',
  silenceWords: 'if nobody presses a key',
  wrongKeyWords: 'after a wrong key',
  words: 'all of it',
};

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
