import type { Language } from '../line';

/**
 * Words that end in a point without ending a sentence, those of them that do so before a number only, and those that may
 * end one all the same: then what follows begins with a capital letter.
 */
const abbreviations: Readonly<
  Record<Language, { readonly always: RegExp; readonly beforeNumber: RegExp; readonly beforeSmall?: RegExp }>
> = {
  en: {
    always: /\b(?:Mr|Mrs|Ms|Dr|Prof|St|Mt|Ft|Jr|Sr|e\.g|i\.e|approx|vs)\.$/,
    beforeNumber: /\b(?:No|no|Nos|Ext|ext)\.$/,
    beforeSmall: /\b[ap]\.m\.$/,
  },
  de: {
    always: /(?:\b(?:Dr|Prof|Hr|Fr|St|bzw|ca|[zdu]|z\. ?B|d\. ?h|u\. ?a)|[Ss]tr|\b\d{1,2})\.$/,
    beforeNumber: /\b(?:Nr|Tel|Abs)\.$/,
  },
  fr: { always: /\b(?:M|MM|Mme|Mlle|Dr|St|Ste|av|bd|env)\.$/, beforeNumber: /\b(?:no|tél|p)\.$/ },
  es: { always: /\b(?:Sr|Sra|Srta|Dr|Dra|Ud|Uds|Av|aprox)\.$/, beforeNumber: /\b(?:núm|Núm|tel|pág)\.$/ },
};

/** Whether a text that ends in a point goes on: "Dr." before "Müller", "Heute ist der 1." before "Weihnachtstag". */
export function goesOn(text: string, next: string, language: Language): boolean {
  const { always, beforeNumber, beforeSmall } = abbreviations[language];
  if (beforeSmall?.test(text)) return !/^\p{Lu}/u.test(next);
  return always.test(text) || (beforeNumber.test(text) && /^\d/.test(next));
}
