import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Recordings of greetings and sheets, and the dictionary of how words are said. */
export class Recordings1700000005000 implements MigrationInterface {
  readonly name = 'Recordings1700000005000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of statements) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "settings" DROP COLUMN "holdMusic"`);
    await runner.query(`ALTER TABLE "version" DROP COLUMN "takes"`);
    await runner.query(`ALTER TABLE "greeting" DROP COLUMN "take"`);
    for (const table of ['dictionary', 'take']) await runner.query(`DROP TABLE "${table}"`);
  }
}

const statements = [
  `CREATE TABLE "take" (
    "id" text PRIMARY KEY NOT NULL,
    "place" text NOT NULL,
    "source" text NOT NULL,
    "fileName" text NOT NULL,
    "madeAt" integer NOT NULL,
    "originalId" text NOT NULL,
    "recordingId" text NOT NULL,
    "audioId" text NOT NULL,
    "lengthMs" integer NOT NULL,
    "recipe" text NOT NULL,
    "made" text NOT NULL,
    "faults" text NOT NULL,
    "text" text NOT NULL,
    "says" text NOT NULL,
    "deletedAt" integer
  )`,
  `CREATE INDEX "take_place" ON "take" ("place")`,
  `CREATE TABLE "dictionary" (
    "id" text PRIMARY KEY NOT NULL,
    "words" text NOT NULL,
    "revision" integer NOT NULL DEFAULT 1
  )`,
  `ALTER TABLE "greeting" ADD COLUMN "take" text`,
  `ALTER TABLE "settings" ADD COLUMN "holdMusic" text NOT NULL DEFAULT 'harbor'`,
  `ALTER TABLE "version" ADD COLUMN "takes" text NOT NULL DEFAULT '[]'`,
  // Spoken at another loudness than everything is brought to from now on; they are spoken again when needed.
  `DELETE FROM "spoken_sentence"`,
];
