import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Recordings of any text that callers can hear, and sessions in which several are made. */
export class TextRecordings1700000022000 implements MigrationInterface {
  readonly name = 'TextRecordings1700000022000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE "text_recording" (
        "place" text PRIMARY KEY NOT NULL,
        "language" text NOT NULL,
        "words" text NOT NULL,
        "take" text NOT NULL,
        "live" text NOT NULL
      )`,
    );
    await runner.query(
      `CREATE TABLE "recording_session" (
        "id" text PRIMARY KEY NOT NULL,
        "name" text NOT NULL,
        "places" text NOT NULL,
        "madeAt" integer NOT NULL
      )`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE "recording_session"`);
    await runner.query(`DROP TABLE "text_recording"`);
  }
}
