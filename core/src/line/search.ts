import type { Attendant } from './attendant';
import type { NamedPathId, SheetId } from './ids';
import type { Key } from './key';
import type { Sheet } from './sheet';
import { pathsOf, type Slot } from './slot';
import { typedIn } from './spokenTexts';
import type { Step } from './step';

/** A place of the attendant in which a text was found. */
export type Hit =
  | { readonly type: 'sheet'; readonly sheetId: SheetId; readonly text: string }
  | { readonly type: 'option'; readonly sheetId: SheetId; readonly key: Key; readonly text: string }
  | { readonly type: 'words'; readonly sheetId: SheetId; readonly text: string }
  | { readonly type: 'path'; readonly pathId: NamedPathId; readonly text: string }
  | { readonly type: 'step'; readonly slot: Slot; readonly text: string };

/** Everything in the attendant that contains a text: names first, then what keys are for, then words. */
export function searchAttendant(attendant: Attendant, text: string): readonly Hit[] {
  const wanted = folded(text);
  if (wanted === '') return [];
  const fits = (hit: Hit): boolean => folded(hit.text).includes(wanted);
  const sheets = attendant.sheets.map((sheet): Hit => ({ type: 'sheet', sheetId: sheet.id, text: sheet.name }));
  const paths = attendant.paths.map(({ id, name }): Hit => ({ type: 'path', pathId: id, text: name }));
  const steps = pathsOf(attendant).flatMap(({ slot, path }) =>
    path.map((step): Hit => ({ type: 'step', slot, text: wordsOfStep(step) })),
  );
  return [
    ...sheets,
    ...paths,
    ...attendant.sheets.flatMap(optionsOf),
    ...attendant.sheets.flatMap(wordsOf),
    ...steps,
  ].filter(fits);
}

/** Text as it is compared: without accents and capitals, and with single spaces. */
export function folded(text: string): string {
  return text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase().replace(/\s+/g, ' ').trim();
}

function optionsOf(sheet: Sheet): Hit[] {
  if (sheet.type !== 'menu') return [];
  return sheet.options.map(({ key, label }) => ({ type: 'option', sheetId: sheet.id, key, text: label }));
}

function wordsOf(sheet: Sheet): Hit[] {
  const texts =
    sheet.type === 'menu'
      ? [sheet.openingWords, sheet.closingWords, sheet.silenceWords, sheet.wrongKeyWords]
      : [sheet.words];
  return texts.map((text) => ({ type: 'words', sheetId: sheet.id, text }));
}

function wordsOfStep(step: Step): string {
  const number = step.type === 'ringOutside' && step.to.type === 'number' ? ` ${step.to.number}` : '';
  return `${typedIn(step)}${number}`;
}
