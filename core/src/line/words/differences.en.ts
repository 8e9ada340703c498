import type { Attendant } from '../attendant';
import { isSame } from '../../merging';
import type { SheetId } from '../ids';
import { pathsOf, slotKey, sheetOfSlot } from '../slot';
import { describeSlot, type Names } from './en';
import { pathSentence, sheetLines, type SheetLine } from './sheetLines.en';

/** Something that is not the same for callers in two versions, in words. */
export interface ToldDifference {
  /** The sheet it is on; null for what answers when, named paths, and the like. */
  readonly sheetId: SheetId | null;
  /** Where: "Welcome, key 2". */
  readonly where: string;
  /** What it was; empty where there was nothing. */
  readonly was: string;
  /** What it is; empty where nothing is left. */
  readonly is: string;
}

/** Everything that is not the same for callers in two attendants, line by line. */
export function differencesInWords(before: Attendant, after: Attendant, names: Names): readonly ToldDifference[] {
  const earlier = namedAs(before, after);
  return [
    ...answeringDifferences(earlier, after, names),
    ...(before.voice === after.voice ? [] : [told(null, 'The voice', before.voice, after.voice)]),
    ...sheetDifferences(before, after, names),
    ...pathDifferences(earlier, after, names),
  ];
}

/** An attendant with its sheets and paths called as in another: a new name alone changes nothing where it is used. */
function namedAs(before: Attendant, after: Attendant): Attendant {
  const named = <Item extends { readonly id: string; readonly name: string }>(
    item: Item,
    all: readonly Item[],
  ): Item => ({
    ...item,
    name: all.find(({ id }) => id === item.id)?.name ?? item.name,
  });
  return {
    ...before,
    sheets: before.sheets.map((sheet) => named(sheet, after.sheets)),
    paths: before.paths.map((path) => named(path, after.paths)),
  };
}

function told(sheetId: SheetId | null, where: string, was: string, is: string): ToldDifference {
  return { sheetId, where, was, is };
}

/** What answers when, in its order. */
function answeringDifferences(before: Attendant, after: Attendant, names: Names): readonly ToldDifference[] {
  if (isSame(before.answering, after.answering)) return [];
  const linesOf = (attendant: Attendant): ReadonlyMap<string, string> =>
    new Map(
      pathsOf(attendant)
        .filter(({ slot }) => ['period', 'callers', 'special', 'otherwise'].includes(slot.type))
        .map(({ slot, path }) => [describeSlot(slot, attendant, names), pathSentence(path, attendant, names)]),
    );
  const [was, is] = [linesOf(before), linesOf(after)];
  const changed = compare(was, is).map(([where, then, now]) => told(null, capitalised(where), then, now));
  const order = (lines: ReadonlyMap<string, string>): string => [...lines.keys()].join(', ');
  return changed.length > 0 ? changed : [told(null, 'The answering order', order(was), order(is))];
}

function sheetDifferences(before: Attendant, after: Attendant, names: Names): readonly ToldDifference[] {
  const gone = before.sheets.filter(({ id }) => !after.sheets.some((sheet) => sheet.id === id));
  return [
    ...after.sheets.flatMap((sheet): readonly ToldDifference[] => {
      const earlier = before.sheets.find(({ id }) => id === sheet.id);
      if (!earlier) return [told(sheet.id, sheet.name, '', 'new')];
      if (earlier === sheet || isSame(earlier, sheet)) return [];
      const [was, is] = [sheetLines(earlier, namedAs(before, after), names), sheetLines(sheet, after, names)];
      const renamed =
        earlier.name === sheet.name
          ? []
          : [told(sheet.id, sheet.name, `called ${earlier.name}`, `called ${sheet.name}`)];
      const lines = compare(textsOf(was), textsOf(is)).map(([id, then, now]) =>
        told(
          sheet.id,
          whereOf(sheet.name, is.find((line) => line.id === id) ?? was.find((line) => line.id === id)),
          then,
          now,
        ),
      );
      const found = [...renamed, ...withoutOrder(lines, sheet.name)];
      return found.length > 0 ? found : [told(sheet.id, sheet.name, '', 'changed in its recordings or voice')];
    }),
    ...gone.map((sheet) => told(null, sheet.name, 'there', '')),
  ];
}

/** Keys that came or went change the order by themselves. */
function withoutOrder(lines: readonly ToldDifference[], name: string): readonly ToldDifference[] {
  const isOrder = ({ where }: ToldDifference): boolean => where === `${name}, order`;
  const keysChanged = lines.some((line) => !isOrder(line) && (line.was === '' || line.is === ''));
  return keysChanged ? lines.filter((line) => !isOrder(line)) : lines;
}

function pathDifferences(before: Attendant, after: Attendant, names: Names): readonly ToldDifference[] {
  const linesOf = (attendant: Attendant): ReadonlyMap<string, { readonly where: string; readonly text: string }> =>
    new Map(
      pathsOf(attendant)
        .filter(({ slot }) => !sheetOfSlot(slot) && ['named', 'group', 'queue'].includes(slot.type))
        .map(({ slot, path }) => [
          slotKey(slot),
          { where: describeSlot(slot, attendant, names), text: pathSentence(path, attendant, names) },
        ]),
    );
  const [was, is] = [linesOf(before), linesOf(after)];
  const texts = (lines: typeof was): ReadonlyMap<string, string> =>
    new Map([...lines].map(([key, { text }]) => [key, text]));
  return compare(texts(was), texts(is)).map(([key, then, now]) =>
    told(null, capitalised((is.get(key) ?? was.get(key))?.where ?? ''), then, now),
  );
}

/** Lines that are not the same, with what they were and are; empty where there is no such line. */
function compare(
  was: ReadonlyMap<string, string>,
  is: ReadonlyMap<string, string>,
): readonly (readonly [string, string, string])[] {
  return [...new Set([...was.keys(), ...is.keys()])]
    .map((key) => [key, was.get(key) ?? '', is.get(key) ?? ''] as const)
    .filter(([, then, now]) => then !== now);
}

function textsOf(lines: readonly SheetLine[]): ReadonlyMap<string, string> {
  return new Map(lines.map((line) => [line.id, textOf(line)]));
}

function textOf({ id, label, spoken, does }: SheetLine): string {
  const said = spoken ? `“${spoken}”` : '';
  const readOut = id.startsWith('key') && label.endsWith('not read out') ? 'not read out' : '';
  const counts = id === 'silence' || id === 'wrongKey' ? label : '';
  return [counts, said, readOut, does].filter(Boolean).join(' · ');
}

const partNames: Readonly<Record<string, string>> = {
  opening: 'opening words',
  closing: 'closing words',
  words: 'words',
  order: 'order',
  silence: 'if nobody presses a key',
  wrongKey: 'wrong keys',
  settings: 'when keys count',
  after: 'what follows',
  voice: 'voice',
  recordings: 'recordings',
};

function whereOf(name: string, line: SheetLine | undefined): string {
  const id = line?.id ?? '';
  return `${name}, ${partNames[id] ?? id}`;
}

function capitalised(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
