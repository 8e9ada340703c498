import type { Weekday } from '../../hours';
import { hourPattern, minutePattern, numberOf } from './numbers';

/** When something opens or closes, as words say it. */
export interface TimesSaid {
  /** Null where only the end is said. */
  readonly start: ClockTime | null;
  /** Null where only the beginning is said. */
  readonly end: ClockTime | null;
  /** The weekdays it is said for; empty where none are named. */
  readonly days: readonly Weekday[];
  /** The words themselves, with the days. */
  readonly words: string;
}

export interface ClockTime {
  /** Minutes after midnight; of the morning where `isEither`. */
  readonly minute: number;
  /** Whether morning or afternoon was left open, as in "eight". */
  readonly isEither: boolean;
}

const ofDay = '(?:\\s+(?:in the (?:morning|afternoon|evening)|at night))?';
const half = '\\s*(?:[ap]\\.?m\\b\\.?|o.clock)?';
const time = `(?:(?:half past|(?:a\\s+)?quarter past|(?:a\\s+)?quarter to)\\s+${hourPattern}${ofDay}|noon|midnight|${hourPattern}(?::\\d{2}|\\.\\d{2}|\\s+(?:${minutePattern}))?(?:${half})${ofDay})(?![\\w%$])`;
const dayName = '(?:mon|tues|wednes|thurs|fri|satur|sun)day';
const dayRange = `${dayName}s?(?:\\s*(?:to|through|till|until|[-–])\\s*${dayName}s?|(?:,\\s*${dayName}s?)*,?\\s+and\\s+${dayName}s?)?|weekdays|every day|daily`;
const days = `(?:(?:on\\s+)?(${dayRange}),?\\s+(?:from\\s+)?)?`;
const after = `(?:,?\\s+(?:on\\s+)?(${dayRange}))?`;
const range = new RegExp(`\\b${days}(${time})\\s*(?:to|through|until|till|[-–])\\s*(${time})${after}`, 'giu');
const opens = new RegExp(`\\b(?:opens?|reopens?)(?:\\s+again)?\\s+(?:at|from)\\s+(${time})`, 'giu');
const closes = new RegExp(`\\b(?:closes?|open until|open till|until)\\s+(?:at\\s+)?(${time})`, 'giu');

/** What English words say of opening and closing times. */
export function timesSaid(words: string): readonly TimesSaid[] {
  const found: TimesSaid[] = [];
  let rest = words;
  for (const match of words.matchAll(range)) {
    const [all, before, start = '', end = '', behind] = match;
    const [from, to] = [readClock(start), readClock(end)];
    const days = readDays(before ?? behind ?? '');
    if (!from || !to || isOfOther(words, match.index + all.length) || !isOfOpening(words, match.index, all)) continue;
    if (days.length === 0 && !isTime(start) && !isTime(end) && !saysHours.test(words.slice(0, match.index))) continue;
    found.push({ start: from, end: to, days, words: all.trim() });
    rest = rest.replace(all, ' ');
  }
  for (const [pattern, part] of [[opens, 'start'] as const, [closes, 'end'] as const]) {
    for (const match of rest.matchAll(pattern)) {
      const clock = readClock(match[1] ?? '');
      if (!clock || isOfOther(rest, match.index + match[0].length) || isOfPlace(rest, match.index)) continue;
      found.push({ start: null, end: null, [part]: clock, days: [], words: match[0].trim() });
    }
  }
  return found;
}

/** Whether something else than the business is said to open or close, such as the car park. */
function isOfPlace(words: string, at: number): boolean {
  return /\b(?:car\s+park|parking(?:\s+(?:lot|garage))?|lot|gates?|path|road|street|bridge|elevator|lift|river|park|station|museum|caf[ée]|bakery|restrooms?|toilets?|post\s+office|next\s+door)\s*$/iu.test(
    words.slice(0, at),
  );
}

