import { languageOf, pathGraph, type Edit, type Menu, type Path, type PathGraph, type SheetId } from '../../line';
import type { Found, ProofSubject, Rule } from '../rule';

/** A menu under another one from which no key leads back. */
export const noWayBack: Rule<'noWayBack'> = {
  name: 'noWayBack',
  grade: 'tip',
  consequence: 'wrongPlace',
  find: (subject) => {
    const { attendant } = subject;
    const found = withoutWayBack(pathGraph(attendant), subject);
    return attendant.sheets.flatMap((sheet): Found[] =>
      sheet.type === 'menu' && found.has(sheet.id)
        ? [{ at: { type: 'sheet', sheetId: sheet.id }, ...fixFor(sheet, subject) }]
        : [],
    );
  },
};

const known = new WeakMap<PathGraph, ReadonlySet<SheetId>>();

/** The menus that others lead to and that lead back to none; the same as long as no path changes. */
function withoutWayBack(graph: PathGraph, subject: ProofSubject): ReadonlySet<SheetId> {
  const before = known.get(graph);
  if (before) return before;
  const menus = subject.attendant.sheets.filter((sheet) => sheet.type === 'menu');
  const under = new Set(menus.flatMap(({ options }) => options.flatMap(({ path }) => sheetsOf(path))));
  const found = menus.filter((menu) => under.has(menu.id) && menu.options.length > 0 && !leadsBack(subject, menu));
  const ids = new Set(found.map(({ id }) => id));
  known.set(graph, ids);
  return ids;
}

function sheetsOf(path: Path) {
  return path.flatMap((step) => (step.type === 'goTo' ? [step.sheetId] : []));
}

/** Back, to a menu that leads here, or to a sheet that answers. */
function leadsBack({ attendant }: ProofSubject, menu: Menu): boolean {
  const { rules, otherwise } = attendant.answering;
  const first = new Set([...rules.flatMap(({ path }) => sheetsOf(path)), ...sheetsOf(otherwise)]);
  return menu.options.some(({ path }) =>
    path.some((step) => {
      if (step.type === 'back') return true;
      if (step.type !== 'goTo') return false;
      const to = attendant.sheets.find(({ id }) => id === step.sheetId);
      return (
        first.has(step.sheetId) ||
        (to?.type === 'menu' && to.options.some((each) => sheetsOf(each.path).includes(menu.id)))
      );
    }),
  );
}

function fixFor(menu: Menu, { attendant }: ProofSubject): { readonly fix?: Edit } {
  const isFree = !menu.options.some(({ key }) => key === '*') && menu.takes.whole === undefined;
  if (!isFree || languageOf(menu.voice ?? attendant.voice) !== 'en') return {};
  const option = { key: '*', label: 'to go back', readOut: true, path: [{ type: 'back' }] } as const;
  return { fix: { type: 'addKey', sheetId: menu.id, option } };
}
