import {
  languageOf,
  pathEnds,
  pathGraph,
  ringDefaults,
  type Attendant,
  type Edit,
  type Menu,
  type OperatorId,
  type Path,
  type SheetId,
  type Slot,
  type Step,
  type VoiceId,
} from '../../line';
import type { Reach } from '../../paths';
import { callsOf, type Calls } from '../calls';
import { endedPath, type MendedIn } from '../mend';
import { rememberBy } from '../remember';
import type { Found, ProofSubject, Rule } from '../rule';

/** A menu in which 0, the key that callers try for a person, does nothing; while it is closed no person is there. */
export const zeroUnused: Rule<'zeroUnused'> = {
  name: 'zeroUnused',
  grade: 'tip',
  consequence: 'wrongPlace',
  find: (subject) => {
    const quiet = heardWhileClosed(callsOf(subject));
    return subject.attendant.sheets.flatMap((sheet): Found[] => {
      if (sheet.type !== 'menu' || sheet.options.length < 2 || quiet.has(sheet.id)) return [];
      if (sheet.options.some(({ key }) => key === '0')) return [];
      return [{ at: { type: 'sheet', sheetId: sheet.id }, ...fixOf(sheet, subject) }];
    });
  },
};

/** The menus that callers come to while it is closed, and at no other time. */
const heardWhileClosed = rememberBy(({ answered, listed, others }: Calls): ReadonlySet<SheetId> => {
  const menusOf = ({ menus }: Reach): readonly SheetId[] => [...menus.values()].map(({ sheetId }) => sheetId);
  const atAnyTime = new Set([...listed, ...others].flatMap(menusOf));
  const closed = new Set<SheetId>();
  for (const { moments, closed: closedAt, reach } of answered) {
    for (const id of menusOf(reach)) (closedAt.length === moments.length ? closed : atAnyTime).add(id);
  }
  return new Set([...closed].filter((id) => !atAnyTime.has(id)));
});

/** What mends one menu hangs on that menu, and on the paths of all, which words do not change. */
function fixOf(menu: Menu, { attendant, line, boxes, groups }: ProofSubject): { readonly fix?: Edit } {
  return fixFor(menu, pathGraph(attendant).attendant, attendant.voice, line.operatorId, boxes, groups);
}

/** 0 rings the operator; where nobody is named, it does what pressing nothing does, where that rings somebody. */
const fixFor = rememberBy(
  (
    menu: Menu,
    attendant: Attendant,
    voice: VoiceId,
    operatorId: OperatorId | null,
    boxes: ProofSubject['boxes'],
    groups: ProofSubject['groups'],
  ): { readonly fix?: Edit } => {
    const isRecorded = menu.takes.whole !== undefined;
    if (isRecorded || languageOf(menu.voice ?? voice) !== 'en') return {};
    const slot = { type: 'key', sheetId: menu.id, key: '0' } as const;
    const path = operatorPath({ attendant, boxes, groups }, operatorId, slot) ?? menu.silencePath;
    if (!ringsSomebody(path, attendant) || !pathEnds(attendant, path)) return {};
    return {
      fix: {
        type: 'addKey',
        sheetId: menu.id,
        option: { key: '0', label: 'to speak to somebody', readOut: true, path },
      },
    };
  },
);

const rings: ReadonlySet<Step['type']> = new Set(['ring', 'ringOperator', 'ringGroup', 'waitInQueue']);

/** Rings the operator, then takes a message; undefined where nobody operates the line, or there is no box. */
function operatorPath(subject: MendedIn, operatorId: OperatorId | null, slot: Slot): Path | undefined {
  if (operatorId === null) return undefined;
  return endedPath(subject, slot, [{ ...ringDefaults, type: 'ringOperator' }]);
}

function ringsSomebody(path: Path, { paths }: ProofSubject['attendant']): boolean {
  const named = path.flatMap((step) =>
    step.type === 'followPath' ? (paths.find(({ id }) => id === step.pathId)?.steps ?? []) : [],
  );
  return [...path, ...named].some(({ type }) => rings.has(type));
}
