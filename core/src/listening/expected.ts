import { readPieces, shippedVoiceOf, writePiece, type TakeSays } from '../line';
import { phrasesOf } from '../speech';

/** Recordings are listened to in English only. */
const english = phrasesOf(shippedVoiceOf('en'));

/** What a recording is expected to say, a sentence after the other, live parts as they were when it was made. */
export function expectedSentences({ words, options, live }: TakeSays): readonly string[] {
  const saidOf = new Map(live.map(({ part, said }) => [writePiece({ type: 'live', part }), said]));
  const read = options.map(({ key, label }) => english.option(label, key));
  const pieces = words === '' ? [{ type: 'live', part: { type: 'options' } } as const] : readPieces(words);
  const text = pieces.map((piece) => {
    if (piece.type === 'text') return piece.text;
    if (piece.type === 'pause') return '. ';
    return piece.part.type === 'options' ? ` ${read.join(' ')} ` : (saidOf.get(writePiece(piece)) ?? '');
  });
  return sentencesIn(text.join(''));
}

function sentencesIn(text: string): readonly string[] {
  return text
    .replace(/\b([ap])\.\s?m\.?/gi, '$1 m')
    .replace(/\b(Dr|Mr|Mrs|Ms|St|No)\./g, '$1')
    .split(/(?<=[.!?;:])\s+|\n+/)
    .map((sentence) => sentence.trim())
    .filter((sentence) => /[\p{L}\p{N}]/u.test(sentence));
}
