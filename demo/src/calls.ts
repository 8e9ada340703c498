import {
  answeredBy,
  itemMs,
  outcomeOf,
  transcriptOf,
  type CallEffect,
  type CallScript,
  type TranscriptEntry,
} from '@locutor/core/call';
import {
  callId,
  simulate,
  type CallerAct,
  type CallId,
  type SimulatedCaller,
  type StaffAct,
} from '@locutor/core/exchange';
import { dayAt, instantOf, type TimeZone } from '@locutor/core/hours';
import type { Key } from '@locutor/core/line';
import { chanceFrom, exponential } from '@locutor/core/traffic';

/** A call of the log that is made up. */
export interface MadeCall {
  readonly id: CallId;
  readonly callerNumber: string;
  readonly startedAt: number;
  readonly transcript: readonly TranscriptEntry[];
}

const seed = 5_550_140;
const dayMs = 86_400_000;
const callsOnAWeekday = 24;
/** From Sunday: how much of a usual day's calls come. */
const weekdayShare = [0.2, 1.3, 1, 1, 1, 1.1, 0.5] as const;
/** By month: quiet in winter, the rush of the launches in April and May, a busy summer. */
const monthShare = [0.6, 0.6, 0.9, 2, 2.2, 1.6, 1.5, 1.4, 1.2, 1.1, 0.7, 0.6] as const;
/** By hour of the day. */
const hourShare = [1, 0, 0, 0, 0, 1, 3, 12, 30, 40, 38, 30, 18, 26, 32, 28, 20, 8, 4, 3, 3, 2, 2, 1] as const;
const stormShare = 0.03;
/** How many more call when a storm blows. */
const stormTimes = 2.6;
/** The launches are in April and May, and on Saturdays everybody wants a date at once, in the morning. */
const springMonths: readonly number[] = [3, 4];
const rushShare = 1.5;
const rushHourShare = [...Array<number>(8).fill(0), 34, 36, 26, 20, 4, 3, 2] as const;
/** When visitors from Quebec come. */
const summerMonths: readonly number[] = [5, 6, 7, 8];

type Chance = () => number;

/** A line's calls, and what shapes them. */
export interface CallsToMake {
  /** What was on air on a day. */
  readonly scriptOn: (day: string) => CallScript;
  /** Of all callers, how many hang up while the greeting is said. */
  readonly hangUpsOn: (day: string) => number;
  readonly timeZone: TimeZone;
  /** The moment before which they are. */
  readonly beforeMs: number;
  readonly days: number;
  readonly name: string;
  /** How many call, beside the boatyard's main line. */
  readonly share: number;
}

/** Made-up calls to a line in the days before a moment: the same ones for the same moment. */
export function makeCalls(line: CallsToMake): MadeCall[] {
  const { timeZone, beforeMs, days, name } = line;
  return Array.from({ length: days }, (_, index) => {
    const day = dayAt(beforeMs - (days - index) * dayMs, timeZone);
    return callsOfDay(line, day, chanceFrom(seedOf(name) + index * 7919), `${name}${index}`);
  }).flat();
}

/** Each line has days of its own. */
function seedOf(name: string): number {
  return [...name].reduce((sum, letter) => sum * 31 + letter.charCodeAt(0), seed);
}

function callsOfDay(line: CallsToMake, day: string, chance: Chance, name: string): MadeCall[] {
  const { timeZone, share } = line;
  const date = new Date(`${day}T12:00:00Z`);
  const isStorm = chance() < stormShare;
  const isSpring = springMonths.includes(date.getUTCMonth());
  const isRush = isSpring && date.getUTCDay() === 6;
  const ofWeekday = isRush ? rushShare : (weekdayShare[date.getUTCDay()] ?? 1);
  const usual = callsOnAWeekday * share * ofWeekday * (monthShare[date.getUTCMonth()] ?? 1);
  const count = Math.round(usual * (0.75 + 0.5 * chance()) * (isStorm ? stormTimes : 1));
  const mood = { isStorm, isRush, isSummer: summerMonths.includes(date.getUTCMonth()), hangUps: line.hangUpsOn(day) };
  const callers = Array.from({ length: count }, (_, index): SimulatedCaller => {
    const minutes = Math.floor(60 * chance());
    const reading = `${day}T${String(hourOf(chance, isRush)).padStart(2, '0')}:${String(minutes).padStart(2, '0')}`;
    return {
      callId: callId.create(`${name}-${index}`),
      atMs: instantOf(reading, timeZone) + Math.floor(60_000 * chance()),
      callerNumber: numberOf(chance),
      acts: actsOf(chance, mood),
    };
  });
  return heardCalls(line.scriptOn(day), callers, () => staffAct(chance));
}

