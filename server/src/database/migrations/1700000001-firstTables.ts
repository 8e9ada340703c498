import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Lines with their drafts and versions, hours, people, boxes, greetings, messages, and sentences already spoken. */
export class FirstTables1700000001000 implements MigrationInterface {
  readonly name = 'FirstTables1700000001000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of statements) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    const tables = ['spoken_sentence', 'message', 'box', 'greeting', 'person', 'version', 'draft', 'line', 'hours'];
    for (const table of tables) await runner.query(`DROP TABLE "${table}"`);
  }
}

const statements = [
  `CREATE TABLE "hours" (
    "id" text PRIMARY KEY NOT NULL,
    "name" text NOT NULL,
    "periods" text NOT NULL,
    "week" text NOT NULL,
    "revision" integer NOT NULL DEFAULT 1
  )`,
  `CREATE TABLE "line" (
    "id" text PRIMARY KEY NOT NULL,
    "name" text NOT NULL,
    "number" text NOT NULL UNIQUE,
    "timeZone" text NOT NULL,
    "hoursId" text NOT NULL REFERENCES "hours" ("id") ON DELETE RESTRICT,
    "onAirVersionId" text REFERENCES "version" ("id") ON DELETE RESTRICT DEFERRABLE INITIALLY DEFERRED,
    "revision" integer NOT NULL DEFAULT 1
  )`,
  `CREATE TABLE "draft" (
    "lineId" text PRIMARY KEY NOT NULL REFERENCES "line" ("id") ON DELETE CASCADE,
    "attendant" text NOT NULL,
    "revision" integer NOT NULL DEFAULT 1,
    "savedAt" integer NOT NULL
  )`,
  `CREATE TABLE "version" (
    "id" text PRIMARY KEY NOT NULL,
    "lineId" text NOT NULL REFERENCES "line" ("id") ON DELETE CASCADE,
    "number" integer NOT NULL,
    "attendant" text NOT NULL,
    "greetings" text NOT NULL,
    "draftRevision" integer NOT NULL,
    "onAirAt" integer NOT NULL,
    UNIQUE ("lineId", "number")
  )`,
  `CREATE TABLE "person" (
    "id" text PRIMARY KEY NOT NULL,
    "name" text NOT NULL,
    "extension" text NOT NULL,
    "revision" integer NOT NULL DEFAULT 1,
    "deletedAt" integer
  )`,
  `CREATE UNIQUE INDEX "person_extension" ON "person" ("extension") WHERE "deletedAt" IS NULL`,
  `CREATE TABLE "greeting" (
    "id" text PRIMARY KEY NOT NULL,
    "name" text NOT NULL,
    "words" text NOT NULL,
    "voice" text NOT NULL,
    "revision" integer NOT NULL DEFAULT 1,
    "deletedAt" integer
  )`,
  `CREATE TABLE "box" (
    "id" text PRIMARY KEY NOT NULL,
    "name" text NOT NULL,
    "greetingId" text REFERENCES "greeting" ("id") ON DELETE RESTRICT,
    "longestMessageSeconds" integer NOT NULL,
    "revision" integer NOT NULL DEFAULT 1,
    "deletedAt" integer
  )`,
  `CREATE TABLE "message" (
    "id" text PRIMARY KEY NOT NULL,
    "boxId" text NOT NULL REFERENCES "box" ("id") ON DELETE RESTRICT,
    "callerNumber" text NOT NULL,
    "leftAt" integer NOT NULL,
    "trial" boolean NOT NULL,
    "lengthMs" integer NOT NULL,
    "audioId" text NOT NULL,
    "heard" boolean NOT NULL DEFAULT 0,
    "deletedAt" integer
  )`,
  `CREATE INDEX "message_leftAt" ON "message" ("leftAt")`,
  `CREATE TABLE "spoken_sentence" (
    "voice" text NOT NULL,
    "text" text NOT NULL,
    "audioId" text NOT NULL,
    "lengthMs" integer NOT NULL,
    PRIMARY KEY ("voice", "text")
  )`,
];
