import { findSheet, slotKey, type Sheet, type SheetId, type Slot } from '../../line';
import { callsOf, sheetsIn, type AnsweredCalls } from '../calls';
import type { Found, ProofSubject, Rule } from '../rule';
import { saysClosed, unreachedSheets } from '../unreachedSheets';

/** A sheet that says it is closed, which nobody hears: what answers by day, and does not say so, answers then too. */
export const closedUnheard: Rule<'closedUnheard'> = {
  name: 'closedUnheard',
  grade: 'caution',
  consequence: 'wrongPlace',
  find: (subject) => {
    const sheets = unreachedSheets(subject).filter((sheet) => saysClosed(sheet, subject.attendant));
    if (sheets.length === 0) return [];
    const { slot, instead } = answeringClosed(subject);
    if (!instead || saysClosed(instead, subject.attendant)) return [];
    return sheets.map(({ id }): Found => {
      const fix = slot && sheets.length === 1 && answerWith(slot, id);
      return { at: { type: 'sheet', sheetId: id }, facts: { instead: instead.name }, ...(fix && { fix }) };
    });
  },
};

/** Where it is written what answers while the business is closed, and the sheet that does. */
function answeringClosed(subject: ProofSubject): { readonly slot?: Slot; readonly instead?: Sheet } {
  const { answered } = callsOf(subject);
  const [most] = answered
    .filter(({ closed }) => closed.length > 0)
    .sort((one, other) => other.closed.length - one.closed.length);
  const sheetId = most && firstSheet(most);
  const instead = sheetId && findSheet(subject.attendant, sheetId);
  if (!instead) return {};
  const isOfDay = answered.some(({ reach, open }) => open.length > 0 && sheetsIn(reach).includes(instead.id));
  if (!isOfDay) return {};
  // It must go on being heard where it is right.
  const isHeardElsewhere = answered.some(
    ({ slot, reach }) => slotKey(slot) !== slotKey(most.slot) && sheetsIn(reach).includes(instead.id),
  );
  return { instead, ...(isHeardElsewhere && most.open.length === 0 && { slot: most.slot }) };
}

function firstSheet({ reach }: AnsweredCalls): SheetId | undefined {
  return reach.begins[0]?.leg.sheets[0] ?? [...reach.menus.values()][0]?.sheetId;
}

function answerWith(slot: Slot, sheetId: SheetId): Found['fix'] {
  return { type: 'setPath', slot, path: [{ type: 'goTo', sheetId }] };
}
