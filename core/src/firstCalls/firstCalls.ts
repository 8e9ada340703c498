import type { CallScript } from '../call';
import { clockReading, dayAt, readDate, wallTime } from '../hours';
import { findSheet, type Attendant, type Names } from '../line';
import { describeMoment, findWays, momentKinds, placeOfTurn, type MomentKind, type Turn, type Way } from '../paths';
import { spokenFacts } from '../call';
import { sheetSentences, withoutClips } from '../speech';
import { beginHeard, endHeard, keysToPress, ringNumber } from './words/en';

/** One line of the checklist that is made from a version: what to do on the real line, and what should be heard. */
export interface FirstCall {
  /** Tells lines apart within a version. */
  readonly id: string;
  /** What it belongs to, such as "Open" or "Christmas". */
  readonly part: string;
  /** By the line's clock, such as `2026-12-24T10:00`, where the clock has to be pretended; null for now. */
  readonly reading: string | null;
  /** Keys to press after ringing, in their order; empty for only ringing. */
  readonly keys: string;
  /** What to do, as a sentence. */
  readonly does: string;
  /** What should be heard or happen, as a sentence. */
  readonly hears: string;
}

const mostOfOpening = 40;
const monthDays = 31;
/** Keys after more keys than this are left to the rehearsals. */
const deepest = 2;

/**
 * The checklist of a version that goes on air: ring the number; each key of what answers now; then what answers at each
 * other kind of moment, and on each special date of the coming month.
 */
export function firstCalls(script: CallScript, nowMs: number, names: Names): readonly FirstCall[] {
  const line = script.lines.find(({ id }) => id === script.lineId);
  if (!line) return [];
  const { timeZone, attendant, number } = line;
  const last = (readDate(dayAt(nowMs, timeZone)) ?? 0) + monthDays;
  const kinds = momentKinds(script, nowMs).filter(
    ({ callerListId, specialId, atMs }) =>
      callerListId === null && (specialId === null || wallTime(timeZone, atMs).day <= last),
  );
  const ordered = [...kinds].sort((one, other) => rank(one) - rank(other));
  /** Menus and queues whose keys are in the list already: at other moments they do the same. */
  const gone = new Set<string>();
  return ordered.flatMap((kind): readonly FirstCall[] => {
    const isNow = kind.atMs - nowMs < 60_000;
    const { ways } = findWays(script, { atMs: kind.atMs, answer: kind.answer, once: true });
    const isListed = (way: Way): boolean =>
      turnsOf(way, ways).every(({ type }) => type !== 'queueFull') &&
      (!way.turn || (depthOf(way, ways) <= deepest && !gone.has(placeOfTurn(way.turn))));
    // Nobody fills a queue for a first call.
    const listed = ways.filter(isListed);
    for (const { turn } of listed) if (turn) gone.add(placeOfTurn(turn));
    return listed.map((way): FirstCall => {
      const turns = turnsOf(way, ways);
      const isBeginning = way.parent === null;
      return {
        id: [kind.key, ...turns.map((turn) => `${placeOfTurn(turn)} ${'key' in turn ? turn.key : turn.type}`)].join(
          ' | ',
        ),
        part: describeMoment(kind, names),
        reading: isNow ? null : clockReading(kind.atMs, timeZone).slice(0, 16),
        keys: turns.flatMap((turn) => ('key' in turn ? [turn.key] : [])).join(''),
        does: isBeginning ? ringNumber(number) : keysToPress(turns.map((turn) => turnText(turn, attendant))),
        hears: isBeginning ? beginHeard(openingOf(script, kind, way)) : endHeard(way, attendant, names),
      };
    });
  });
}

/** What answers in the first period comes first, special dates last. */
function rank({ slot, specialId }: MomentKind): number {
  if (specialId) return 2;
  return slot.type === 'period' ? 0 : 1;
}

function depthOf(way: Way, ways: readonly Way[]): number {
  const parent = way.parent === null ? undefined : ways[way.parent];
  return parent ? depthOf(parent, ways) + 1 : 0;
}

function turnsOf(way: Way, ways: readonly Way[]): readonly Turn[] {
  const parent = way.parent === null ? undefined : ways[way.parent];
  const before = parent ? turnsOf(parent, ways) : [];
  return way.turn ? [...before, way.turn] : before;
}

function turnText(turn: Turn, attendant: Attendant): string {
  if (turn.type === 'key') return turn.key;
  if (turn.type === 'exitKey') return `${turn.key} while you wait`;
  if (turn.type === 'queueFull') return '';
  const menu = findSheet(attendant, turn.sheetId);
  if (menu?.type !== 'menu') return '';
  return turn.type === 'silence' ? 'nothing' : `a key without a use, ${menu.wrongKeys} times`;
}

/** The first words that are heard. */
function openingOf(script: CallScript, { atMs }: MomentKind, way: Way): string {
  const line = script.lines.find(({ id }) => id === script.lineId);
  const said = way.stretches.find((stretch) => stretch.type === 'words');
  if (said?.type === 'words') return shorten(said.text);
  if (!line || way.end.type !== 'menu') return '';
  const sheet = findSheet(line.attendant, way.end.sheetId);
  const [first] = sheet
    ? sheetSentences(sheet, line.attendant.voice, withoutClips(spokenFacts(script, line, atMs)))
    : [];
  return shorten(first?.text ?? '');
}

function shorten(words: string): string {
  const short = words.split(/\s+/).slice(0, mostOfOpening).join(' ');
  return short.length < words.length ? `${short} …` : short;
}

/** Whether somebody has gone through a line of the checklist, and how it went. */
export const firstCallStates = ['right', 'wrong'] as const;
export type FirstCallState = (typeof firstCallStates)[number];
