import type { z } from 'zod';
import { right, wrong, type Result } from '../result';
import type { Attendant } from './attendant';
import { attendantSchema } from './attendantSchema';
import type { NamedPathId, SheetId } from './ids';
import type { Key } from './key';
import { slotKey, slotOfFallback } from './slot';
import { upgradeDocument } from './upgrades/upgradeDocument';
import { upgrades } from './upgrades';
import type { UpgradeProblem } from './upgrades/upgrade';

export type DocumentProblem =
  | UpgradeProblem
  | { readonly type: 'notADocument' }
  /** `at` leads to the place, such as `sheets`, `2`, `options`, `0`, `label`. */
  | { readonly type: 'shape'; readonly at: readonly (string | number)[]; readonly says: string }
  | { readonly type: 'sheetTwice'; readonly sheetId: SheetId }
  | { readonly type: 'keyTwice'; readonly sheetId: SheetId; readonly sheetName: string; readonly key: Key }
  | { readonly type: 'pathTwice'; readonly pathId: NamedPathId }
  | { readonly type: 'ruleTwice'; readonly of: string }
  | { readonly type: 'fallbackTwice'; readonly of: string };

/** Reads an attendant from JSON already parsed: upgraded, its shape checked, nothing in it twice. */
export function readAttendant(raw: unknown): Result<Attendant, DocumentProblem> {
  if (typeof raw !== 'object' || raw === null || Array.isArray(raw)) return wrong({ type: 'notADocument' });
  const upgraded = upgradeDocument(raw as Record<string, unknown>, upgrades);
  if (!upgraded.ok) return upgraded;
  const shaped = attendantSchema.safeParse(upgraded.value);
  if (!shaped.success) return wrong(...shaped.error.issues.map(shapeProblem));
  const doubles = findDoubles(shaped.data);
  return doubles.length === 0 ? right(shaped.data) : wrong(...doubles);
}

function shapeProblem(issue: z.core.$ZodIssue): DocumentProblem {
  const at = issue.path.map((part) => (typeof part === 'symbol' ? String(part) : part));
  return { type: 'shape', at, says: says(issue) };
}

function says(issue: z.core.$ZodIssue): string {
  if (issue.code === 'too_big')
    return `too long or too large; the most is ${Number(issue.maximum).toLocaleString('en')}`;
  if (issue.code === 'too_small') return `empty or too small; the least is ${issue.minimum}`;
  return issue.message;
}

function findDoubles(attendant: Attendant): DocumentProblem[] {
  const sheets = doublesIn(attendant.sheets.map((sheet) => sheet.id));
  const paths = doublesIn(attendant.paths.map((path) => path.id));
  const rules = doublesIn(
    attendant.answering.rules.map((rule): string => {
      if (rule.type === 'special') return rule.specialId ?? 'any special date';
      return rule.type === 'period' ? rule.periodId : rule.callerListId;
    }),
  );
  const fallbacks = doublesIn(attendant.fallbacks.map((fallback) => slotKey(slotOfFallback(fallback))));
  const keys = attendant.sheets.flatMap((sheet): DocumentProblem[] => {
    if (sheet.type !== 'menu') return [];
    const twice = doublesIn(sheet.options.map((option) => option.key));
    return twice.map((key) => ({ type: 'keyTwice', sheetId: sheet.id, sheetName: sheet.name, key }));
  });
  return [
    ...sheets.map((sheetId): DocumentProblem => ({ type: 'sheetTwice', sheetId })),
    ...paths.map((pathId): DocumentProblem => ({ type: 'pathTwice', pathId })),
    ...rules.map((of): DocumentProblem => ({ type: 'ruleTwice', of })),
    ...fallbacks.map((of): DocumentProblem => ({ type: 'fallbackTwice', of })),
    ...keys,
  ];
}

function doublesIn<Item>(items: readonly Item[]): readonly Item[] {
  return [...new Set(items.filter((item, index) => items.indexOf(item) !== index))];
}
