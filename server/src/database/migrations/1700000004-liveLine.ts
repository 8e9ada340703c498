import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The call log, what the staff say of themselves on their desk phones, the Outbox, and settings. */
export class LiveLine1700000004000 implements MigrationInterface {
  readonly name = 'LiveLine1700000004000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of statements) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['settings', 'outbox_item', 'presence', 'call']) await runner.query(`DROP TABLE "${table}"`);
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
  `CREATE TABLE "outbox_item" (
    "id" text PRIMARY KEY NOT NULL,
    "kind" text NOT NULL,
    "to" text NOT NULL,
    "toName" text NOT NULL,
    "subject" text NOT NULL,
    "text" text NOT NULL,
    "messageId" text,
    "hasAudio" boolean NOT NULL,
    "madeAt" integer NOT NULL,
    "state" text NOT NULL,
    "attempts" integer NOT NULL,
    "problem" text NOT NULL,
    "nextTryAt" integer,
    "sentAt" integer
  )`,
  `CREATE INDEX "outbox_item_madeAt" ON "outbox_item" ("madeAt")`,
  `CREATE TABLE "settings" (
    "id" text PRIMARY KEY NOT NULL,
    "mailHost" text NOT NULL,
    "mailPort" integer NOT NULL,
    "mailSecure" boolean NOT NULL,
    "mailUser" text NOT NULL,
    "mailPassword" text NOT NULL,
    "mailFrom" text NOT NULL,
    "keepCallsDays" integer NOT NULL,
    "revision" integer NOT NULL DEFAULT 1
  )`,
];
