import type { Outcome } from '../../call';

/** What a call came to, as the call log tells it. */
export const outcomeWords = {
  answered: 'Answered',
  handedOver: 'Handed over',
  message: 'Left a message',
  missed: 'Missed',
  gaveUpInQueue: 'Gave up in a queue',
  gaveUpRinging: 'Gave up while it rang',
  gaveUpInMenu: 'Gave up in a menu',
  noMessage: 'Left no message',
  informed: 'Heard an announcement',
  letGo: 'Let go',
  boxHeard: 'Heard a box',
  greetingRecorded: 'Recorded a greeting',
  blocked: 'Blocked',
  cut: 'Cut off',
} as const satisfies Readonly<Record<Outcome, string>>;
