export {
  asSentences,
  pauses,
  plainSentences,
  recordedSentence,
  splitSentences,
  type PlainSentence,
  type Sentence,
  type Source,
} from './sentence';
export { changesByTheDay, clipsOf, sentencesOf } from './clips';
export { sayPart, withoutClips, type SpokenFacts } from './facts';
export { optionsSaid, sheetSentences, takeOf } from './menuSentences';
export { outOfStep, saysOfSheet, saysOfWords, type OutOfStep } from './inStep';
export { describeAdvice, describeOutOfStep } from './words/notes.en';
export { adviceOnLength, adviceOnMenu, adviceOnWords, comfortableMs, comfortableOptions, type Advice } from './advice';
export { longestSaid, longestWritten, mostSayAs, respell, type SayAs } from './dictionary';
export { saidOpening, saidToday, saidWeek, type EnglishClock, type SaidIn } from './saidHours';
export { englishClockOf } from './englishClock';
export { namesToHear } from './namesToHear';
export { paceBeside } from './pace';
export { phrasesOf } from './phrases';
export { everySpokenText, type SaidAround, type SaidPlace, type SaidText } from './everySpokenText';
export type { Phrases } from './words/phrases';
export { estimateMs, estimateSentencesMs, expectedMs, timeSentences, totalMs, type SentenceTiming } from './timing';
export { wordAt, type WordPlace } from './wordAt';
export { understand, type Sayable } from './understand';
