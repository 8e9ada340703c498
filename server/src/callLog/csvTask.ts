import type { Names } from '@locutor/core/line';

/** Calls to be written as CSV by a worker thread: which, as a query for columns of `CallToWrite`, and what ids are called. */
export interface CsvTask {
  /** The path of the database. */
  readonly database: string;
  readonly sql: string;
  readonly parameters: readonly unknown[];
  readonly names: Names;
}
