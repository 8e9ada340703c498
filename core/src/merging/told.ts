/** A place that two windows changed, in words. */
export interface ToldClash {
  /** Where: "Welcome, key 2". */
  readonly where: string;
  readonly mine: string;
  readonly theirs: string;
}
