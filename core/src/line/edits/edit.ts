import type { PeriodId } from '../../hours';
import type { Attendant } from '../attendant';
import type { SheetId } from '../ids';
import type { Key } from '../key';
import type { Menu, Option, Sheet } from '../sheet';
import type { Slot } from '../slot';
import type { Path } from '../step';
import type { VoiceId } from '../voice';

/** The parts of a sheet that are spoken. */
export type WordsPart = 'openingWords' | 'closingWords' | 'silenceWords' | 'wrongKeyWords' | 'words';

export type MenuSettings = Pick<Menu, 'keysDuringGreeting' | 'waitSeconds' | 'silentRounds' | 'wrongKeys'>;

export type AddSheet = { readonly type: 'addSheet'; readonly sheet: Sheet };
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
export type AddKey = { readonly type: 'addKey'; readonly sheetId: SheetId; readonly option: Option };
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
export type SetPath = { readonly type: 'setPath'; readonly slot: Slot; readonly path: Path };
export type SetVoice = { readonly type: 'setVoice'; readonly voice: VoiceId };
export type AddRule = { readonly type: 'addRule'; readonly periodId: PeriodId; readonly path: Path };
export type RemoveRule = { readonly type: 'removeRule'; readonly periodId: PeriodId };
export type MoveRule = { readonly type: 'moveRule'; readonly periodId: PeriodId; readonly toIndex: number };
/** Takes over a whole document, such as one that was saved in another window or is put back. */
export type Replace = { readonly type: 'replace'; readonly attendant: Attendant; readonly why: string };

/** Everything that can be done to an attendant. */
export type Edit =
  | AddSheet
  | RemoveSheet
  | RenameSheet
  | SetWords
  | SetMenuSettings
  | AddKey
  | RemoveKey
  | MoveKey
  | ReorderKey
  | SetOption
  | SetPath
  | SetVoice
  | AddRule
  | RemoveRule
  | MoveRule
  | Replace;
