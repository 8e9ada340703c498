export { asSentences, pauses, sentencesOf, splitSentences, type Sentence, type Source } from './sentence';
export { sheetSentences } from './menuSentences';
export { phrasesOf, type Phrases } from './phrases';
export { estimateMs, estimateSentencesMs, timeSentences, totalMs, type SentenceTiming } from './timing';
export { understand, type Sayable } from './understand';
