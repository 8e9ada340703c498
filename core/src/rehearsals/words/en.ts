import { showPhoneNumber } from '../../directory';
import type { Names } from '../../line';
import { unreachable } from '../../result';
import type { Expectation, SceneAct, SceneEnd, SceneStaffDoes } from '../rehearsal';

/** What the caller does, as part of a sentence: "presses 2". */
export function describeAct(act: SceneAct): string {
  switch (act.type) {
    case 'press':
      return `presses ${act.keys}`;
    case 'wait':
      return 'presses nothing';
    case 'say':
      return `says “${act.words}”`;
    case 'hangUp':
      return `hangs up after ${act.afterSeconds} s`;
    default:
      return unreachable(act);
  }
}

/** What must happen: "reaches Moorings". */
export function describeExpectation(expected: Expectation, names: Names): string {
  switch (expected.type) {
    case 'reaches':
      return `reaches ${names[expected.who] ?? 'something deleted'}`;
    case 'hears':
      return `hears “${expected.words}”`;
    case 'within':
      return `within ${expected.seconds} s`;
    case 'ends':
      return sceneEndWords[expected.how];
    default:
      return unreachable(expected);
  }
}

export const sceneEndWords: Readonly<Record<SceneEnd, string>> = {
  talk: 'ends in a talk',
  message: 'ends in a message',
  handedOver: 'is handed over',
  lineHangsUp: 'ends with the line hanging up',
  callerHangsUp: 'ends with the caller hanging up',
  blocked: 'is blocked',
};

export const sceneStaffWords: Readonly<Record<SceneStaffDoes, string>> = {
  answers: 'answers',
  busy: 'is busy',
  noAnswer: 'lets it ring',
  voicemail: 'lets voicemail answer',
};

/** Who calls, as part of a sentence. */
export function describeCaller(callerNumber: string): string {
  return callerNumber === 'anonymous' ? 'somebody who hides their number' : showPhoneNumber(callerNumber);
}
