import { hearingsOf } from '../hearings';
import { speaksOfEmergencies } from '../reading/emergency';
import { rememberBy } from '../remember';
import type { Found, Rule } from '../rule';
import { spokenTexts, type SpokenText } from '../spokenTexts';

/** A business whose callers may be in need at night, and whose words say nothing of that while it is closed. */
export const noEmergencyWords: Rule<'noEmergencyWords'> = {
  name: 'noEmergencyWords',
  grade: 'tip',
  consequence: 'lost',
  find: (subject) => {
    const texts = spokenTexts(subject);
    const { name } = subject.line;
    if (!urgent.test(name) && !texts.some((text) => isUrgent(text))) return [];
    const closed = texts.filter(({ place }) => hearingsOf(subject, place).some((each) => each.closed && !each.open));
    const first = closed.find(isOfMenu);
    if (!first || closed.some((text) => speaks(text))) return [];
    return [{ at: first.at } satisfies Found];
  },
};

const speaks = rememberBy(({ words }: SpokenText) => speaksOfEmergencies(words));

const isUrgent = rememberBy(({ words }: SpokenText) => urgent.test(words));

/** Kinds of business whose callers may be in need at night. */
const urgent =
  /\b(?:clinic|doctors?|dr\.|physicians?|medical|dental|dentists?|dentistry|veterinar(?:y|ian)|animal hospital|pharmacy|midwi(?:fe|ves)|boat ?yard|marina|moorings?|landlord|apartments?|tenants?|property management|lettings?|plumb(?:ing|ers?)|heating|furnace|boiler|locksmiths?|electricians?|elevators?|towing|roadside|funeral|(?:zahn|tier)?arzt(?:praxis)?|hausverwaltung|cabinet m[ée]dical|v[ée]t[ée]rinaire|cl[íi]nica|m[ée]dico|dentista|veterinari[oa])\b/iu;

function isOfMenu({ place, words }: SpokenText): boolean {
  if (!/\p{L}/u.test(words)) return false;
  return place.type === 'words' && (place.part === 'openingWords' || place.part === 'words');
}
