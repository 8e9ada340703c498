import type { Ask, CallScript } from '../call';
import { findByKeypad, phonesRung, spellingsOf, works, type Person } from '../directory';
import { isWorkingAt, type HoursId } from '../hours';
import { isKey, type Key } from '../line';

/**
 * The keys with which a caller who is asked for an extension or a name gets through to somebody: who works then, and
 * whom the keys tell from all others, if there is anybody like that. Undefined where nobody can be asked for.
 */
export function keysToSomebody(script: CallScript, ask: Ask, atMs: number): readonly Key[] | undefined {
  if (ask.what === 'choice') return ['1'];
  const found = script.people.flatMap((person): readonly Found[] => {
    const isThere = worksAt(script, person, atMs);
    if (ask.what === 'extension')
      return person.extension === '' ? [] : [{ keys: person.extension, works: isThere, alone: true }];
    if (!person.inDirectory) return [];
    return spellingsOf(person, ask.by).map((keys) => {
      return { keys, works: isThere, alone: findByKeypad(script.people, keys, ask.by).length === 1 };
    });
  });
  const best = found.find(({ works, alone }) => works && alone) ?? found.find(({ works }) => works) ?? found[0];
  return best && [...best.keys, ...(best.keys.length < 3 && ask.what === 'name' ? ['#'] : [])].filter(isKey);
}

interface Found {
  readonly keys: string;
  readonly works: boolean;
  readonly alone: boolean;
}

function worksAt({ hours, lines, lineId }: CallScript, person: Person, atMs: number): boolean {
  const zone = lines.find(({ id }) => id === lineId)?.timeZone ?? 'UTC';
  const keeps = (hoursId: HoursId): boolean => {
    const kept = hours.find(({ id }) => id === hoursId);
    return !kept || isWorkingAt(kept, zone, atMs);
  };
  return phonesRung(person, false, keeps).length > 0 && works(person, keeps);
}
