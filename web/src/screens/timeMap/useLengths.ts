import { greetingsUsed, type Attendant, type Greeting } from '@locutor/core/line';
import { sentencesOf, sheetSentences, type Sentence, type SpokenFacts } from '@locutor/core/speech';
import { useSpokenFacts } from '../../speech/useSpokenFacts';
import { useEffect, useMemo, useState } from 'react';
import { speak } from '../../api/resources';

export interface Lengths {
  /** How long a sentence takes, in ms; undefined while its audio is not there yet. */
  readonly lengthMs: ReadonlyMap<string, number>;
  /** How many sentences have not been spoken yet. */
  readonly left: number;
}

const atOnce = 12;

export const lengthKey = ({ voice, text }: Pick<Sentence, 'voice' | 'text'>): string => `${voice} ${text}`;

/** Has everything the attendant says spoken, a few sentences at a time, to know its real length. */
export function useLengths(attendant: Attendant, greetings: readonly Greeting[]): Lengths {
  const facts = useSpokenFacts();
  const [known, setKnown] = useState<ReadonlyMap<string, number>>(new Map());
  const wanted = useMemo(() => sentencesIn(attendant, greetings, facts), [attendant, greetings, facts]);
  const missing = useMemo(() => wanted.filter((sentence) => !known.has(lengthKey(sentence))), [wanted, known]);
  const [isStuck, setStuck] = useState(false);

  useEffect(() => {
    const [first] = missing;
    if (!first || isStuck) return undefined;
    let isGone = false;
    const { voice } = first;
    const texts = missing.filter((sentence) => sentence.voice === voice).slice(0, atOnce);
    speak(
      voice,
      texts.map(({ text }) => text),
    )
      .then((spoken) => {
        if (isGone) return;
        setKnown((before) => {
          const next = new Map(before);
          for (const { text, lengthMs } of spoken) next.set(lengthKey({ voice, text }), lengthMs);
          return next;
        });
      })
      .catch(() => setStuck(true));
    return () => {
      isGone = true;
    };
  }, [missing, isStuck]);
  return { lengthMs: known, left: missing.length };
}

function sentencesIn(attendant: Attendant, greetings: readonly Greeting[], facts: SpokenFacts): readonly Sentence[] {
  const used = greetingsUsed(attendant);
  const all = [
    ...attendant.sheets.flatMap((sheet) => sheetSentences(sheet, attendant.voice, facts)),
    ...greetings
      .filter(({ id }) => used.has(id))
      .flatMap(({ words, voice }) => sentencesOf(words, voice, { type: 'line' }, facts)),
  ];
  const spoken = all.filter(({ recorded }) => !recorded);
  return [...new Map(spoken.map((sentence) => [lengthKey(sentence), sentence])).values()];
}
