/** A word that a recogniser aligned with a recording. */
export interface HeardWord {
  /** As in its dictionary, small letters; anything in brackets is no word, such as `<sil>`. */
  readonly word: string;
  /** Hundredths of a second from the beginning. */
  readonly from: number;
  readonly until: number;
  /** How well the sound fits the word in all: never above 0, the nearer to it the better. */
  readonly score: number;
}
