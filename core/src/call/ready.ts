import type { Box, CallerList, Group, Person, Queue } from '../directory';
import { isInList, mayCall, type OutgoingLimits } from '../directory';
import type { Hours } from '../hours';
import { answersAt, hoursId, nextBoundary, nextTurn, type Answer, type Switch } from '../hours';
import {
  type Attendant,
  languageOf,
  textKey,
  type TextRecording,
  type Greeting,
  type Key,
  type LineId,
  type NamedPathId,
  type Path,
  type Sheet,
  hasLiveParts,
  isRuleAt,
  pathAt,
  saidHours,
  slotKey,
  type RecordedTake,
  type SheetId,
  type Slot,
  type VoiceId,
  usableSwitch,
} from '../line';
import {
  englishClockOf,
  type EnglishClock,
  asSentences,
  outOfStep,
  plainSentences,
  recordedSentence,
  saysOfWords,
  sentencesOf,
  sheetSentences,
  type PlainSentence,
  type Source,
  type SpokenFacts,
} from '../speech';
import { asItems } from './items';
import type { PlayItem } from './effect';
import type { CallScript, LineScript } from './script';
import { recordingsOf } from './textRecordings';

/** A sheet made ready: everything a call asks of it is found at once. */
export interface ReadySheet {
  readonly sheet: Sheet;
  readonly voice: VoiceId;
  /** What it says; null where that depends on the moment or on the directory. */
  readonly items: readonly PlayItem[] | null;
  readonly options: ReadonlyMap<Key, Path>;
}

export interface ReadyLine {
  readonly script: LineScript;
  readonly sheets: ReadonlyMap<SheetId, ReadySheet>;
  readonly named: ReadonlyMap<NamedPathId, Path>;
  /** The switch, where this attendant can follow it. */
  readonly switched: Switch | null;
  /** The hours that greetings speak of: as the switch makes them. */
  readonly hours: Hours;
  readonly clock: EnglishClock;
  /** The answer for callers of no list, and until when it holds. */
  answer: { readonly fromMs: number; readonly untilMs: number; readonly is: Answer } | null;
}

/** Whom an extension rings. */
export type Dialable =
  | { readonly type: 'person'; readonly person: Person }
  | { readonly type: 'group'; readonly group: Group }
  | { readonly type: 'queue'; readonly queue: Queue };

/** Words in a voice, cut into sentences; and as they are said in each place that says them. */
interface SaidWords {
  readonly plain: readonly PlainSentence[];
  readonly items: Map<string, readonly PlayItem[]>;
}

/** A script made ready for calls. What it remembers follows from the script alone, so calls stay pure. */
export interface Ready {
  readonly lines: ReadonlyMap<LineId, ReadyLine>;
  readonly people: ReadonlyMap<string, Person>;
  readonly groups: ReadonlyMap<string, Group>;
  readonly queues: ReadonlyMap<string, Queue>;
  readonly byExtension: ReadonlyMap<string, Dialable>;
  /** Everything that a longer extension begins with. */
  readonly beginnings: ReadonlySet<string>;
  readonly longestExtension: number;
  readonly boxes: ReadonlyMap<string, Box>;
  readonly boxByOwner: ReadonlyMap<string, Box>;
  readonly greetings: ReadonlyMap<string, Greeting>;
  readonly hours: ReadonlyMap<string, Hours>;
  readonly blocked: readonly CallerList[];
  /** What a step, a menu or a box says in words without live parts; cutting them takes much longer than looking them up. */
  readonly said: Map<VoiceId, Map<string, SaidWords>>;
  readonly takes: ReadonlyMap<string, RecordedTake>;
  /** The recordings of texts, by `textKey`; only those that are heard. */
  readonly recordings: ReadonlyMap<string, TextRecording>;
  readonly phrases: Map<VoiceId, Map<string, readonly PlayItem[]>>;
  /** What words with live parts said lately, by what they are and by when it stops to be so. */
  readonly live: Map<string, Map<number, readonly PlayItem[]>>;
}

const known = new WeakMap<CallScript, Ready>();

/** Makes a script ready, once. */
export function readyOf(script: CallScript): Ready {
  let ready = known.get(script);
  if (!ready) known.set(script, (ready = makeReady(script)));
  return ready;
}

function makeReady(script: CallScript): Ready {
  const byExtension = extensionsOf(script);
  const extensions = byExtension.map(([extension]) => extension);
  const byOwner = script.boxes.flatMap((box) => (box.ownerId ? [[box.ownerId, box] as const] : []));
  return {
    lines: new Map(script.lines.map((line) => [line.id, makeLineReady(line)])),
    people: byId(script.people.map((person) => callable(person, script.outgoing))),
    groups: byId(script.groups),
    queues: byId(script.queues),
    byExtension: new Map(byExtension.reverse()),
    beginnings: new Set(extensions.flatMap((extension) => beginningsOf(extension))),
    longestExtension: Math.max(0, ...extensions.map((extension) => extension.length)),
    boxes: byId(script.boxes),
    boxByOwner: new Map(byOwner.reverse()),
    greetings: byId(script.greetings),
    takes: byId(script.takes),
    recordings: recordingsOf(script.recordings),
    hours: byId(script.hours),
    blocked: script.callerLists.filter(({ kind }) => kind === 'blocked'),
    said: new Map(),
    phrases: new Map(),
    live: new Map(),
  };
}

