import { findSheet, type Attendant } from '../attendant';
import type { SheetId } from '../ids';
import type { Key } from '../key';
import { menuWordsIn } from '../menuWords';
import { optionWithoutTake, type Announcement, type Menu, type Option, type Sheet } from '../sheet';
import { languageOf, type VoiceId } from '../voice';
import type {
  AddKey,
  AddSheet,
  MoveKey,
  MoveSheet,
  RemoveKey,
  ReorderKey,
  SetMenuSettings,
  SetOption,
  SetSheetVoice,
  SetTake,
  SetWords,
} from './edit';

/** Adds a sheet to the outline. @throws Error when its id is already there. */
export function addSheet(attendant: Attendant, { sheet, atIndex }: AddSheet): Attendant {
  if (attendant.sheets.some((each) => each.id === sheet.id)) throw new Error(`Sheet ${sheet.id} is already there`);
  return { ...attendant, sheets: movedTo([...attendant.sheets, sheet], sheet, atIndex ?? Infinity) };
}

export function moveSheet(attendant: Attendant, { sheetId, toIndex }: MoveSheet): Attendant {
  const sheet = mustHave(attendant, sheetId);
  return { ...attendant, sheets: movedTo(attendant.sheets, sheet, toIndex) };
}

export function setSheetVoice(attendant: Attendant, { sheetId, voice }: SetSheetVoice): Attendant {
  return changeSheet(attendant, sheetId, (sheet) => {
    const spoken = spokenBy(sheet, sheet.voice ?? attendant.voice, voice ?? attendant.voice);
    return { ...spoken, voice };
  });
}

/** The voice of the whole; sheets without one of their own follow. */
export function setVoice(attendant: Attendant, voice: VoiceId): Attendant {
  const sheets = attendant.sheets.map((sheet) => (sheet.voice ? sheet : spokenBy(sheet, attendant.voice, voice)));
  return { ...attendant, voice, sheets };
}

function spokenBy(sheet: Sheet, before: VoiceId, after: VoiceId): Sheet {
  const [from, to] = [languageOf(before), languageOf(after)];
  return sheet.type === 'menu' && from !== to ? menuWordsIn(sheet, from, to) : sheet;
}

/** Removes a sheet. Steps that go to it are left as they are; ask `usesOf` first. */
export function removeSheet(attendant: Attendant, sheetId: SheetId): Attendant {
  mustHave(attendant, sheetId);
  return { ...attendant, sheets: attendant.sheets.filter((sheet) => sheet.id !== sheetId) };
}

export function renameSheet(attendant: Attendant, sheetId: SheetId, name: string): Attendant {
  return changeSheet(attendant, sheetId, (sheet) => ({ ...sheet, name }));
}

/** @throws Error when a sheet of that type has no such part. */
export function setWords(attendant: Attendant, { sheetId, part, words }: SetWords): Attendant {
  return changeSheet(attendant, sheetId, (sheet) => {
    if (!(part in sheet)) throw new Error(`Sheet ${sheetId} has no ${part}`);
    return { ...sheet, [part]: words };
  });
}

export function setMenuSettings(attendant: Attendant, { sheetId, settings }: SetMenuSettings): Attendant {
  return changeMenu(attendant, sheetId, (menu) => ({ ...menu, ...settings }));
}

/** Adds an option to the read-out. @throws Error when its key is in use. */
export function addKey(attendant: Attendant, { sheetId, option, atIndex }: AddKey): Attendant {
  return changeMenu(attendant, sheetId, (menu) => {
    if (menu.options.some((each) => each.key === option.key)) throw new Error(`Key ${option.key} is in use`);
    return { ...menu, options: movedTo([...menu.options, option], option, atIndex ?? Infinity) };
  });
}

export function removeKey(attendant: Attendant, { sheetId, key }: RemoveKey): Attendant {
  return changeMenu(attendant, sheetId, (menu) => {
    optionAt(menu, key);
    return { ...menu, options: menu.options.filter((option) => option.key !== key) };
  });
}

