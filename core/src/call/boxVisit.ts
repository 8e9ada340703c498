import type { BoxId } from '../directory';
import type { Key } from '../line';
import { callLimits } from './limits';
import { note, play, sayThen, setPhase, startTimer, stopPlaying, stopTimer, type Run } from './run';
import type { MessageToHear, PinAnswer } from './event';
import type { PlayItem } from './effect';
import type { HearingMessages, Next, PinChecking, PinSpeaking, PinWaiting } from './state';
import { lineItems, phrases } from './words';

/** Somebody in the office dialled a box to hear its messages: they are asked for its PIN. */
export function askPin(run: Run, boxId: BoxId, wrongPins: number): void {
  setPhase(run, { type: 'pinSpeaking', boxId, wrongPins, playId: play(run, lineItems(run, phrases(run).enterPin)) });
}

export function waitForPin(
  run: Run,
  { boxId, wrongPins }: Pick<PinSpeaking, 'boxId' | 'wrongPins'>,
  digits = '',
): void {
  const ms = digits === '' ? callLimits.firstDigitWithinMs : callLimits.nextDigitWithinMs;
  setPhase(run, { type: 'pinWaiting', boxId, wrongPins, digits, timerId: startTimer(run, ms) });
}

export function takePinKey(run: Run, phase: PinSpeaking | PinWaiting, key: Key): Next | undefined {
  if (phase.type === 'pinSpeaking') stopPlaying(run, phase.playId);
  else stopTimer(run, phase.timerId);
  const digits = phase.type === 'pinWaiting' ? phase.digits : '';
  // The transcript shows that a key was pressed, and not which.
  note(run, { type: 'key', key: '*', use: 'digit' });
  if (key === '*') return { type: 'end', reason: 'callerHungUp' };
  const isDone = key === '#' || digits.length + 1 >= callLimits.longestPin;
  if (!isDone) waitForPin(run, phase, digits + key);
  else checkPin(run, phase, key === '#' ? digits : digits + key);
  return undefined;
}

export function checkPin(run: Run, { boxId, wrongPins }: Pick<PinSpeaking, 'boxId' | 'wrongPins'>, pin: string): void {
  setPhase(run, { type: 'pinChecking', boxId, wrongPins });
  run.effects.push({ type: 'checkPin', boxId, pin });
}

/** The PIN was right; or wrong: it is asked for again, three times in all, or not any more for a while. */
export function takePin(run: Run, { boxId, ...phase }: PinChecking, answer: PinAnswer): Next | undefined {
  const pausedMs = answer.type === 'paused' ? { pausedMs: answer.forMs } : {};
  note(run, { type: 'pin', boxId, right: answer.type === 'right', ...pausedMs });
  const said = phrases(run);
  switch (answer.type) {
    case 'right':
      hear(run, answer.messages, 0, said.messagesWaiting(answer.messages.length));
      return undefined;
    case 'paused': {
      const minutes = Math.ceil(answer.forMs / 60_000);
      sayThen(run, lineItems(run, said.pinPaused(minutes)), { type: 'end', reason: 'wrongPin' });
      return undefined;
    }
    case 'wrong': {
      const wrongPins = phase.wrongPins + 1;
      const isEnough = wrongPins >= callLimits.mostAsks;
      const next: Next = isEnough ? { type: 'end', reason: 'wrongPin' } : { type: 'pin', boxId, wrongPins };
      sayThen(run, lineItems(run, said.wrongPin), next);
      return undefined;
    }
  }
}

/** 1 goes on to the next message, 2 says it again, 3 deletes it, * ends. */
export function takeHearingKey(run: Run, phase: HearingMessages, key: Key): Next | undefined {
  const isKnown = ['1', '2', '3', '*'].includes(key);
  note(run, { type: 'key', key, use: isKnown ? 'option' : 'ignored' });
  if (!isKnown) return undefined;
  stopPlaying(run, phase.playId);
  if (key === '*') return { type: 'end', reason: 'boxHeard' };
  if (key === '2') hear(run, phase.messages, phase.index);
  else hearNext(run, phase, key === '3');
  return undefined;
}

/** The message was heard: on to the next. */
export function hearNext(run: Run, { messages, index }: HearingMessages, isDeleted: boolean): void {
  const message = messages[index];
  if (message) {
    run.effects.push({ type: 'markMessage', messageId: message.messageId, as: isDeleted ? 'deleted' : 'heard' });
    note(run, { type: 'heardMessage', messageId: message.messageId, deleted: isDeleted });
  }
  hear(run, messages, index + 1);
}

function hear(run: Run, messages: readonly MessageToHear[], index: number, before = ''): void {
  const message = messages[index];
  const said = phrases(run);
  const intro = before === '' ? [] : lineItems(run, before);
  if (!message)
    return sayThen(run, [...intro, ...lineItems(run, said.noMoreMessages)], { type: 'end', reason: 'boxHeard' });
  const items: readonly PlayItem[] = [
    ...intro,
    ...lineItems(run, said.messageFrom(index + 1, spokenNumber(message.from))),
    { type: 'audio', audioId: message.audioId, ms: message.lengthMs },
    ...lineItems(run, said.messageKeys),
  ];
  setPhase(run, { type: 'hearingMessages', playId: play(run, items), messages, index });
}

/** A number digit by digit, as people read it out; nothing for one that is not given. */
function spokenNumber(number: string): string {
  return number.replace(/\D/g, '').slice(-10).split('').join(' ');
}
