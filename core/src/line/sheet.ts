import type { SheetId } from './ids';
import type { Key } from './key';
import { menuWords } from './menuWords';
import type { Path } from './step';
import type { SheetTakes, TakeUse } from './take';
import type { Language, VoiceId } from './voice';

/** What one key of a menu does. Options stand in the order they are read out. */
export interface Option {
  readonly key: Key;
  /** What the key is for, as said in "For ..., press 1": 0 to 80 characters. */
  readonly label: string;
  readonly readOut: boolean;
  readonly path: Path;
  /** A recording of what is read out for this key; left out where the voice says it. */
  readonly take?: TakeUse;
}

interface SheetHead {
  readonly id: SheetId;
  /** 1 to 60 characters. */
  readonly name: string;
  /** The voice, and so the language, of this sheet and of the paths that begin here; null for the attendant's. */
  readonly voice: VoiceId | null;
  /** Recordings that are heard in place of the voice. */
  readonly takes: SheetTakes;
}

/** Lets callers dial an extension in a menu at any time. */
export interface ExtensionDialling {
  /** How long to wait for a further digit, 1 to 10 s; # ends the wait. */
  readonly waitSeconds: number;
}

/** Words, then keys to choose from. */
export interface Menu extends SheetHead {
  readonly type: 'menu';
  readonly openingWords: string;
  readonly options: readonly Option[];
  readonly closingWords: string;
  /** Whether keys count while the menu is still being said. */
  readonly keysDuringGreeting: boolean;
  /** How long to wait for a key after the menu was said, 1 to 60 s. */
  readonly waitSeconds: number;
  /** After how many rounds without a key the silence path is taken, 1 to 9. */
  readonly silentRounds: number;
  /** What is said after a silent round, before the menu is said again. */
  readonly silenceWords: string;
  readonly silencePath: Path;
  /** At which wrong key the wrong-key path is taken, 1 to 9. */
  readonly wrongKeys: number;
  /** What is said after a wrong key, before the menu is said again. */
  readonly wrongKeyWords: string;
  readonly wrongKeyPath: Path;
  /** Null when extensions cannot be dialled here. */
  readonly extensions: ExtensionDialling | null;
  /** Whether callers may say what an option is for, or a person's name, instead of pressing a key. */
  readonly speech: boolean;
}

/** Words without keys, then a path. */
export interface Announcement extends SheetHead {
  readonly type: 'announcement';
  readonly words: string;
  readonly afterPath: Path;
}

export type Sheet = Menu | Announcement;

const menuDefaults = {
  openingWords: '',
  options: [],
  closingWords: '',
  keysDuringGreeting: true,
  waitSeconds: 5,
  silentRounds: 2,
  silencePath: [],
  wrongKeys: 3,
  wrongKeyPath: [],
  extensions: null,
  speech: false,
} as const satisfies Partial<Menu>;

export const menuLimits = {
  waitSeconds: { least: 1, most: 60 },
  silentRounds: { least: 1, most: 9 },
  wrongKeys: { least: 1, most: 9 },
  extensionWaitSeconds: { least: 1, most: 10, usual: 3 },
} as const;

export const longestLabel = 80;
export const longestSheetName = 60;
export const mostSheets = 500;

/** A menu that says nothing yet but what each says in the language of its voice. */
export function newMenu(id: SheetId, name: string, language: Language = 'en'): Menu {
  return { type: 'menu', id, name, voice: null, takes: {}, ...menuDefaults, ...menuWords[language] };
}

export function newAnnouncement(id: SheetId, name: string): Announcement {
  return { type: 'announcement', id, name, voice: null, takes: {}, words: '', afterPath: [] };
}

/** A sheet as the voice alone says it. */
export function withoutTakes(sheet: Sheet): Sheet {
  if (sheet.type === 'announcement') return { ...sheet, takes: {} };
  return { ...sheet, takes: {}, options: sheet.options.map(optionWithoutTake) };
}

export function optionWithoutTake({ key, label, readOut, path }: Option): Option {
  return { key, label, readOut, path };
}
