import { textKey, type Language, type RecordedTake, type TextRecording } from '../line';
import type { SpokenFacts } from '../speech';

/** The recordings of texts that are heard, by `textKey`. */
export function recordingsOf(recordings: readonly TextRecording[] = []): ReadonlyMap<string, TextRecording> {
  const heard = recordings.filter(({ take }) => !take.byVoice);
  return new Map(heard.map((each) => [textKey(each.language, each.words), each]));
}

/** The recording of a text in which nothing is live, where it is heard. */
export function clipIn(
  recordings: ReadonlyMap<string, TextRecording>,
  takeOf: SpokenFacts['takeOf'],
  language: Language,
  words: string,
): RecordedTake | undefined {
  const recording = recordings.size > 0 ? recordings.get(textKey(language, words)) : undefined;
  return recording?.live.length === 0 ? takeOf(recording.take.takeId) : undefined;
}