/** Somebody with those of their phones that may be called. */
function callable(person: Person, limits: OutgoingLimits): Person {
  const phones = person.phones.filter((phone) => phone.type === 'desk' || mayCall(phone.number, limits));
  return phones.length === person.phones.length ? person : { ...person, phones };
}

function extensionsOf({ people, groups, queues }: CallScript): (readonly [string, Dialable])[] {
  return [
    ...people.map((person) => [person.extension, { type: 'person', person }] as const),
    ...groups.map((group) => [group.extension, { type: 'group', group }] as const),
    ...queues.map((queue) => [queue.extension, { type: 'queue', queue }] as const),
  ].filter(([extension]) => extension !== '');
}

function byId<Item extends { readonly id: string }>(items: readonly Item[]): ReadonlyMap<string, Item> {
  return new Map(items.map((item) => [item.id, item]));
}

function beginningsOf(extension: string): readonly string[] {
  return Array.from({ length: extension.length - 1 }, (_, index) => extension.slice(0, index + 1));
}

const linesKnown = new WeakMap<Attendant, { readonly script: LineScript; readonly ready: ReadyLine }>();

function makeLineReady(script: LineScript): ReadyLine {
  const { attendant } = script;
  const clock = englishClockOf(script);
  const before = linesKnown.get(attendant);
  if (before && before.script.hours === script.hours && before.script.timeZone === script.timeZone) {
    if (before.script.switched === script.switched) return { ...before.ready, script, clock };
  }
  const switched = usableSwitch(attendant, script.switched);
  const ready: ReadyLine = {
    script,
    sheets: new Map(attendant.sheets.map((sheet) => [sheet.id, readySheet(sheet, attendant.voice)])),
    named: new Map(attendant.paths.map(({ id, steps }) => [id, steps])),
    switched,
    hours: saidHours(script, script.attendant),
    clock,
    answer: null,
  };
  linesKnown.set(attendant, { script, ready });
  return ready;
}

const sheetsKnown = new WeakMap<Sheet, ReadySheet>();

/** Sheets that an edit left alone need not be made ready again. */
function readySheet(sheet: Sheet, attendantVoice: VoiceId): ReadySheet {
  const before = sheetsKnown.get(sheet);
  const voice = sheet.voice ?? attendantVoice;
  if (before?.voice === voice) return before;
  const options = sheet.type === 'menu' ? sheet.options : [];
  const ready: ReadySheet = {
    sheet,
    voice,
    items: isSteady(sheet) ? asItems(sheetSentences(sheet, attendantVoice, noFacts)) : null,
    options: new Map(options.map(({ key, path }) => [key, path])),
  };
  sheetsKnown.set(sheet, ready);
  return ready;
}

/** Which line of the answering order wins for a caller at an instant. */
export function answerFor(line: ReadyLine, script: CallScript, callerNumber: string, atMs: number): Answer {
  const { rules } = line.script.attendant.answering;
  const lists = rules.flatMap((rule) => {
    const list = rule.type === 'callers' && script.callerLists.find(({ id }) => id === rule.callerListId);
    return list && isInList(list, callerNumber) ? [list.id] : [];
  });
  const { hours, timeZone } = line.script;
  const { switched } = line;
  if (lists.length > 0) return answersAt(rules, hours, timeZone, atMs, { callerLists: new Set(lists), switched });
  const { answer } = line;
  if (answer && atMs >= answer.fromMs && atMs < answer.untilMs) return answer.is;
  const is = answersAt(rules, hours, timeZone, atMs, { switched });
  line.answer = { fromMs: atMs, untilMs: nextTurn(hours, timeZone, atMs, switched), is };
  return is;
}

/** The steps at a slot of a line. */
export function stepsAt({ script, sheets, named }: ReadyLine, slot: Slot): Path {
  switch (slot.type) {
    case 'key':
      return sheets.get(slot.sheetId)?.options.get(slot.key) ?? [];
    case 'silence':
    case 'wrongKey':
    case 'after':
      return fallbackOf(sheets.get(slot.sheetId)?.sheet, slot.type);
    case 'named':
      return named.get(slot.pathId) ?? [];
    case 'group':
    case 'groupClosed':
    case 'queue':
    case 'switch':
      return pathAt(script.attendant, slot) ?? [];
    case 'otherwise':
      return script.attendant.answering.otherwise;
    case 'period':
    case 'callers':
    case 'special':
      return script.attendant.answering.rules.find((rule) => isRuleAt(rule, slot))?.path ?? [];
  }
}

