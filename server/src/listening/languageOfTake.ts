import { findSheet, languageOf, languages, type Language } from '@locutor/core/line';
import type { EntityManager } from 'typeorm';
import { DraftEntity } from '../drafts/draft.entity';
import { storedAttendant } from '../drafts/storedAttendant';
import { GreetingEntity } from '../greetings/greeting.entity';

/** The language in which a place is spoken: that of its voice. Null for a place that is not there any more. */
export async function languageOfTake(rows: EntityManager, place: string): Promise<Language | null> {
  const [first = '', sheetId = ''] = place.split(' ');
  const ofText = /^text:([a-z]{2}):/.exec(first)?.[1];
  if (ofText) return ofText in languages ? (ofText as Language) : null;
  if (first.startsWith('greeting:')) {
    const greeting = await rows.findOneBy(GreetingEntity, { id: first as never });
    return greeting && languageOf(greeting.voice);
  }
  const draft = await rows.findOneBy(DraftEntity, { lineId: first as never });
  if (!draft) return null;
  const attendant = storedAttendant(draft.attendant);
  return languageOf(findSheet(attendant, sheetId as never)?.voice ?? attendant.voice);
}
