import { endCall } from './end';
import { callLimits } from './limits';
import type { NotAnswered } from './reasons';
import { newId, note, setPhase, startTimer, stopTimer, type Run } from './run';
import type { HandingOver, Next, Place } from './state';
import type { OutsideTarget } from './target';

/** Hands the call over; until it is taken there, or cannot be, the caller hears it ring. */
export function handOver(run: Run, target: OutsideTarget, place: Place): void {
  const handOverId = newId(run);
  run.effects.push({ type: 'handOver', handOverId, target });
  note(run, { type: 'handingOver', target });
  const timerId = startTimer(run, callLimits.handOverWithinMs);
  setPhase(run, { type: 'handingOver', target, handOverId, timerId, place });
}

/** It was taken: the call has left the line. */
export function handedOver(run: Run, { target, timerId }: HandingOver): void {
  stopTimer(run, timerId);
  note(run, { type: 'handedOver', target });
  setPhase(run, { type: 'onward' });
  endCall(run, 'handedOver');
}

/** It was not taken: the path goes on. */
export function handOverFailed(run: Run, { target, timerId, handOverId, place }: HandingOver, why: NotAnswered): Next {
  stopTimer(run, timerId);
  run.effects.push({ type: 'stopHandOver', handOverId });
  note(run, { type: 'notAnswered', target, why });
  setPhase(run, { type: 'onward' });
  return { type: 'path', place };
}
