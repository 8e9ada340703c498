import type { AnsweringRule, Attendant, NamedPath } from '../attendant';
import type { NamedPathId, SheetId } from '../ids';
import type { Key } from '../key';
import type { Menu, Option, Sheet } from '../sheet';
import type { ReferredId } from '../references';
import type { RuleSlot, Slot } from '../slot';
import type { Path } from '../step';
import type { TakePart, TakeUse } from '../take';
import type { VoiceId } from '../voice';

/** The parts of a sheet that are spoken. */
export type WordsPart = 'openingWords' | 'closingWords' | 'silenceWords' | 'wrongKeyWords' | 'words';

export type MenuSettings = Pick<
  Menu,
  'keysDuringGreeting' | 'waitSeconds' | 'silentRounds' | 'wrongKeys' | 'extensions' | 'speech'
>;

/** Adds a sheet; at the end of the outline when no place is given. */
export type AddSheet = { readonly type: 'addSheet'; readonly sheet: Sheet; readonly atIndex?: number };
/** Moves a sheet up or down in the outline. */
export type MoveSheet = { readonly type: 'moveSheet'; readonly sheetId: SheetId; readonly toIndex: number };
/** Another voice, and so perhaps another language, for one sheet; null for the attendant's. */
export type SetSheetVoice = {
  readonly type: 'setSheetVoice';
  readonly sheetId: SheetId;
  readonly voice: VoiceId | null;
};
export type RemoveSheet = { readonly type: 'removeSheet'; readonly sheetId: SheetId };
export type RenameSheet = { readonly type: 'renameSheet'; readonly sheetId: SheetId; readonly name: string };
export type SetWords = {
  readonly type: 'setWords';
  readonly sheetId: SheetId;
  readonly part: WordsPart;
  readonly words: string;
};
export type SetMenuSettings = {
  readonly type: 'setMenuSettings';
  readonly sheetId: SheetId;
  readonly settings: Partial<MenuSettings>;
};
/** Adds an option; at the end of the read-out when no place is given. */
export type AddKey = {
  readonly type: 'addKey';
  readonly sheetId: SheetId;
  readonly option: Option;
  readonly atIndex?: number;
};
export type RemoveKey = { readonly type: 'removeKey'; readonly sheetId: SheetId; readonly key: Key };
/** Moves an option to another key; if that one is in use the two change places. */
export type MoveKey = {
  readonly type: 'moveKey';
  readonly sheetId: SheetId;
  readonly from: Key;
  readonly to: Key;
};
/** Moves an option up or down in the order that is read out. */
export type ReorderKey = {
  readonly type: 'reorderKey';
  readonly sheetId: SheetId;
  readonly key: Key;
  readonly toIndex: number;
};
export type SetOption = {
  readonly type: 'setOption';
  readonly sheetId: SheetId;
  readonly key: Key;
  readonly option: Partial<Pick<Option, 'label' | 'readOut'>>;
};
/** Lets a part of a sheet be heard from a recording; null for the voice alone. */
export type SetTake = {
  readonly type: 'setTake';
  readonly sheetId: SheetId;
  readonly part: TakePart;
  readonly take: TakeUse | null;
};
export type SetPath = { readonly type: 'setPath'; readonly slot: Slot; readonly path: Path };
export type SetVoice = { readonly type: 'setVoice'; readonly voice: VoiceId };
/** Adds a rule where such rules usually stand in the answering order. */
export type AddRule = { readonly type: 'addRule'; readonly rule: AnsweringRule };
export type RemoveRule = { readonly type: 'removeRule'; readonly rule: RuleSlot };
export type MoveRule = { readonly type: 'moveRule'; readonly rule: RuleSlot; readonly toIndex: number };
export type AddNamedPath = { readonly type: 'addNamedPath'; readonly path: NamedPath };
export type RemoveNamedPath = { readonly type: 'removeNamedPath'; readonly pathId: NamedPathId };
export type RenameNamedPath = {
  readonly type: 'renameNamedPath';
  readonly pathId: NamedPathId;
  readonly name: string;
};
/** Lets every step that refers to one thing refer to another of its kind. */
export type ReplaceEverywhere = {
  readonly type: 'replaceEverywhere';
  readonly from: ReferredId;
  readonly to: ReferredId;
};
/** Several edits that are undone as one, such as a step cut here and pasted there. */
export type Together = { readonly type: 'together'; readonly edits: readonly Edit[]; readonly why: string };
/** Takes over a whole document, such as one that was saved in another window or is put back. */
export type Replace = { readonly type: 'replace'; readonly attendant: Attendant; readonly why: string };

/** Everything that can be done to an attendant. */
export type Edit =
  | AddSheet
  | MoveSheet
  | SetSheetVoice
  | RemoveSheet
  | RenameSheet
  | SetWords
  | SetMenuSettings
  | AddKey
  | RemoveKey
  | MoveKey
  | ReorderKey
  | SetOption
  | SetTake
  | SetPath
  | SetVoice
  | AddRule
  | RemoveRule
  | MoveRule
  | AddNamedPath
  | RemoveNamedPath
  | RenameNamedPath
  | ReplaceEverywhere
  | Together
  | Replace;
