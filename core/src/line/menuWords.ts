import type { Language } from './voice';

/** What a new menu says after a silent round, and after a key that has no use in it. */
interface MenuWords {
  readonly silenceWords: string;
  readonly wrongKeyWords: string;
}

/** As a voice of each language says it. */
export const menuWords: Readonly<Record<Language, MenuWords>> = {
  en: { silenceWords: 'Are you still there?', wrongKeyWords: 'Sorry, that key has no use here.' },
  fr: { silenceWords: 'Êtes-vous toujours là ?', wrongKeyWords: 'Désolé, cette touche n’a pas de fonction ici.' },
  es: { silenceWords: '¿Sigue usted ahí?', wrongKeyWords: 'Lo sentimos, esa tecla no tiene función aquí.' },
  de: { silenceWords: 'Sind Sie noch da?', wrongKeyWords: 'Diese Taste ist hier leider nicht belegt.' },
};

/** The words of a menu that comes to be spoken in another language: those it began with are said in that one. */
export function menuWordsIn<Menu extends MenuWords>(menu: Menu, from: Language, to: Language): Menu {
  const [before, after] = [menuWords[from], menuWords[to]];
  return {
    ...menu,
    silenceWords: menu.silenceWords === before.silenceWords ? after.silenceWords : menu.silenceWords,
    wrongKeyWords: menu.wrongKeyWords === before.wrongKeyWords ? after.wrongKeyWords : menu.wrongKeyWords,
  };
}