function fallbackOf(sheet: Sheet | undefined, which: 'silence' | 'wrongKey' | 'after'): Path {
  if (!sheet) return [];
  if (sheet.type === 'announcement') return which === 'after' ? sheet.afterPath : [];
  return which === 'silence' ? sheet.silencePath : which === 'wrongKey' ? sheet.wrongKeyPath : [];
}

/** Words as they are said in a voice, live parts saying what is so by the facts. */
export function saidItems(
  ready: Ready,
  words: string,
  voice: VoiceId,
  source: Source,
  facts: () => SpokenFacts,
): readonly PlayItem[] {
  const recorded = recordedItems(ready, words, voice, source, facts);
  if (recorded) return recorded;
  if (hasLiveParts(words)) {
    const so = facts();
    const make = (): readonly PlayItem[] => asItems(sentencesOf(words, voice, source, so));
    return liveItems(ready, `${voice} ${placeOf(source)} ${words}`, so, make);
  }
  const { plain, items } = saidWords(ready, words, voice);
  const place = placeOf(source);
  let said = items.get(place);
  if (!said) items.set(place, (said = asItems(asSentences(plain, voice, source))));
  return said;
}

/** The recording of these words, where there is one and it says what is so now. */
export function recordedItems(
  { recordings, takes }: Ready,
  words: string,
  voice: VoiceId,
  source: Source,
  facts: () => SpokenFacts,
): readonly PlayItem[] | undefined {
  if (recordings.size === 0) return undefined;
  const recording = recordings.get(textKey(languageOf(voice), words));
  const take = recording && takes.get(recording.take.takeId);
  if (!take) return undefined;
  const { live } = recording;
  const isSo =
    live.length === 0 || outOfStep({ words, options: [], live }, saysOfWords(words, voice, facts())).length === 0;
  return isSo ? asItems([recordedSentence(take, voice, source)]) : undefined;
}

/** Days of callers, and some to spare. */
const mostLive = 200;

/**
 * What words with live parts say at a moment. It is the same until the next moment at which a period of any hours that they may
 * speak of begins or ends, or a day does: there are few such stretches and many calls in each.
 *
 * @param what the words and where they are said, of this script
 */
export function liveItems(
  { hours, live }: Ready,
  what: string,
  facts: Pick<SpokenFacts, 'hours' | 'zone' | 'atMs'>,
  make: () => readonly PlayItem[],
): readonly PlayItem[] {
  let untilMs = nextBoundary(facts.hours, facts.zone, facts.atMs);
  for (const each of hours.values()) untilMs = Math.min(untilMs, nextBoundary(each, facts.zone, facts.atMs));
  let known = live.get(what);
  if (!known) live.set(what, (known = new Map()));
  let items = known.get(untilMs);
  if (!items) {
    if (known.size >= mostLive) known.clear();
    known.set(untilMs, (items = make()));
  }
  return items;
}

function saidWords({ said }: Ready, words: string, voice: VoiceId): SaidWords {
  let byWords = said.get(voice);
  if (!byWords) said.set(voice, (byWords = new Map()));
  let known = byWords.get(words);
  if (!known) byWords.set(words, (known = { plain: plainSentences(words, voice, noFacts), items: new Map() }));
  return known;
}

function placeOf(source: Source): string {
  switch (source.type) {
    case 'words':
      return `${source.sheetId} ${source.part}`;
    case 'option':
      return `${source.sheetId} ${source.key}`;
    case 'step':
      return `${slotKey(source.slot)} ${source.stepIndex}`;
    case 'box':
      return source.boxId;
    case 'group':
      return source.groupId;
    case 'queue':
      return source.queueId;
    case 'line':
      return '';
  }
}

/** Something the line says by itself, in the language of a voice. */
export function phraseItems(ready: Ready, voice: VoiceId, words: string): readonly PlayItem[] {
  const recorded = recordedItems(ready, words, voice, { type: 'line' }, () => noFacts);
  if (recorded) return recorded;
  let ofVoice = ready.phrases.get(voice);
  if (!ofVoice) ready.phrases.set(voice, (ofVoice = new Map()));
  let items = ofVoice.get(words);
  const plain = (): readonly PlainSentence[] => plainSentences(words, voice, noFacts);
  if (!items) ofVoice.set(words, (items = asItems(asSentences(plain(), voice, { type: 'line' }))));
  return items;
}

/** Whether a sheet says the same whenever and from whatever directory it is said. */
function isSteady(sheet: Sheet): boolean {
  const isHeardFromTakes =
    Object.keys(sheet.takes).length > 0 || (sheet.type === 'menu' && sheet.options.some(({ take }) => take));
  const words = sheet.type === 'menu' ? [sheet.openingWords, sheet.closingWords] : [sheet.words];
  return !isHeardFromTakes && !words.some(hasLiveParts);
}

/** For words in which nothing is live. */
const noFacts: SpokenFacts = {
  business: '',
  atMs: 0,
  zone: 'UTC',
  hours: { id: hoursId.create('none'), name: '', periods: [], week: [], datedWeeks: [], seasons: [], special: [] },
  hoursOf: () => undefined,
  personOf: () => undefined,
  takeOf: () => undefined,
};
