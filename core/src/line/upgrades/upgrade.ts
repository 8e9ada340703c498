/** One step from an older shape of the document to the next. Once released, an upgrade is never edited. */
export interface Upgrade {
  /** The schema version that the upgrade makes. */
  readonly to: number;
  /** What changed and why, for the one who reads it later. */
  readonly why: string;
  /** Takes a document of version `to - 1`; `schemaVersion` is set by the caller. */
  readonly run: (older: Readonly<Record<string, unknown>>) => Record<string, unknown>;
}

export type UpgradeProblem =
  { readonly type: 'noVersion' } | { readonly type: 'tooNew'; readonly version: number; readonly newestKnown: number };
