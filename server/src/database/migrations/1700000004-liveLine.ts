import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The call log, and what the staff say of themselves on their desk phones. */
export class LiveLine1700000004000 implements MigrationInterface {
  readonly name = 'LiveLine1700000004000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of statements) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['presence', 'call']) await runner.query(`DROP TABLE "${table}"`);
  }
}

const statements = [
  `CREATE TABLE "call" (
    "id" text PRIMARY KEY NOT NULL,
    "lineId" text NOT NULL,
    "versionId" text,
    "callerNumber" text NOT NULL,
    "staffCaller" text,
    "startedAt" integer NOT NULL,
    "endedAt" integer,
    "pretended" boolean NOT NULL,
    "outcome" text,
    "answeredBy" text,
    "transcript" text NOT NULL,
    "messageId" text,
    "recordingId" text,
    "recordingMs" integer NOT NULL DEFAULT 0
  )`,
  `CREATE INDEX "call_startedAt" ON "call" ("startedAt")`,
  `CREATE TABLE "presence" (
    "personId" text PRIMARY KEY NOT NULL,
    "presence" text NOT NULL
  )`,
];
