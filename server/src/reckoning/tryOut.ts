import type { CallScript, RungPhone } from '@locutor/core/call';
import { runTrial, type CallerAct, type StaffAct, type TrialResult } from '@locutor/core/exchange';
import type { CallerActDto, StaffActDto, TrialDto } from '../trials/trial.dto';

/** Makes the call of a trial on a clock of its own. */
export function tryOut(script: CallScript, trial: TrialDto): Pick<TrialResult, 'transcript' | 'ended'> {
  const { transcript, ended } = runTrial(script, {
    atMs: trial.atMs,
    callerNumber: trial.callerNumber,
    caller: trial.caller.map(callerAct),
    staff: (phone) => staffAct(actFor(trial, phone)),
  });
  return { transcript, ended };
}

function callerAct({ type, afterMs, key = '#', words = '' }: CallerActDto): CallerAct {
  if (type === 'press') return { type, key, afterMs };
  return type === 'speak' ? { type, words, afterMs } : { type, afterMs };
}

function actFor({ staff, named = {} }: TrialDto, phone: RungPhone): StaffActDto {
  const names = phone.type === 'person' ? [phone.number, phone.personId] : [phone.number, phone.contactId];
  const act = names.map((name) => (name && Object.hasOwn(named, name) ? named[name] : undefined));
  return act.find((each) => each !== undefined) ?? staff;
}

function staffAct({ type, afterMs = 4000, talkMs = 60_000 }: StaffActDto): StaffAct {
  switch (type) {
    case 'answer':
      return { type, afterMs, talkMs };
    case 'voicemail':
      return { type, afterMs };
    case 'busy':
    case 'noAnswer':
      return { type };
    default:
      return { type: 'noAnswer' };
  }
}
