import { spokenKey } from '../../line';
import type { Phrases } from './phrases';
import { asLabel, capitalised } from './label';

const parts = { lastName: 'last name', firstName: 'first name', eitherName: 'first or last name' } as const;

export const phrases: Phrases = {
  option: (label, key) => {
    const what = asLabel(label);
    return `${/^(to|for)\s/i.test(what) ? capitalised(what) : `For ${what}`}, press ${spokenKey(key)}.`;
  },
  keyBeforeOption:
    /\bpress (?:the )?(\d|\*|#|star|pound|zero|one|two|three|four|five|six|seven|eight|nine)\b,? (?:for|to)\b[^.,;]*/i,
  keyInWords: /\bpress (?:the )?(\d|\*|#|zero|one|two|three|four|five|six|seven|eight|nine)(?![\p{L}\p{N}])/iu,
  leaveMessage: (boxName) =>
    `Please leave a message for ${boxName} after the tone. When you are done, press pound or hang up.`,
  messageTaken: 'Thank you. Your message has been left. Goodbye.',
  nothingMore: 'Sorry, nobody can take your call now. Goodbye.',
  spellName: (part) => `Spell the first three letters of the ${parts[part]} with the keys of your phone.`,
  dialExtension: 'Dial the extension, then press pound.',
  nobodyFound: 'Sorry, nobody by that name was found.',
  noSuchExtension: 'Sorry, there is no such extension.',
  choice: (name, key) => `For ${name}, press ${key}.`,
  moreChoices: (key) => `For more names, press ${key}.`,
  noAnswer: (name) => `${name} does not answer just now.`,
  acceptCall: 'You have a call. To take it, press 1.',
  placeInLine: (place) => (place === 1 ? 'You are next in line.' : `You are number ${place} in line.`),
  expectedWait: (minutes) => `The wait is about ${minutes === 1 ? 'one minute' : `${minutes} minutes`}.`,
  leaveQueue: (key) => `To stop waiting, press ${spokenKey(key)}.`,
  recorded: 'This call is recorded.',
  enterPin: 'Enter the PIN of the box, then press pound.',
  wrongPin: 'Sorry, that PIN is not right.',
  pinPaused: (minutes) =>
    `There were too many wrong PINs. Please try again in ${minutes === 1 ? 'one minute' : `${minutes} minutes`}.`,
  messagesWaiting: (count) =>
    `You have ${count === 0 ? 'no messages' : count === 1 ? 'one message' : `${count} messages`}.`,
  messageFrom: (count, number) => `Message ${count}${number ? `, from ${number}` : ''}.`,
  messageKeys: 'For the next, press 1. To hear it again, press 2. To delete it, press 3.',
  noMoreMessages: 'There are no more messages. Goodbye.',
  noSuchNumber: 'Sorry, there is no such number.',
  speakGreeting: (name) => `You can now record: ${name}. Speak after the tone, then press pound.`,
  nothingRecorded: 'Nothing was heard. Please speak after the tone, then press pound.',
  takeKeys: 'To keep it, press 1. To hear it, press 2. To record it again, press 3.',
  takeKept: 'It is kept. Goodbye.',
  speakNext: (name) => `Kept. Next: ${name}. Speak after the tone, then press pound.`,
  takeNotKept: 'It was not kept. Goodbye.',
};
