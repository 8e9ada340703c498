import type { Key } from '../../line';
import type { Phrases } from './phrases';
import { asLabel, capitalised } from './label';

const parts = { lastName: 'Nachnamens', firstName: 'Vornamens', eitherName: 'Vor- oder Nachnamens' } as const;
const spoken = (key: Key): string => (key === '*' ? 'Stern' : key === '#' ? 'Raute' : key);

export const phrases: Phrases = {
  option: (label, key) => {
    const what = asLabel(label);
    return `${/^(für|um|zu|zum|zur)\s/i.test(what) ? capitalised(what) : `Für ${what}`}, drücken Sie die ${spoken(key)}.`;
  },
  keyBeforeOption:
    /\bdrücken Sie (?:die )?(\d|eins|zwei|drei|vier|fünf|sechs|sieben|acht|neun|null)\b,? (?:für|um)\b[^.,;]*/i,
  keyInWords: /\bdrücken Sie (?:die )?(\d|\*|#|null|eins|zwei|drei|vier|fünf|sechs|sieben|acht|neun)(?![\p{L}\p{N}])/iu,
  leaveMessage: (boxName) =>
    `Bitte hinterlassen Sie nach dem Ton eine Nachricht für ${boxName}. Drücken Sie danach Raute oder legen Sie auf.`,
  messageTaken: 'Vielen Dank. Ihre Nachricht ist gespeichert. Auf Wiederhören.',
  nothingMore: 'Leider kann gerade niemand Ihren Anruf annehmen. Auf Wiederhören.',
  spellName: (part) => `Geben Sie die ersten drei Buchstaben des ${parts[part]} mit den Tasten Ihres Telefons ein.`,
  dialExtension: 'Wählen Sie die Durchwahl und drücken Sie dann Raute.',
  nobodyFound: 'Leider wurde niemand mit diesem Namen gefunden.',
  noSuchExtension: 'Diese Durchwahl gibt es leider nicht.',
  choice: (name, key) => `Für ${name} drücken Sie die ${key}.`,
  moreChoices: (key) => `Für weitere Namen drücken Sie die ${key}.`,
  noAnswer: (name) => `${name} meldet sich gerade nicht.`,
  acceptCall: 'Sie haben einen Anruf. Um ihn anzunehmen, drücken Sie die 1.',
  placeInLine: (place) => (place === 1 ? 'Sie sind als Nächster an der Reihe.' : `Sie sind an Stelle ${place}.`),
  expectedWait: (minutes) => `Die Wartezeit beträgt etwa ${minutes === 1 ? 'eine Minute' : `${minutes} Minuten`}.`,
  leaveQueue: (key) => `Um nicht länger zu warten, drücken Sie die ${spoken(key)}.`,
  recorded: 'Dieses Gespräch wird aufgezeichnet.',
  enterPin: 'Geben Sie die PIN der Mailbox ein und drücken Sie Raute.',
  wrongPin: 'Diese PIN stimmt leider nicht.',
  pinPaused: (minutes) =>
    `Es wurde zu oft eine falsche PIN eingegeben. Bitte versuchen Sie es in ${minutes === 1 ? 'einer Minute' : `${minutes} Minuten`} wieder.`,
  messagesWaiting: (count) =>
    `Sie haben ${count === 0 ? 'keine Nachrichten' : count === 1 ? 'eine Nachricht' : `${count} Nachrichten`}.`,
  messageFrom: (count, number) => `Nachricht ${count}${number ? `, von ${number}` : ''}.`,
  messageKeys: 'Weiter mit der 1. Noch einmal mit der 2. Löschen mit der 3.',
  noMoreMessages: 'Keine weiteren Nachrichten. Auf Wiederhören.',
  noSuchNumber: 'Diese Nummer gibt es leider nicht.',
  speakGreeting: (name) => `Sie können jetzt aufnehmen: ${name}. Sprechen Sie nach dem Ton und drücken Sie dann Raute.`,
  nothingRecorded: 'Es war nichts zu hören. Sprechen Sie bitte nach dem Ton und drücken Sie dann Raute.',
  takeKeys: 'Behalten mit der 1. Anhören mit der 2. Noch einmal aufnehmen mit der 3.',
  takeKept: 'Die Aufnahme ist gesichert. Auf Wiederhören.',
  speakNext: (name) => `Gesichert. Als Nächstes: ${name}. Sprechen Sie nach dem Ton und drücken Sie dann Raute.`,
  takeNotKept: 'Die Aufnahme wurde nicht gesichert. Auf Wiederhören.',
};
