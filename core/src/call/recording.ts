import { callLimits } from './defaults';
import { note, type Run } from './run';
import type { Recording } from './state';

/** Stops recording; the message is kept unless it is too short to be one. */
export function stopRecording(run: Run, { recordingId, timerId, sinceMs, boxId }: Recording): void {
  const lengthMs = run.atMs - sinceMs;
  const kept = lengthMs >= callLimits.shortestMessageMs;
  run.effects.push({ type: 'stopTimer', timerId });
  run.effects.push({ type: 'stopRecording', recordingId, keepIn: kept ? boxId : null });
  note(run, { type: 'message', boxId, lengthMs, kept });
}
