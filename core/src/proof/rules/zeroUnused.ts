import { languageOf, pathEnds, type Edit, type Menu, type Path } from '../../line';
import type { Found, ProofSubject, Rule } from '../rule';

/** A menu in which 0, the key that callers try for a person, does nothing. */
export const zeroUnused: Rule<'zeroUnused'> = {
  name: 'zeroUnused',
  grade: 'tip',
  consequence: 'wrongPlace',
  find: (subject) =>
    subject.attendant.sheets.flatMap((sheet): Found[] =>
      sheet.type === 'menu' && sheet.options.length > 1 && !sheet.options.some(({ key }) => key === '0')
        ? [{ at: { type: 'sheet', sheetId: sheet.id }, ...fixFor(sheet, subject) }]
        : [],
    ),
};

/** 0 does what pressing nothing does, where that rings somebody. */
function fixFor(menu: Menu, { attendant }: ProofSubject): { readonly fix?: Edit } {
  const isRecorded = menu.takes.whole !== undefined;
  if (isRecorded || languageOf(menu.voice ?? attendant.voice) !== 'en') return {};
  const path = menu.silencePath;
  if (!ringsSomebody(path, attendant) || !pathEnds(attendant, path)) return {};
  return {
    fix: { type: 'addKey', sheetId: menu.id, option: { key: '0', label: 'to speak to somebody', readOut: true, path } },
  };
}

function ringsSomebody(path: Path, { paths }: ProofSubject['attendant']): boolean {
  const named = path.flatMap((step) =>
    step.type === 'followPath' ? (paths.find(({ id }) => id === step.pathId)?.steps ?? []) : [],
  );
  return [...path, ...named].some(({ type }) => type === 'ring' || type === 'ringGroup' || type === 'waitInQueue');
}
