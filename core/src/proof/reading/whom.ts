const anybody =
  /^(?:(?:the|an?|our|one of our|la|le|un|una|el|einem?r?|dem|der)\s+)?(?:next\s+(?:available|free)\s+)?(?:some(?:one|body)|any(?:one|body)|a?\s*(?:real\s+)?(?:live\s+)?person|human|operator|attendant|agent|representative|rep|assistant|member of (?:the |our )?(?:staff|team)|team member|assistance|help|all other (?:calls|inquiries|enquiries|questions)|anything else|everything else|other (?:questions|matters)|quelqu.un|op[ée]rateur|alguien|operadora?|jemandem?|mitarbeiter(?:in)?)\b/iu;

/** Whether words mean whoever picks up, and nobody in particular. */
export function isAnybody(whom: string): boolean {
  return anybody.test(whom.trim());
}

/** Whether words speak of somebody or something by its name, or by the word of it that counts. */
export function sameName(name: string, said: string): boolean {
  const [words, spoken] = [wordsOf(name), wordsOf(said)];
  const whole = words.join(' ');
  if (whole === '' || spoken.length === 0) return false;
  return ` ${spoken.join(' ')} `.includes(` ${whole} `);
}

function wordsOf(text: string): readonly string[] {
  const plain = text.toLowerCase().normalize('NFKD').replace(/\p{M}/gu, '');
  return (plain.match(/[\p{L}\p{N}]+/gu) ?? []).filter((word) => !filler.has(word));
}

const filler = new Set(
  'the a an our your team desk department dept office line group queue staff people please of to'.split(' '),
);
