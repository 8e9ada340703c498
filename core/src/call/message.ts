import type { Box, BoxId } from '../directory';
import { stopRecording } from './recording';
import { newId, note, play, sayThen, setPhase, startTimer, type Run } from './run';
import type { Recording } from './state';
import { boxItems, phraseItems } from './words';

/** Says the box's greeting and beeps. */
export function greetForMessage(run: Run, box: Box): void {
  const playId = play(run, boxItems(run.script, box));
  setPhase(run, { type: 'boxGreeting', playId, boxId: box.id });
}

/** Records what the caller says, until they press #, hang up, or the box's limit is reached. */
export function beginRecording(run: Run, boxId: BoxId): void {
  const box = run.script.boxes.find((each) => each.id === boxId);
  const recordingId = newId(run, 'recording');
  run.effects.push({ type: 'startRecording', recordingId });
  const timerId = startTimer(run, (box?.longestMessageSeconds ?? 0) * 1000);
  note(run, { type: 'recording', boxId });
  setPhase(run, { type: 'recording', boxId, recordingId, timerId, sinceMs: run.atMs });
}

/** Keeps the message, thanks the caller and hangs up. */
export function finishMessage(run: Run, recording: Recording): void {
  stopRecording(run, recording);
  sayThen(run, phraseItems(run.script, 'messageTaken'), { type: 'end', reason: 'messageTaken' });
}
