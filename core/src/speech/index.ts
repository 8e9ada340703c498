export { pauses, sentencesOf, splitSentences, type Sentence, type Source } from './sentence';
export { optionLine, sheetSentences } from './menuSentences';
export { estimateMs, estimateSentencesMs, timeSentences, totalMs, type SentenceTiming } from './timing';
