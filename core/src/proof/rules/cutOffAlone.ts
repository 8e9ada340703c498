import { findSheet, slotKey, typedIn } from '../../line';
import { aloneWay, type AloneWay, type Helpless } from '../alone';
import { callsOf, type AnsweredCalls } from '../calls';
import { pathFix } from '../mend';
import { saysWhen } from '../reading/saysWhen';
import { atSlot, type Found, type ProofSubject, type Rule } from '../rule';
import { textsOfSheet } from '../spokenTexts';

/** Callers who press nothing, or only wrong keys, and are cut off without a person, a message, or words that say when. */
export const cutOffAlone: Rule<'cutOffAlone'> = {
  name: 'cutOffAlone',
  grade: 'fault',
  consequence: 'lost',
  find: (subject) => {
    const found = new Map<string, Found>();
    for (const answered of callsOf(subject).answered) {
      for (const helpless of ['silence', 'wrongKey'] as const) {
        const way = aloneWay(answered.reach, helpless, answered.slot);
        const key = slotKey(way.slot);
        if (!found.has(key) && isCutOff(subject, way, answered)) found.set(key, foundAt(subject, way, helpless));
      }
    }
    return [...found.values()];
  },
};

function isCutOff(subject: ProofSubject, { legs, menus }: AloneWay, { open }: AnsweredCalls): boolean {
  const last = legs.at(-1);
  // Where there is no menu, nobody was asked for anything.
  if (!last || last.end.type !== 'hungUp' || menus.length === 0 || legs.some(({ rings }) => rings)) return false;
  return open.length > 0 || !saysWhenHere(subject, { legs, menus });
}

/** In closed hours it is enough to be told when somebody is there. */
function saysWhenHere(subject: ProofSubject, { legs, menus }: Pick<AloneWay, 'legs' | 'menus'>): boolean {
  const sheets = [...menus, ...legs.flatMap((leg) => leg.sheets)];
  const typed = [
    ...sheets.flatMap((id) => {
      const sheet = findSheet(subject.attendant, id);
      return sheet ? textsOfSheet(sheet, subject.attendant.voice).map((text) => text.typed) : [];
    }),
    ...legs.flatMap(({ steps }) => steps.map(({ step }) => typedIn(step))),
  ];
  return typed.some(saysWhen);
}

function foundAt(subject: ProofSubject, { slot }: AloneWay, helpless: Helpless): Found {
  return { at: atSlot(slot), facts: { helpless }, ...pathFix(subject, slot, []) };
}