/** Times of something else than being there, such as when snow is cleared. */
function isOfOpening(words: string, at: number, all: string): boolean {
  const before =
    words
      .slice(0, at)
      .split(/[.!?\n]/u)
      .at(-1) ?? '';
  return /\b(?:open(?:s|ed|ing)?|clos(?:e|es|ed|ing)|hours?|we|us|our|office|staffed|available|answer(?:s|ed)?|reach(?:ed)?|here|call|phones?|desk|lunch|counter|dock|store|shop|clinic|reception|(?:mon|tues|wednes|thurs|fri|satur|sun)days?|weekdays|daily|every day)\b/iu.test(
    `${before} ${all}`,
  );
}

/** Bare numbers can be of anything: "two to four minutes". */
function isOfOther(words: string, at: number): boolean {
  return /^[\s-]*(?:more\s+)?(?:minutes?|hours?|seconds?|feet|foot|days?|weeks?|months?|years?|people|boats?|percent|times?)\b/iu.test(
    words.slice(at),
  );
}

function isTime(text: string): boolean {
  return /[:.]\d\d|[ap]\.?m|o.clock|noon|midnight|past|quarter/iu.test(text);
}

/** What is said before bare numbers when they are times. */
const saysHours = /\b(?:open|hours|staffed|available|answered|here)\b[^.!?]*$/iu;

function readClock(text: string): ClockTime | undefined {
  const part = /\s+(?:in the (morning|afternoon|evening)|at (night))$/iu.exec(text.trim());
  if (part) return ofPart(readClock(text.trim().slice(0, part.index)), part[1] ?? part[2] ?? '');
  const plain = text.trim().toLowerCase().replace(/^a\s+/, '');
  if (plain === 'noon') return { minute: 720, isEither: false };
  if (plain === 'midnight') return { minute: 0, isEither: false };
  const past = /^(half past|quarter past|quarter to)\s+(\S+)$/.exec(plain);
  if (past) {
    const hour = numberOf(past[2] ?? '');
    const more = past[1] === 'half past' ? 30 : past[1] === 'quarter past' ? 15 : -15;
    return hour === undefined ? undefined : either(hour * 60 + more);
  }
  const parts = /^([a-z]+|\d{1,2})(?:[:.](\d{2})|\s+([a-z-]+?))??\s*(a\.?m\.?|p\.?m\.?|o.clock)?$/.exec(plain);
  const hour = numberOf(parts?.[1] ?? '');
  if (!parts || hour === undefined || hour > 24) return undefined;
  const minute = hour * 60 + (parts[2] ? Number(parts[2]) : parts[3] ? (numberOf(parts[3]) ?? 0) : 0);
  if (parts[4]?.startsWith('a')) return { minute: minute % 720, isEither: false };
  if (parts[4]?.startsWith('p')) return { minute: (minute % 720) + 720, isEither: false };
  return hour > 12 || hour === 0 ? { minute, isEither: false } : either(minute);
}

/** Five in the afternoon is no morning hour; at night is either side of midnight. */
function ofPart(clock: ClockTime | undefined, part: string): ClockTime | undefined {
  if (!clock) return undefined;
  const early = clock.minute % 720;
  const isLate = part === 'night' ? early >= 360 : part !== 'morning';
  return { minute: isLate ? early + 720 : early, isEither: false };
}

function either(minute: number): ClockTime {
  return { minute: (minute + 720) % 720, isEither: true };
}

const starts = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];

function readDays(text: string): readonly Weekday[] {
  const plain = text.toLowerCase();
  if (plain === '') return [];
  if (/every day|daily/.test(plain)) return [1, 2, 3, 4, 5, 6, 7];
  if (plain.startsWith('weekdays')) return [1, 2, 3, 4, 5];
  const named = (plain.match(/[a-z]+day/g) ?? []).map((name) => starts.indexOf(name.slice(0, 3)) + 1);
  const [from, to] = named;
  if (named.length !== 2 || from === undefined || to === undefined || / and |,/.test(plain)) return named as Weekday[];
  const length = ((to - from + 7) % 7) + 1;
  return Array.from({ length }, (_, index) => (((from - 1 + index) % 7) + 1) as Weekday);
}
