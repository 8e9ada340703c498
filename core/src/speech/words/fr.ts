import type { Key } from '../../line';
import type { Phrases } from '../phrases';
import { asLabel, capitalised } from './label';

const parts = { lastName: 'nom', firstName: 'prénom', eitherName: 'prénom ou du nom' } as const;
const spoken = (key: Key): string => (key === '*' ? 'étoile' : key === '#' ? 'dièse' : key);

export const phrases: Phrases = {
  option: (label, key) => {
    const what = asLabel(label);
    return `${/^pour\s/i.test(what) ? capitalised(what) : `Pour ${what}`}, appuyez sur ${spoken(key)}.`;
  },
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
};
