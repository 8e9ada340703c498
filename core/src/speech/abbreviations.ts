import type { Language } from '../line';

/** Words that end in a point without ending a sentence, and those of them that do so before a number only. */
const abbreviations: Readonly<Record<Language, { readonly always: RegExp; readonly beforeNumber: RegExp }>> = {
  en: {
    always: /\b(?:Mr|Mrs|Ms|Dr|Prof|St|Mt|Ft|Jr|Sr|e\.g|i\.e|approx|vs)\.$/,
    beforeNumber: /\b(?:No|no|Nos|Ext|ext)\.$/,
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
  const { always, beforeNumber } = abbreviations[language];
  return always.test(text) || (beforeNumber.test(text) && /^\d/.test(next));
}