/** Moves an option to another key with its words and path; options whose keys meet change places. */
export function moveKey(attendant: Attendant, { sheetId, from, to }: MoveKey): Attendant {
  return changeMenu(attendant, sheetId, (menu) => {
    optionAt(menu, from);
    const moved = (option: Option): Key => (option.key === from ? to : option.key === to ? from : option.key);
    return { ...menu, options: menu.options.map((option) => ({ ...option, key: moved(option) })) };
  });
}

export function reorderKey(attendant: Attendant, { sheetId, key, toIndex }: ReorderKey): Attendant {
  return changeMenu(attendant, sheetId, (menu) => {
    const option = optionAt(menu, key);
    return { ...menu, options: movedTo(menu.options, option, toIndex) };
  });
}

export function setOption(attendant: Attendant, { sheetId, key, option: changes }: SetOption): Attendant {
  return changeMenu(attendant, sheetId, (menu) => {
    optionAt(menu, key);
    return {
      ...menu,
      options: menu.options.map((option) => (option.key === key ? { ...option, ...changes } : option)),
    };
  });
}

/** @throws Error when the sheet has no such part. */
export function setTake(attendant: Attendant, { sheetId, part, take }: SetTake): Attendant {
  if (part.type === 'option') {
    return changeMenu(attendant, sheetId, (menu) => {
      const option = optionWithoutTake(optionAt(menu, part.key));
      const changed: Option = take ? { ...option, take } : option;
      return { ...menu, options: menu.options.map((each) => (each.key === part.key ? changed : each)) };
    });
  }
  return changeSheet(attendant, sheetId, (sheet) => {
    if (part.type !== 'whole' && sheet.type !== 'menu') throw new Error(`Sheet ${sheetId} has no ${part.type}`);
    const others = Object.entries(sheet.takes).filter(([name]) => name !== part.type);
    return { ...sheet, takes: { ...Object.fromEntries(others), ...(take && { [part.type]: take }) } };
  });
}

/** The list with one of its items at another index, which is held within the list. */
export function movedTo<Item>(items: readonly Item[], item: Item, toIndex: number): readonly Item[] {
  const others = items.filter((each) => each !== item);
  const index = Math.max(0, Math.min(toIndex, others.length));
  return [...others.slice(0, index), item, ...others.slice(index)];
}

/** @throws Error when there is no such sheet. */
function changeSheet(attendant: Attendant, sheetId: SheetId, change: (sheet: Sheet) => Sheet): Attendant {
  mustHave(attendant, sheetId);
  return { ...attendant, sheets: attendant.sheets.map((sheet) => (sheet.id === sheetId ? change(sheet) : sheet)) };
}

/** @throws Error when there is no such sheet or it is not a menu. */
export function changeMenu(attendant: Attendant, sheetId: SheetId, change: (menu: Menu) => Menu): Attendant {
  return changeSheet(attendant, sheetId, (sheet) => {
    if (sheet.type !== 'menu') throw new Error(`Sheet ${sheetId} is not a menu`);
    return change(sheet);
  });
}

/** @throws Error when there is no such sheet or it is not an announcement. */
export function changeAnnouncement(
  attendant: Attendant,
  sheetId: SheetId,
  change: (announcement: Announcement) => Announcement,
): Attendant {
  return changeSheet(attendant, sheetId, (sheet) => {
    if (sheet.type !== 'announcement') throw new Error(`Sheet ${sheetId} is not an announcement`);
    return change(sheet);
  });
}

function mustHave(attendant: Attendant, sheetId: SheetId): Sheet {
  const sheet = findSheet(attendant, sheetId);
  if (!sheet) throw new Error(`There is no sheet ${sheetId}`);
  return sheet;
}

function optionAt(menu: Menu, key: Key): Option {
  const option = menu.options.find((each) => each.key === key);
  if (!option) throw new Error(`Key ${key} has no option on ${menu.id}`);
  return option;
}
