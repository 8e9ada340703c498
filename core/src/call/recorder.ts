import type { Key } from '../line';
import type { PlayItem } from './effect';
import type { FinishedTake, PhoneTake } from './event';
import { beep } from './items';
import { callLimits } from './limits';
import { newId, note, play, sayThen, setPhase, startTimer, stopPlaying, stopTimer, type Run } from './run';
import type { Next, TakeAsking, TakeFinishing, TakeRecording, TakeSpeaking, TakeWaiting } from './state';
import { lineItems, phrases } from './words';

/** Somebody who is to record a greeting answered the phone on their desk: they are told how it goes. */
export function askToSpeak(run: Run, of: PhoneTake): void {
  sayBeforeTone(run, of, phrases(run).speakGreeting(of.name));
}

/** They speak once more: the tone is enough. */
export function speakAgain(run: Run, of: PhoneTake): void {
  sayBeforeTone(run, of, '');
}

function sayBeforeTone(run: Run, of: PhoneTake, words: string): void {
  const items = words === '' ? [beep] : [...lineItems(run, words), beep];
  setPhase(run, { type: 'takeSpeaking', playId: play(run, items), of });
}

export function recordTake(run: Run, { of }: TakeSpeaking): void {
  const recordingId = newId(run);
  run.effects.push({ type: 'startTake', recordingId });
  setPhase(run, { type: 'takeRecording', recordingId, timerId: startTimer(run, callLimits.longestTakeMs), of });
}

export function finishTake(run: Run, { recordingId, timerId, of }: TakeRecording): void {
  stopTimer(run, timerId);
  run.effects.push({ type: 'finishTake', recordingId });
  setPhase(run, { type: 'takeFinishing', recordingId, of });
}

/** It was made good: they are asked what becomes of it. Where nothing was heard they speak again. */
export function takeFinished(run: Run, { of }: TakeFinishing, take: FinishedTake | null): void {
  if (take) askWhat(run, { take, of, asked: 0 });
  else sayBeforeTone(run, of, phrases(run).nothingRecorded);
}

type Finished = Omit<TakeAsking, 'type' | 'playId'>;

function askWhat(run: Run, finished: Finished, before: readonly PlayItem[] = []): void {
  const { take, of, asked } = finished;
  const items = [...before, ...lineItems(run, phrases(run).takeKeys)];
  setPhase(run, { type: 'takeAsking', playId: play(run, items), take, of, asked });
}

export function waitForTakeKey(run: Run, { take, of, asked }: TakeAsking): void {
  setPhase(run, { type: 'takeWaiting', timerId: startTimer(run, callLimits.settleTakeWithinMs), take, of, asked });
}

/** 1 keeps it and goes on with the next, 2 says it, 3 records again. */
export function takeRecorderKey(run: Run, phase: TakeAsking | TakeWaiting, key: Key): Next | undefined {
  const isKnown = key === '1' || key === '2' || key === '3';
  note(run, { type: 'key', key, use: isKnown ? 'option' : 'ignored' });
  if (!isKnown) return undefined;
  stopAsking(run, phase);
  const { take, of } = phase;
  switch (key) {
    case '1':
      settle(run, phase, true);
      if (of.then) {
        sayBeforeTone(run, of.then, phrases(run).speakNext(of.then.name));
        return undefined;
      }
      sayThen(run, lineItems(run, phrases(run).takeKept), { type: 'end', reason: 'recorderDone' });
      return undefined;
    case '2':
      askWhat(run, { take, of, asked: 0 }, [{ type: 'audio', audioId: take.audioId, ms: take.lengthMs }]);
      return undefined;
    case '3':
      settle(run, phase, false);
      return { type: 'take', of };
  }
}

/** They pressed nothing: asked again, and in the end it is not kept. */
export function passTakeKey(run: Run, phase: TakeWaiting): void {
  const asked = phase.asked + 1;
  if (asked < callLimits.mostAsks) return askWhat(run, { ...phase, asked });
  settle(run, phase, false);
  sayThen(run, lineItems(run, phrases(run).takeNotKept), { type: 'end', reason: 'recorderDone' });
}

function settle(run: Run, { take: { takeId, lengthMs }, of }: Finished, keep: boolean): void {
  run.effects.push({ type: 'settleTake', takeId, keep });
  note(run, { type: 'greetingRecorded', name: of.name, lengthMs, kept: keep });
}

function stopAsking(run: Run, phase: TakeAsking | TakeWaiting): void {
  if (phase.type === 'takeAsking') stopPlaying(run, phase.playId);
  else stopTimer(run, phase.timerId);
}

/** The call is over: what was not kept is thrown away. */
export function stopRecorder(run: Run, phase: TakeSpeaking | TakeRecording | TakeAsking | TakeWaiting): void {
  switch (phase.type) {
    case 'takeSpeaking':
      return stopPlaying(run, phase.playId);
    case 'takeRecording':
      stopTimer(run, phase.timerId);
      run.effects.push({ type: 'stopTake', recordingId: phase.recordingId });
      return;
    case 'takeAsking':
    case 'takeWaiting':
      stopAsking(run, phase);
      return settle(run, phase, false);
  }
}
