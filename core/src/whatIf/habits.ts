import type { QueueId } from '../directory';
import type { SheetId } from '../line';
import type { SeenWait, Visit, Who } from '../traffic';
import type { LoggedCaller, LoggedRing } from './loggedCaller';
import { learnWaiting, type WaitingModel } from './waiting';

/** How somebody's phone that rings ends, learned from how it did. */
export interface AnsweringHabit {
  readonly rings: number;
  /** Of all rings, how many are declined at once. */
  readonly declined: number;
  /** After how long they answer, in ms, ascending, with the share that has answered by then if it rings so long. */
  readonly answers: readonly { readonly afterMs: number; readonly share: number }[];
}

/** What callers and staff do, as the log tells it. */
export interface Habits {
  readonly callers: number;
  /** What was done in each sheet, by everybody who came there. */
  readonly visits: ReadonlyMap<SheetId, readonly Visit[]>;
  /** Talk times, ascending, by who answered or the group or queue that brought them, and of all. */
  readonly talks: ReadonlyMap<string, readonly number[]>;
  readonly allTalks: readonly number[];
  readonly inQueue: ReadonlyMap<QueueId, WaitingModel>;
  readonly inAnyQueue: WaitingModel;
  readonly whileRinging: WaitingModel;
  readonly answering: ReadonlyMap<Who, AnsweringHabit>;
  readonly anybody: AnsweringHabit;
  /** Of those who came to a box, how many left a message. */
  readonly leaveMessage: number;
}

/** Fewer rings tell nothing of one person: they are taken to be like all. */
const leastRings = 20;
/** Where nobody has come to a box yet. */
const usuallyLeaveMessage = 0.6;

export function learnHabits(callers: readonly LoggedCaller[]): Habits {
  const visits = new Map<SheetId, Visit[]>();
  const talks = new Map<string, number[]>();
  const allTalks: number[] = [];
  const waits = new Map<QueueId, SeenWait[]>();
  const ringing: SeenWait[] = [];
  const rings = new Map<Who, LoggedRing[]>();
  for (const caller of callers) {
    for (const visit of caller.visits) push(visits, visit.sheetId, visit);
    for (const { queueId, waitedMs, end } of caller.waits) push(waits, queueId, { waitedMs, gaveUp: end === 'hungUp' });
    for (const ring of caller.rings) push(rings, ring.who, ring);
    const seen = rangFor(caller);
    if (seen) ringing.push(seen);
    const answered = caller.rings.find(({ end }) => end === 'answered');
    if (!answered || caller.talkMs <= 0) continue;
    allTalks.push(caller.talkMs);
    push(talks, answered.who, caller.talkMs);
    if (answered.through) push(talks, answered.through, caller.talkMs);
  }
  for (const each of [allTalks, ...talks.values()]) each.sort((one, other) => one - other);
  const left = callers.filter(({ outcome }) => outcome === 'message').length;
  const atBox = left + callers.filter(({ outcome }) => outcome === 'noMessage').length;
  return {
    callers: callers.length,
    visits,
    talks,
    allTalks,
    inQueue: new Map([...waits].map(([queueId, of]) => [queueId, learnWaiting(of)])),
    inAnyQueue: learnWaiting([...waits.values()].flat()),
    whileRinging: learnWaiting(ringing),
    answering: new Map(
      [...rings].flatMap(([who, of]) => (of.length >= leastRings ? [[who, answeringOf(of)] as const] : [])),
    ),
    anybody: answeringOf([...rings.values()].flat()),
    leaveMessage: atBox > 0 ? left / atBox : usuallyLeaveMessage,
  };
}

/** How long a caller put up with ringing outside of queues: the longest that a phone rang for them. */
export function rangFor({ rings, waits, outcome }: LoggedCaller): SeenWait | undefined {
  const queues = new Set<string>(waits.map(({ queueId }) => queueId));
  const rang = rings.filter(({ through }) => through === null || !queues.has(through));
  if (rang.length === 0) return undefined;
  const gaveUp = outcome === 'gaveUpRinging';
  const last = rang.at(-1);
  const waitedMs = gaveUp && last ? last.forMs : Math.max(...rang.map(({ forMs }) => forMs));
  return { waitedMs, gaveUp };
}

/**
 * The product-limit estimate (E. L. Kaplan and P. Meier, 1958) of when somebody answers who does not decline: a phone that was
 * stopped, or rang to its end, would have rung at least so long.
 */
function answeringOf(rings: readonly LoggedRing[]): AnsweringHabit {
  const declined = rings.filter(({ end }) => end === 'declined').length;
  const sorted = rings.filter(({ end }) => end !== 'declined').sort((one, other) => one.forMs - other.forMs);
  const answers: { afterMs: number; share: number }[] = [];
  let still = 1;
  sorted.forEach(({ forMs, end }, index) => {
    if (end !== 'answered') return;
    still *= 1 - 1 / (sorted.length - index);
    answers.push({ afterMs: forMs, share: 1 - still });
  });
  return { rings: rings.length, declined, answers };
}

/** After how long they answer in one such ring; `declines`, or null for not at all. */
export function drawAnswer(habit: AnsweringHabit, declines: number, answers: number): number | 'declines' | null {
  if (habit.rings === 0) return usualAnswerMs;
  if (declines < habit.declined / habit.rings) return 'declines';
  // The first of those times by which so large a share has answered.
  let [low, high] = [0, habit.answers.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((habit.answers[middle]?.share ?? 1) > answers) high = middle;
    else low = middle + 1;
  }
  return habit.answers[low]?.afterMs ?? null;
}

/** Where nobody was ever rung. */
const usualAnswerMs = 8000;
/** Where nobody ever talked. */
const usualTalkMs = 120_000;

/** How long they talk, in ms, for a chance from 0 up to 1. */
export function drawTalk({ talks, allTalks }: Habits, withWhom: readonly string[], chance: number): number {
  const known = withWhom.map((each) => talks.get(each)).find((each) => (each?.length ?? 0) >= leastRings) ?? allTalks;
  return known[Math.floor(chance * known.length)] ?? usualTalkMs;
}

function push<Key, Each>(map: Map<Key, Each[]>, key: Key, each: Each): void {
  const of = map.get(key);
  if (of) of.push(each);
  else map.set(key, [each]);
}
