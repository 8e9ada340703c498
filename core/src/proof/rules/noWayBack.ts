import { languageOf, reachedFrom, type Edit, type Menu, type Path } from '../../line';
import type { Found, ProofSubject, Rule } from '../rule';

/** A menu under another one from which no key leads back. */
export const noWayBack: Rule<'noWayBack'> = {
  name: 'noWayBack',
  grade: 'tip',
  consequence: 'wrongPlace',
  find: (subject) => {
    const { attendant } = subject;
    const under = new Set(
      attendant.sheets.flatMap((sheet) =>
        sheet.type === 'menu' ? sheet.options.flatMap(({ path }) => sheetsOf(path)) : [],
      ),
    );
    return attendant.sheets.flatMap((sheet): Found[] =>
      sheet.type === 'menu' && under.has(sheet.id) && sheet.options.length > 0 && !leadsBack(subject, sheet)
        ? [{ at: { type: 'sheet', sheetId: sheet.id }, ...fixFor(sheet, subject) }]
        : [],
    );
  },
};

function sheetsOf(path: Path) {
  return path.flatMap((step) => (step.type === 'goTo' ? [step.sheetId] : []));
}

/** Back, or to a menu from which this one is reached. */
function leadsBack({ attendant }: ProofSubject, menu: Menu): boolean {
  return menu.options.some(({ path }) =>
    path.some((step) => {
      if (step.type === 'back') return true;
      if (step.type !== 'goTo') return false;
      const from = attendant.sheets.find(({ id }) => id === step.sheetId);
      if (from?.type !== 'menu') return false;
      const slots = from.options.map(({ key }) => ({ type: 'key' as const, sheetId: from.id, key }));
      return reachedFrom(attendant, slots).some(({ slot }) => 'sheetId' in slot && slot.sheetId === menu.id);
    }),
  );
}

function fixFor(menu: Menu, { attendant }: ProofSubject): { readonly fix?: Edit } {
  const isFree = !menu.options.some(({ key }) => key === '*') && menu.takes.whole === undefined;
  if (!isFree || languageOf(menu.voice ?? attendant.voice) !== 'en') return {};
  const option = { key: '*', label: 'to go back', readOut: true, path: [{ type: 'back' }] } as const;
  return { fix: { type: 'addKey', sheetId: menu.id, option } };
}
