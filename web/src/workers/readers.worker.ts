import { isVcard, readCalendar, readPeopleTable, readSsml, readVcards, type PeopleTable } from '@locutor/core/formats';
import { unreachable } from '@locutor/core/result';
import { charsets } from '../screens/directory/charsets';
import type { ReadingAsked, ReadingTold, Readings } from './reading';

/** Reads calendars, contact cards, tables of people and SSML: whatever is in them, the page goes on. */
self.onmessage = ({ data }: MessageEvent<ReadingAsked>): void => {
  try {
    tell({ ok: true, made: read(data) });
  } catch (error) {
    tell({ ok: false, message: error instanceof Error ? error.message : String(error) });
  }
};

function tell(told: ReadingTold): void {
  self.postMessage(told);
}

function read(asked: ReadingAsked): Readings[keyof Readings]['to'] {
  switch (asked.name) {
    case 'calendar':
      return readCalendar(asked.from.text, asked.from.zone, asked.from.today);
    case 'ssml':
      return readSsml(asked.from.text, asked.from.voice);
    case 'people':
      return peopleIn(asked.from);
    default:
      return unreachable(asked);
  }
}

function peopleIn({ text, country, choice }: Readings['people']['from']): PeopleTable {
  if (!isVcard(text)) return readPeopleTable(text, country, choice);
  return { people: readVcards(text, charsets), columns: [], hasHeading: false, isHeadingKnown: true };
}
