import { unreachable } from '../result';
import { stopMessage } from './message';
import { stopWaiting } from './queue';
import { stopRecorder } from './recorder';
import { note, setPhase, stopPlaying, stopTimer, type Run } from './run';
import type { EndReason } from './reasons';

/** Ends the call and stops whatever is playing, ringing, timed or recorded. A message under way is kept. */
export function endCall(run: Run, reason: EndReason): void {
  stopWhatGoesOn(run);
  stopCallRecording(run);
  stopTimer(run, run.state.callTimerId || null);
  note(run, { type: 'ended', reason });
  run.effects.push({ type: 'hangUp' });
  setPhase(run, { type: 'ended', reason });
}

/** Starts recording both sides, if that is not done already. */
export function startCallRecording(run: Run, recordingId: number): void {
  run.state.callRecordingId = recordingId;
  run.effects.push({ type: 'startCallRecording', recordingId });
  note(run, { type: 'callRecording', on: true });
}

export function stopCallRecording(run: Run): void {
  const recordingId = run.state.callRecordingId;
  if (recordingId === null) return;
  run.state.callRecordingId = null;
  run.effects.push({ type: 'stopCallRecording', recordingId });
  note(run, { type: 'callRecording', on: false });
}

function stopWhatGoesOn(run: Run): void {
  const { phase } = run.state;
  switch (phase.type) {
    case 'saying':
    case 'menuSpeaking':
    case 'askSpeaking':
    case 'pinSpeaking':
    case 'hearingMessages':
    case 'onHold':
    case 'boxGreeting':
      return stopPlaying(run, phase.playId);
    case 'menuWaiting':
    case 'menuDialling':
    case 'askWaiting':
    case 'pinWaiting':
      return stopTimer(run, phase.timerId);
    case 'ringing':
    case 'accepting':
      run.effects.push({ type: 'stopRinging', ringId: phase.ringId });
      return stopTimer(run, phase.timerId);
    case 'ringingGroup':
      run.effects.push({ type: 'stopRinging', ringId: phase.ringId });
      return;
    case 'handingOver':
      run.effects.push({ type: 'stopHandOver', handOverId: phase.handOverId });
      return stopTimer(run, phase.timerId);
    case 'queuing':
    case 'inQueue':
      return stopWaiting(run, phase, 'hungUp');
    case 'recording':
      return stopMessage(run, phase);
    case 'takeSpeaking':
    case 'takeRecording':
    case 'takeAsking':
    case 'takeWaiting':
      return stopRecorder(run, phase);
    case 'takeFinishing':
    case 'idle':
    case 'pinChecking':
    case 'connected':
    case 'onward':
    case 'ended':
      return;
    default:
      unreachable(phase);
  }
}
