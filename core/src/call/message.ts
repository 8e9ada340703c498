import type { Box, Tell } from '../directory';
import { callLimits } from './limits';
import { newId, note, play, sayThen, setPhase, startTimer, stopTimer, type Run } from './run';
import type { BoxGreeting, Recording } from './state';
import { boxItems, lineItems, phrases } from './words';

/** Says the box's greeting and beeps. What is null is as the box says. */
export function greetForMessage(
  run: Run,
  box: Box,
  { beep, tell }: { readonly beep: boolean | null; readonly tell: readonly Tell[] | null },
): void {
  const items = boxItems(run, box, beep ?? box.beep);
  setPhase(run, { type: 'boxGreeting', playId: play(run, items), boxId: box.id, tell: tell ?? box.tell });
}

/** Records what the caller says, until they press #, hang up, or the box's limit is reached. */
export function beginMessage(run: Run, { boxId, tell }: Pick<BoxGreeting, 'boxId' | 'tell'>): void {
  const recordingId = newId(run);
  run.effects.push({ type: 'startRecording', recordingId });
  const timerId = startTimer(run, (run.ready.boxes.get(boxId)?.longestMessageSeconds ?? 0) * 1000);
  note(run, { type: 'recording', boxId });
  setPhase(run, { type: 'recording', boxId, tell, recordingId, timerId, sinceMs: run.atMs });
}

/** Keeps the message, thanks the caller and hangs up. */
export function finishMessage(run: Run, recording: Recording): void {
  stopMessage(run, recording);
  sayThen(run, lineItems(run, phrases(run).messageTaken), { type: 'end', reason: 'messageTaken' });
}

/** Stops recording; the message is kept unless it is too short to be one. */
export function stopMessage(run: Run, { recordingId, timerId, sinceMs, boxId, tell }: Recording): void {
  const lengthMs = run.atMs - sinceMs;
  const kept = lengthMs >= callLimits.shortestMessageMs;
  stopTimer(run, timerId);
  run.effects.push({ type: 'stopRecording', recordingId, keepIn: kept ? boxId : null, tell: kept ? tell : [] });
  note(run, { type: 'message', boxId, lengthMs, kept });
}
