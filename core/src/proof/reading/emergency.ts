/**
 * What is dialled for an ambulance, the fire brigade or the police, by country (ISO 3166-1), the usual one first: ITU-T
 * E.161.1 advises 112 and 911; others are the countries' own.
 */
const byCountry: Readonly<Record<string, readonly string[]>> = {
  ...Object.fromEntries(['US', 'CA', 'MX', 'PR'].map((country) => [country, ['911', '988', '112']])),
  GB: ['999', '112', '111', '101'],
  IE: ['112', '999'],
  AU: ['000', '112', '106', '131444'],
  NZ: ['111', '112'],
  DE: ['112', '110', '116117'],
  AT: ['112', '144', '133', '122', '141'],
  CH: ['112', '144', '117', '118', '1414'],
  FR: ['112', '15', '17', '18', '114', '196'],
  BE: ['112', '101'],
  ES: ['112', '061', '091', '062'],
  IT: ['112', '118', '113', '115'],
  PT: ['112'],
  NL: ['112'],
  ZA: ['112', '10111', '10177'],
  IN: ['112', '100', '101', '102', '108'],
  JP: ['119', '110', '118'],
};

/** Undefined for a country that is not known. */
export function emergencyNumbersOf(country: string): readonly string[] | undefined {
  return byCountry[country];
}

const every = [...new Set(Object.values(byCountry).flat())].filter((number) => number.length === 3);
const spaced = (number: string): string => [...number].join('[\\s-]*');
const dialled = new RegExp(
  `\\b(?:dial|call|ring|phone|appelez|composez|llame\\s+al|marque(?:\\s+el)?|w[äa]hlen\\s+Sie(?:\\s+die)?|rufen\\s+Sie(?:\\s+die)?)\\s+(?:the\\s+|le\\s+|el\\s+|al\\s+)?(${every.map(spaced).join('|')})(?![\\d-])`,
  'giu',
);
const spelt = /\b(nine|one|zero|oh)[\s-]+(nine|one|zero|oh)[\s-]+(nine|one|two|zero|oh)\b/giu;
const digits: Readonly<Record<string, string>> = { nine: '9', one: '1', two: '2', zero: '0', oh: '0' };

/** The emergency numbers that words tell callers to dial, in digits, spelt or written out. */
export function emergencyNumbersSaid(words: string): readonly string[] {
  const inDigits = [...words.matchAll(dialled)].map(([, said = '']) => said.replace(/\D/gu, ''));
  const inWords = [...words.matchAll(spelt)]
    .map(([, ...said]) =>
      said
        .slice(0, 3)
        .map((word) => digits[String(word).toLowerCase()] ?? '')
        .join(''),
    )
    .filter((number) => every.includes(number));
  return [...inDigits, ...inWords];
}

/** Whether words speak of emergencies at all. */
export function speaksOfEmergencies(words: string): boolean {
  return (
    /\b(?:emergenc(?:y|ies)|urgent(?:ly)?|urgence|urgencia|emergencia|notfall|notdienst|notf[äa]lle?n?|on[- ]call|out[- ]of[- ]hours|life[- ]threatening|taking on water|leak|no heat)\b/iu.test(
      words,
    ) || emergencyNumbersSaid(words).length > 0
  );
}
