import type { Queue, QueueId, QueueReason } from '../directory';
import type { Key, Slot } from '../line';
import { closedReason, whenClosed } from './closed';
import type { PlayItem } from './effect';
import type { RungPhone } from './target';
import type { PlaceIs } from './event';
import { libraryItems, music } from './hold';
import { callLimits } from './limits';
import { newId, note, play, setPhase, startTimer, stopPlaying, stopTimer, type Run } from './run';
import type { InQueue, Next, Place, Queuing } from './state';
import { lineItems, phrases, wordsItems } from './words';

/** Asks the queue for a place; the exchange answers. */
export function enterQueue(run: Run, queueId: QueueId, place: Place | null): void {
  const waitId = newId(run);
  setPhase(run, { type: 'queuing', queueId, waitId, place, sinceMs: run.atMs });
  run.effects.push({ type: 'enterQueue', waitId, queueId });
}

/** There is a place: the words on entry, then what is heard while waiting. */
export function beginWait(run: Run, queuing: Queuing): void {
  const queue = queueOf(run, queuing.queueId);
  note(run, { type: 'queued', queueId: queuing.queueId });
  const timerId = startTimer(run, (queue?.longestWaitSeconds ?? 0) * 1000);
  // Written out: copies of what is told apart by its type are slow to make, and this is done for every caller.
  const { queueId, waitId, place, sinceMs } = queuing;
  const waiting = {
    type: 'inQueue',
    queueId,
    waitId,
    place,
    sinceMs,
    playId: 0,
    hears: 'entry',
    timerId,
    placeTimerId: null,
  } as const;
  const words = queue ? wordsItems(run, queue.entryWords, { type: 'queue', queueId: queue.id }) : [];
  if (words.length > 0) setPhase(run, { ...waiting, playId: play(run, words) });
  else waitOn(run, waiting);
}

/** Something was heard to its end: the place is said first, then the loop goes round. */
export function waitOn(run: Run, waiting: InQueue): void {
  const queue = queueOf(run, waiting.queueId);
  if (waiting.hears === 'entry' && queue && queue.placeEverySeconds !== null) askPlace(run, waiting);
  else setPhase(run, { ...waiting, playId: play(run, loopItems(run, queue)), hears: 'loop' });
}

/** Time to say the place; asked of the exchange, which answers with `placeIs`. */
export function askPlace(run: Run, waiting: InQueue): void {
  const queue = queueOf(run, waiting.queueId);
  if (!queue || queue.placeEverySeconds === null) return;
  const placeTimerId = startTimer(run, queue.placeEverySeconds * 1000);
  setPhase(run, { ...waiting, placeTimerId });
  run.effects.push({ type: 'askPlace', waitId: waiting.waitId });
}

export function sayPlace(run: Run, waiting: InQueue, { place, expectedWaitMs }: PlaceIs): void {
  const queue = queueOf(run, waiting.queueId);
  if (!queue) return;
  const said = phrases(run);
  const words = [
    said.placeInLine(place),
    queue.saysExpectedWait ? said.expectedWait(Math.max(1, Math.round(expectedWaitMs / 60_000))) : '',
    queue.exitKey ? said.leaveQueue(queue.exitKey) : '',
  ].join(' ');
  if (waiting.hears === 'loop') stopPlaying(run, waiting.playId);
  note(run, { type: 'place', place, expectedWaitMs });
  setPhase(run, { ...waiting, playId: play(run, lineItems(run, words)), hears: 'place' });
}

/** The key that leaves the queue does so; others do nothing. */
export function takeQueueKey(run: Run, waiting: InQueue, key: Key): Next | undefined {
  if (queueOf(run, waiting.queueId)?.exitKey !== key) {
    note(run, { type: 'key', key, use: 'ignored' });
    return undefined;
  }
  note(run, { type: 'key', key, use: 'option' });
  run.state.turnsWithoutKey = 0;
  return leaveQueue(run, waiting, 'exitKey');
}

/** The queue did not connect the caller: its path for this reason, then what the script says. */
export function leaveQueue(
  run: Run,
  waiting: Queuing | InQueue,
  reason: Exclude<QueueReason, 'special'>,
): Next | undefined {
  const queue = queueOf(run, waiting.queueId);
  stopWaiting(run, waiting, reason === 'closed' && queue ? closedReason(run, queue) : reason);
  // The wait is over and told: a path that ends the call at once must not end it a second time.
  setPhase(run, { type: 'onward' });
  const { queueId, place } = waiting;
  const from = (why: QueueReason): Place => ({ slot: slotFor(queueId, why), stepIndex: 0, then: place });
  if (reason !== 'closed' || !queue) return { type: 'path', place: from(reason) };
  const onward: Next = { type: 'path', place: from('nobodyWorking') };
  return whenClosed(run, queue, { type: 'queue', queueId }, (why) => slotFor(queueId, why), onward);
}

const slotFor = (queueId: QueueId, reason: QueueReason): Slot => ({ type: 'queue', queueId, reason });

/** Ends the wait, whatever comes then. */
export function stopWaiting(run: Run, waiting: Queuing | InQueue, why: QueueReason | 'answered' | 'hungUp'): void {
  const { queueId, waitId, sinceMs } = waiting;
  if (waiting.type === 'inQueue') {
    stopPlaying(run, waiting.playId);
    stopTimer(run, waiting.timerId);
    stopTimer(run, waiting.placeTimerId);
  }
  run.effects.push({ type: 'leaveQueue', waitId });
  note(run, { type: 'leftQueue', queueId, why, waitedMs: run.atMs - sinceMs });
}

/** A member has taken the call. */
export function connectMember(run: Run, phone: RungPhone, holdGreetingId: Queue['holdGreetingId']): void {
  run.effects.push({ type: 'connect', phone });
  note(run, { type: 'answered', phone });
  const target = phone.type === 'person' ? ({ type: 'person', personId: phone.personId } as const) : phone;
  setPhase(run, { type: 'connected', target, holdGreetingId });
}

function loopItems(run: Run, queue: Queue | undefined): readonly PlayItem[] {
  const items = (queue?.waiting ?? []).flatMap((part): readonly PlayItem[] => {
    if (part.type === 'music') return [music(run, part.seconds * 1000)];
    if (part.type === 'greeting') return libraryItems(run, part.greetingId);
    return queue ? wordsItems(run, part.words, { type: 'queue', queueId: queue.id }) : [];
  });
  return items.length > 0 ? items : [music(run, callLimits.musicMs)];
}

function queueOf(run: Run, queueId: QueueId): Queue | undefined {
  return run.ready.queues.get(queueId);
}
