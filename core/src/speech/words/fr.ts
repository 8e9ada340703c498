import type { Key } from '../../line';
import type { Phrases } from './phrases';
import { asLabel, capitalised } from './label';

const parts = { lastName: 'nom', firstName: 'prénom', eitherName: 'prénom ou du nom' } as const;
const spoken = (key: Key): string => (key === '*' ? 'étoile' : key === '#' ? 'dièse' : key);

export const phrases: Phrases = {
  option: (label, key) => {
    const what = asLabel(label);
    return `${/^pour\s/i.test(what) ? capitalised(what) : `Pour ${what}`}, appuyez sur ${spoken(key)}.`;
  },
  keyBeforeOption:
    /\b(?:tapez|appuyez sur|composez) (?:le )?(\d|un|deux|trois|quatre|cinq|six|sept|huit|neuf|zéro)\b,? pour\b[^.,;]*/i,
  keyInWords:
    /\b(?:tapez|appuyez sur|composez) (?:le )?(\d|\*|#|zéro|un|deux|trois|quatre|cinq|six|sept|huit|neuf)(?![\p{L}\p{N}])/iu,
  leaveMessage: (boxName) =>
    `Veuillez laisser un message pour ${boxName} après le bip. Ensuite, appuyez sur dièse ou raccrochez.`,
  messageTaken: 'Merci. Votre message est enregistré. Au revoir.',
  nothingMore: 'Désolé, personne ne peut prendre votre appel pour le moment. Au revoir.',
  spellName: (part) => `Épelez les trois premières lettres du ${parts[part]} avec les touches de votre téléphone.`,
  dialExtension: 'Composez le numéro de poste, puis appuyez sur dièse.',
  nobodyFound: 'Désolé, personne de ce nom n’a été trouvé.',
  noSuchExtension: 'Désolé, ce poste n’existe pas.',
  choice: (name, key) => `Pour ${name}, appuyez sur ${key}.`,
  moreChoices: (key) => `Pour d’autres noms, appuyez sur ${key}.`,
  noAnswer: (name) => `${name} ne répond pas pour le moment.`,
  acceptCall: 'Vous avez un appel. Pour le prendre, appuyez sur 1.',
  placeInLine: (place) =>
    place === 1 ? 'Vous êtes le prochain appel.' : `Vous êtes numéro ${place} dans la file d’attente.`,
  expectedWait: (minutes) => `L’attente est d’environ ${minutes === 1 ? 'une minute' : `${minutes} minutes`}.`,
  leaveQueue: (key) => `Pour ne plus attendre, appuyez sur ${spoken(key)}.`,
  recorded: 'Cet appel est enregistré.',
  enterPin: 'Composez le code de la boîte, puis appuyez sur dièse.',
  wrongPin: 'Désolé, ce code n’est pas le bon.',
  pinPaused: (minutes) =>
    `Trop de codes incorrects ont été composés. Réessayez dans ${minutes === 1 ? 'une minute' : `${minutes} minutes`}.`,
  messagesWaiting: (count) =>
    count === 0 ? 'Vous n’avez aucun message.' : `Vous avez ${count === 1 ? 'un message' : `${count} messages`}.`,
  messageFrom: (count, number) => `Message ${count}${number ? `, du ${number}` : ''}.`,
  messageKeys: 'Pour le suivant, appuyez sur 1. Pour le réécouter, sur 2. Pour l’effacer, sur 3.',
  noMoreMessages: 'Il n’y a plus de messages. Au revoir.',
  noSuchNumber: 'Désolé, ce numéro n’existe pas.',
  speakGreeting: (name) => `Vous pouvez enregistrer : ${name}. Parlez après le bip, puis appuyez sur dièse.`,
  nothingRecorded: 'Rien n’a été entendu. Parlez après le bip, puis appuyez sur dièse.',
  takeKeys: 'Pour le garder, appuyez sur 1. Pour l’écouter, sur 2. Pour recommencer, sur 3.',
  takeKept: 'C’est gardé. Au revoir.',
  speakNext: (name) => `C’est gardé. Ensuite : ${name}. Parlez après le bip, puis appuyez sur dièse.`,
  takeNotKept: 'L’enregistrement n’a pas été gardé. Au revoir.',
};
