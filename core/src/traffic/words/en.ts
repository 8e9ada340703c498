import type { Outcome } from '../../call';

/** What a call came to, as the call log tells it. */
export const outcomeWords: Readonly<Record<Outcome, string>> = {
  answered: 'Answered',
  message: 'Left a message',
  handedOver: 'Handed over',
  gaveUpWaiting: 'Gave up waiting',
  hungUp: 'Hung up',
  lineEnded: 'Ended by the line',
  boxHeard: 'Heard a box',
  greetingRecorded: 'Recorded a greeting',
  blocked: 'Blocked',
  cut: 'Cut off',
};
