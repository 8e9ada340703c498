import {
  transcriptOf,
  type CallEffect,
  type CallEvent,
  type CallScript,
  type RungPhone,
  type TranscriptEntry,
} from '../call';
import { simulate, type CallerAct } from './simulate';
import type { StaffAct } from './virtualLine';
import { callId } from './state';

/** One call, made on a clock of its own to see what it comes to. */
export interface Trial {
  readonly atMs: number;
  readonly callerNumber: string;
  readonly caller: readonly CallerAct[];
  readonly staff: (phone: RungPhone) => StaffAct;
  /** What an outside phone does that a call is handed over to; as `staff` has it unless said otherwise. */
  readonly handedOver?: () => StaffAct;
}

export interface TrialResult {
  readonly transcript: readonly TranscriptEntry[];
  readonly effects: readonly CallEffect[];
  /** What the call was told, in order. */
  readonly events: readonly CallEvent[];
  /** False when the call was still going after `mostEvents`. */
  readonly ended: boolean;
}

const trialCall = callId.create('trial');

/** Runs a whole call with nobody else on the line. */
export function runTrial(script: CallScript, trial: Trial, mostEvents = 10_000): TrialResult {
  const events: CallEvent[] = [];
  const effects: CallEffect[] = [];
  const transcript: TranscriptEntry[] = [];
  const left = simulate({
    script,
    callers: [{ callId: trialCall, atMs: trial.atMs, callerNumber: trial.callerNumber, acts: trial.caller }],
    staff: trial.staff,
    ...(trial.handedOver && { handedOver: trial.handedOver }),
    mostEvents,
    watch: (_, { told, effects: done, atMs }) => {
      events.push(...told.map(({ event }) => event));
      const ofCall = done.flatMap((effect) => (effect.type === 'forCall' ? [effect.effect] : []));
      effects.push(...ofCall);
      transcript.push(...transcriptOf(ofCall, atMs));
    },
  });
  return { transcript, effects, events, ended: !left.calls.has(trialCall) };
}
