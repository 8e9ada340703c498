import { giveWay } from '../giveWay';
import { runFlite, speakable } from '../speech/flite';

giveWay();

/** The sounds of English as the recogniser's model has them. */
const known = new Set(
  'AA AE AH AO AW AY B CH D DH EH ER EY F G HH IH IY JH K L M N NG OW OY P R S SH T TH UH UW V W Y Z ZH'.split(' '),
);
/** Flite tells some sounds apart that the model does not. */
const likened: Readonly<Record<string, string>> = { AX: 'AH', AXR: 'ER', IX: 'IH', DX: 'D', EL: 'AH L', EN: 'AH N' };

/** How words sound that no dictionary has, such as names, by the rules with which they would be spoken. */
export default async function phonesOf(words: readonly string[]): Promise<readonly (readonly [string, string])[]> {
  const found: (readonly [string, string])[] = [];
  for (const word of words) {
    const { printed } = await runFlite('-voice', 'slt', '-ps', '-t', speakable(word), '-o', 'none');
    const phones = printed
      .join(' ')
      .toUpperCase()
      .split(/\s+/)
      .flatMap((phone) => (likened[phone] ?? phone).split(' '))
      .filter((phone) => known.has(phone));
    if (phones.length > 0) found.push([word, phones.join(' ')]);
  }
  return found;
}