/** Runs the day's calls, which share the staff, and keeps what each heard and did. */
function heardCalls(script: CallScript, callers: readonly SimulatedCaller[], staff: () => StaffAct): MadeCall[] {
  const transcripts = new Map<CallId, TranscriptEntry[]>();
  const playing = new Map<CallId, number>();
  simulate({
    script,
    callers,
    staff,
    watch: (_, { effects, atMs }) => {
      for (const each of effects) {
        if (each.type !== 'forCall') continue;
        const before = transcripts.get(each.callId) ?? [];
        if (each.effect.type === 'play') playing.set(each.callId, each.effect.playId);
        const isStopped = each.effect.type === 'stopPlaying' && playing.get(each.callId) === each.effect.playId;
        const heard = isStopped ? before.filter((entry) => entry.atMs <= atMs) : before;
        transcripts.set(each.callId, [...heard, ...timed(each.effect, atMs)]);
      }
    },
  });
  return callers.flatMap(({ callId: id, callerNumber, atMs }) => {
    const transcript = transcripts.get(id) ?? [];
    return outcomeOf(transcript) ? [{ id, callerNumber, startedAt: atMs, transcript }] : [];
  });
}

/** Sentences are heard one after the other, not all when the line begins to say them. */
function timed(effect: CallEffect, atMs: number): TranscriptEntry[] {
  if (effect.type !== 'play') return [...transcriptOf([effect], atMs)];
  let ms = atMs;
  return effect.items.flatMap((item) => {
    const entries = transcriptOf([{ ...effect, items: [item] }], ms);
    ms += itemMs(item);
    return entries;
  });
}

function hourOf(chance: Chance, isRush: boolean): number {
  const shares: readonly number[] = isRush ? rushHourShare : hourShare;
  const all = shares.reduce((sum, each) => sum + each, 0);
  let left = chance() * all;
  const hour = shares.findIndex((each) => (left -= each) < 0);
  return Math.max(0, hour);
}

function numberOf(chance: Chance): string {
  const kind = chance();
  if (kind < 0.04) return 'anonymous';
  // Nuisance callers, slip holders, and everybody else.
  if (kind < 0.055) return `+120755501${chance() < 0.5 ? 98 : 99}`;
  if (kind < 0.13) return `+120755501${71 + Math.floor(chance() * 18)}`;
  return `+120755501${String(Math.floor(chance() * 40)).padStart(2, '0')}`;
}

/** What callers press, and how often of a hundred. */
const choices: readonly (readonly [number, readonly Key[]])[] = [
  [28, ['1']],
  [12, ['2', '1', '1']],
  [7, ['2', '2']],
  [4, ['2', '3']],
  [15, ['3']],
  [12, ['0']],
  [7, ['4']],
  [5, ['5']],
  [1, ['2', '9']],
  [1, ['2', '1', '9']],
  [1, ['2', '1', '2']],
  [1, ['*']],
  [9, []],
];

/** What a day is like. */
interface Mood {
  readonly isStorm: boolean;
  readonly isRush: boolean;
  readonly isSummer: boolean;
  readonly hangUps: number;
}

const askForADate: readonly Key[] = ['2', '1', '1'];

/** What somebody wants, on such a day. */
function wantedOn(chance: Chance, { isStorm, isRush, isSummer }: Mood): readonly Key[] {
  if (isStorm && chance() < 0.35) return ['*'];
  if (isRush && chance() < 0.6) return askForADate;
  if (isSummer && chance() < 0.04) return ['9'];
  let left = chance() * 100;
  return choices.find(([share]) => (left -= share) < 0)?.[1] ?? [];
}

/** Keys at a human pace, and patience that ends; some hang up in the long greeting. */
function actsOf(chance: Chance, mood: Mood): CallerAct[] {
  if (chance() < mood.hangUps) return [{ type: 'hangUp', afterMs: 2000 + Math.round(18_000 * chance()) }];
  const keys = wantedOn(chance, mood);
  let afterMs = 4000 + 16_000 * chance();
  const presses = keys.map((key): CallerAct => {
    const press = { type: 'press' as const, key, afterMs: Math.round(afterMs) };
    afterMs += 7000 + 5000 * chance();
    return press;
  });
  return [...presses, { type: 'hangUp', afterMs: Math.round(afterMs + 45_000 + exponential(chance, 240_000)) }];
}

function staffAct(chance: Chance): StaffAct {
  const luck = chance();
  if (luck < 0.72)
    return {
      type: 'answer',
      afterMs: 3000 + Math.round(9000 * chance()),
      talkMs: 20_000 + Math.round(exponential(chance, 110_000)),
    };
  return luck < 0.8 ? { type: 'busy' } : { type: 'noAnswer' };
}

/** Who answered, as the log names them. */
export function answeredByOf(transcript: readonly TranscriptEntry[]): string | null {
  const phone = answeredBy(transcript);
  return phone && (phone.type === 'person' ? phone.personId : (phone.contactId ?? phone.number));
}
