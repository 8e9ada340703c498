import { languageOf, type Attendant, type Edit, type Menu, type SheetId } from '../../line';
import { allReaches, answeredReaches, callsOf, type Calls } from '../calls';
import { rememberBy } from '../remember';
import type { Found, Rule } from '../rule';

/** A menu under another one from which no key leads back. */
export const noWayBack: Rule<'noWayBack'> = {
  name: 'noWayBack',
  grade: 'tip',
  consequence: 'wrongPlace',
  find: (subject) => {
    const found = withoutWayBack(callsOf(subject));
    return subject.attendant.sheets.flatMap((sheet): Found[] =>
      sheet.type === 'menu' && sheet.options.length > 0 && found.has(sheet.id)
        ? [{ at: { type: 'sheet', sheetId: sheet.id }, ...fixFor(sheet, subject.attendant) }]
        : [],
    );
  },
};

/** The menus that others lead to, and whose keys lead to none of those, nor to a menu that answers. */
const withoutWayBack = rememberBy((calls: Calls): ReadonlySet<SheetId> => {
  const led = ledByKeys(calls);
  const first = new Set(
    answeredReaches(calls).flatMap(({ begins, menus }) =>
      begins.flatMap(({ to }) => menus.get(to ?? '')?.sheetId ?? []),
    ),
  );
  const under = new Set([...led].flatMap(([from, to]) => [...to].filter((each) => each !== from)));
  const isBack = (from: SheetId, to: SheetId): boolean =>
    to !== from && (first.has(to) || led.get(to)?.has(from) === true);
  return new Set([...under].filter((from) => ![...(led.get(from) ?? [])].some((to) => isBack(from, to))));
});

/** To which menus the keys of each lead. */
function ledByKeys(calls: Calls): ReadonlyMap<SheetId, ReadonlySet<SheetId>> {
  const led = new Map<SheetId, Set<SheetId>>();
  for (const { menus } of allReaches(calls)) {
    for (const { sheetId, choices } of menus.values()) {
      const leads = choices
        .filter(({ turn }) => turn?.type === 'key')
        .flatMap(({ to }) => menus.get(to ?? '')?.sheetId ?? []);
      led.set(sheetId, new Set([...(led.get(sheetId) ?? []), ...leads]));
    }
  }
  return led;
}

function fixFor(menu: Menu, { voice }: Attendant): { readonly fix?: Edit } {
  const isFree = !menu.options.some(({ key }) => key === '*') && menu.takes.whole === undefined;
  if (!isFree || languageOf(menu.voice ?? voice) !== 'en') return {};
  const option = { key: '*', label: 'to go back', readOut: true, path: [{ type: 'back' }] } as const;
  return { fix: { type: 'addKey', sheetId: menu.id, option } };
}
