import type { Box, BoxId, ClosedReason, Group, GroupId, Queue, QueueId } from '../directory';
import type { Hours, SpecialDateId } from '../hours';
import type { Attendant } from './attendant';
import type { Greeting } from './greeting';
import type { GreetingId, SheetId } from './ids';
import type { Key } from './key';
import type { Sheet } from './sheet';
import { pathsOf, sheetOfSlot, slotKey, type Slot } from './slot';
import type { Path, Step } from './step';
import type { WordsPart } from './edits/edit';
import type { VoiceId } from './voice';

/** Where something that callers can hear is written. */
export type SpokenPlace =
  | { readonly type: 'words'; readonly sheetId: SheetId; readonly part: WordsPart }
  /** What a key is for, as it is read out. */
  | { readonly type: 'option'; readonly sheetId: SheetId; readonly key: Key }
  /** A step that says something: an announcement, words before it rings, a goodbye. */
  | { readonly type: 'step'; readonly slot: Slot; readonly stepIndex: number }
  /** What callers hear outside the hours of a group or queue. */
  | { readonly type: 'closed'; readonly of: GroupId | QueueId; readonly reason: ClosedReason }
  | { readonly type: 'queueEntry'; readonly queueId: QueueId }
  /** A part of what is heard over and over while waiting. */
  | { readonly type: 'queueWaiting'; readonly queueId: QueueId; readonly index: number }
  /** What a caller hears whom a member puts on hold. */
  | { readonly type: 'queueHold'; readonly queueId: QueueId }
  | { readonly type: 'box'; readonly boxId: BoxId }
  /** A greeting of the library that nothing plays. */
  | { readonly type: 'greeting' }
  | { readonly type: 'special'; readonly specialId: SpecialDateId }
  | { readonly type: 'switch' };

/** A text that callers can hear. */
export interface SpokenText {
  readonly place: SpokenPlace;
  /** As it is kept, live parts and all; never empty. */
  readonly typed: string;
  readonly voice: VoiceId;
  /** The greeting of the library it is; null where it is typed in its place. */
  readonly greetingId: GreetingId | null;
}

/** Whom and what callers can hear from besides an attendant. */
export interface SpokenAround {
  readonly greetings: readonly Greeting[];
  readonly groups: readonly Group[];
  readonly queues: readonly Queue[];
  readonly boxes: readonly Box[];
  /** The line's. */
  readonly hours: Hours;
  /** The words of its switch; empty while it is not on, or says none. */
  readonly switchWords: string;
}

/**
 * Everything that somebody wrote and a caller can hear: the one list of it. Names, and what the line says by itself, are
 * nobody's words. A greeting that is played in several places is there once for each.
 */
export function spokenTexts(attendant: Attendant, around: SpokenAround): readonly SpokenText[] {
  const { greetings, groups, queues, boxes, hours, switchWords } = around;
  const { voice } = attendant;
  const played = [
    ...attendant.sheets.flatMap((sheet) => textsOfSheet(sheet, voice)),
    ...pathsOf(attendant).flatMap(({ slot, path }) => textsOfPath(slot, path, voiceAt(attendant, slot), greetings)),
    ...groups.flatMap((group) => textsWhenClosed(group, voice)),
    ...queues.flatMap((queue) => textsOfQueue(queue, voice, greetings)),
    ...boxes.flatMap((box) => greetingAt({ type: 'box', boxId: box.id }, box.greetingId, greetings, box)),
    ...hours.special.flatMap((each) => textAt({ type: 'special', specialId: each.id }, each.words, voice, each)),
    ...textAt({ type: 'switch' }, switchWords, voice),
  ];
  const heard = new Set(played.map(({ greetingId }) => greetingId));
  const unused = greetings.filter(({ id }) => !heard.has(id));
  return [...played, ...unused.flatMap(({ id }) => greetingAt({ type: 'greeting' }, id, greetings))];
}

/** The words of a sheet itself, part by part, with what its keys are for; the very same ones as long as it is the same. */
export function textsOfSheet(sheet: Sheet, attendantVoice: VoiceId): readonly SpokenText[] {
  const voice = sheet.voice ?? attendantVoice;
  const before = known.get(sheet);
  if (before?.voice === voice) return before.texts;
  const texts = readSheet(sheet, voice);
  known.set(sheet, { voice, texts });
  return texts;
}

const known = new WeakMap<Sheet, { readonly voice: VoiceId; readonly texts: readonly SpokenText[] }>();

function readSheet(sheet: Sheet, voice: VoiceId): readonly SpokenText[] {
  const sheetId = sheet.id;
  if (sheet.type === 'announcement') return textAt({ type: 'words', sheetId, part: 'words' }, sheet.words, voice);
  const parts = ['openingWords', 'closingWords', 'silenceWords', 'wrongKeyWords'] as const;
  const [opening = [], ...others] = parts.map((part) => textAt({ type: 'words', sheetId, part }, sheet[part], voice));
  const options = sheet.options
    .filter(({ readOut }) => readOut)
    .flatMap(({ key, label }) => textAt({ type: 'option', sheetId, key }, label, voice));
  return [...opening, ...options, ...others.flat()];
}

