import { unreachable } from '../result';
import { stopRecording } from './recording';
import { note, setPhase, type Run } from './run';
import type { EndReason } from './transcript';

/** Ends the call and stops whatever is playing, ringing, timed or recorded. A message under way is kept. */
export function endCall(run: Run, reason: EndReason): void {
  stopWhatGoesOn(run);
  run.effects.push({ type: 'stopTimer', timerId: run.state.callTimerId });
  note(run, { type: 'ended', reason });
  run.effects.push({ type: 'hangUp' });
  setPhase(run, { type: 'ended', reason });
}

function stopWhatGoesOn(run: Run): void {
  const { phase } = run.state;
  switch (phase.type) {
    case 'saying':
    case 'menuSpeaking':
    case 'boxGreeting':
      run.effects.push({ type: 'stopPlaying', playId: phase.playId });
      return;
    case 'menuWaiting':
      run.effects.push({ type: 'stopTimer', timerId: phase.timerId });
      return;
    case 'ringing':
      run.effects.push({ type: 'stopRinging', ringId: phase.ringId }, { type: 'stopTimer', timerId: phase.timerId });
      return;
    case 'recording':
      stopRecording(run, phase);
      return;
    case 'idle':
    case 'connected':
    case 'ended':
      return;
    default:
      unreachable(phase);
  }
}
