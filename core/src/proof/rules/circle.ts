import type { Edit, SheetId } from '../../line';
import type { Reach } from '../../paths';
import { allReaches, callsOf, choiceIn, choicesIn, type Calls } from '../calls';
import { pathFix } from '../mend';
import { rememberBy } from '../remember';
import type { ProofSubject, Rule } from '../rule';

/** Sheets that lead to one another without a key between them, and without anybody being rung on the way. */
export const circle: Rule<'circle'> = {
  name: 'circle',
  grade: 'fault',
  consequence: 'lost',
  find: (subject) => {
    const round = goneRound(callsOf(subject));
    return subject.attendant.sheets
      .filter(({ id }) => round.has(id))
      .map(({ id }) => ({ at: { type: 'sheet', sheetId: id }, ...fixFor(subject, id) }));
  },
};

/** The sheets in which callers who press nothing go round. */
const goneRound = rememberBy((calls: Calls): ReadonlySet<SheetId> => {
  const reaches = allReaches(calls);
  const announced = reaches.flatMap((reach) => choicesIn(reach).flatMap(({ leg }) => leg.roundIn));
  return new Set([...announced, ...reaches.flatMap(roundOfMenus)]);
});

function roundOfMenus({ menus }: Reach): readonly SheetId[] {
  const done = new Set<string>();
  return [...menus.keys()].flatMap((from) => {
    const way = new Map<string, readonly SheetId[]>();
    let at: string | null = from;
    while (at !== null && !done.has(at)) {
      if (way.has(at)) return [...way.values()].slice([...way.keys()].indexOf(at)).flat();
      const menu = menus.get(at);
      const silent = menu && choiceIn(menu, 'silence');
      way.set(at, silent?.leg.sheets ?? []);
      at = silent && !silent.leg.rings ? silent.to : null;
    }
    for (const is of way.keys()) done.add(is);
    return [];
  });
}

function fixFor(subject: ProofSubject, sheetId: SheetId): { readonly fix?: Edit } {
  const sheet = subject.attendant.sheets.find(({ id }) => id === sheetId);
  if (!sheet) return {};
  return pathFix(subject, { type: sheet.type === 'menu' ? 'silence' : 'after', sheetId }, []);
}