/** The voice in which the steps of a path are said. */
function voiceAt({ sheets, voice }: Attendant, slot: Slot): VoiceId {
  const sheetId = sheetOfSlot(slot);
  return sheets.find(({ id }) => id === sheetId)?.voice ?? voice;
}

function textsOfPath(slot: Slot, path: Path, voice: VoiceId, greetings: readonly Greeting[]): readonly SpokenText[] {
  return path.flatMap((step, stepIndex) => {
    const place = { type: 'step', slot, stepIndex } as const;
    return step.type === 'say' && step.spoken.type === 'greeting'
      ? greetingAt(place, step.spoken.greetingId, greetings, step)
      : textAt(place, typedIn(step), voice, step);
  });
}

/** What is typed in a step to be said; empty in one that says nothing. */
export function typedIn(step: Step): string {
  switch (step.type) {
    case 'say':
      return step.spoken.type === 'typed' ? step.spoken.words : '';
    case 'hangUp':
      return step.words;
    case 'ring':
    case 'ringOperator':
    case 'ringGroup':
    case 'ringOutside':
    case 'handOver':
      return step.before;
    default:
      return '';
  }
}

/** A step that says something else; the same one where it says nothing, or a greeting of the library. */
export function withWords(step: Step, words: string): Step {
  switch (step.type) {
    case 'say':
      return step.spoken.type === 'typed' ? { ...step, spoken: { ...step.spoken, words } } : step;
    case 'hangUp':
      return { ...step, words };
    case 'ring':
    case 'ringOperator':
    case 'ringGroup':
    case 'ringOutside':
    case 'handOver':
      return { ...step, before: words };
    default:
      return step;
  }
}

function textsWhenClosed(of: Group | Queue, voice: VoiceId): readonly SpokenText[] {
  // What a version kept of the directory before there were such words has none.
  const { id, hoursId, closedWords = '', specialWords = '' } = of;
  // Without hours it is never closed.
  if (hoursId === null) return [];
  return [
    ...textAt({ type: 'closed', of: id, reason: 'closed' }, closedWords, voice),
    ...textAt({ type: 'closed', of: id, reason: 'special' }, specialWords, voice),
  ];
}

function textsOfQueue(queue: Queue, voice: VoiceId, greetings: readonly Greeting[]): readonly SpokenText[] {
  const { id, entryWords, waiting, holdGreetingId } = queue;
  return [
    ...textAt({ type: 'queueEntry', queueId: id }, entryWords, voice, waiting),
    ...waiting.flatMap((part, index) => {
      const place = { type: 'queueWaiting', queueId: id, index } as const;
      if (part.type === 'words') return textAt(place, part.words, voice, part);
      return part.type === 'greeting' ? greetingAt(place, part.greetingId, greetings, part) : [];
    }),
    ...greetingAt({ type: 'queueHold', queueId: id }, holdGreetingId, greetings),
    ...textsWhenClosed(queue, voice),
  ];
}

/** @param written of what it is made: as long as that is the same thing, the text is the very same one */
function textAt(place: SpokenPlace, typed: string, voice: VoiceId, written?: object): readonly SpokenText[] {
  if (typed.trim() === '') return [];
  const text: SpokenText = { place, typed, voice, greetingId: null };
  return [written ? asBefore(written, text) : text];
}

const before = new WeakMap<object, SpokenText>();

/** The text that was made of it before, where that is the same; a thing that is said in several places has its last one. */
function asBefore(written: object, text: SpokenText): SpokenText {
  const known = before.get(written);
  const isSame =
    known?.voice === text.voice &&
    known.typed === text.typed &&
    known.greetingId === text.greetingId &&
    isSamePlace(known.place, text.place);
  if (known && isSame) return known;
  before.set(written, text);
  return text;
}

function isSamePlace(one: SpokenPlace, other: SpokenPlace): boolean {
  if (one.type !== 'step' || other.type !== 'step') return JSON.stringify(one) === JSON.stringify(other);
  return one.stepIndex === other.stepIndex && slotKey(one.slot) === slotKey(other.slot);
}

function greetingAt(
  place: SpokenPlace,
  greetingId: GreetingId | null,
  greetings: readonly Greeting[],
  written?: object,
): readonly SpokenText[] {
  const greeting = greetings.find(({ id }) => id === greetingId);
  if (!greeting || greeting.words.trim() === '') return [];
  const text: SpokenText = { place, typed: greeting.words, voice: greeting.voice, greetingId: greeting.id };
  return [asBefore(written ?? greeting, text)];
}
