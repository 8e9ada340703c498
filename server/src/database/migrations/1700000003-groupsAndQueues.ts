import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Groups and queues, and what is dialled on a desk phone to hear the messages of a box. */
export class GroupsAndQueues1700000003000 implements MigrationInterface {
  readonly name = 'GroupsAndQueues1700000003000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of statements) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['box_pin', 'call_queue', 'ring_group']) await runner.query(`DROP TABLE "${table}"`);
    await runner.query(`ALTER TABLE "box" DROP COLUMN "code"`);
  }
}

const membership = `
    "id" text PRIMARY KEY NOT NULL,
    "name" text NOT NULL,
    "extension" text NOT NULL,
    "members" text NOT NULL,
    "memberSeconds" integer NOT NULL,
    "restSeconds" integer NOT NULL,
    "ringsOn" text NOT NULL,
    "workingOnly" boolean NOT NULL,
    "hoursId" text REFERENCES "hours" ("id") ON DELETE RESTRICT,
    "order" text NOT NULL,
    "revision" integer NOT NULL DEFAULT 1,
    "deletedAt" integer`;

const statements = [
  `CREATE TABLE "ring_group" (${membership},
    "directNumber" text NOT NULL,
    "inAllSeconds" integer,
    "speakerCode" text NOT NULL
  )`,
  `CREATE TABLE "call_queue" (${membership},
    "entryWords" text NOT NULL,
    "waiting" text NOT NULL,
    "placeEverySeconds" integer,
    "saysExpectedWait" boolean NOT NULL,
    "retrySeconds" integer NOT NULL,
    "mostCallers" integer NOT NULL,
    "longestWaitSeconds" integer NOT NULL,
    "exitKey" text,
    "holdGreetingId" text REFERENCES "greeting" ("id") ON DELETE RESTRICT,
    "paused" boolean NOT NULL
  )`,
  `ALTER TABLE "box" ADD COLUMN "code" text NOT NULL DEFAULT ''`,
  `CREATE TABLE "box_pin" (
    "boxId" text PRIMARY KEY NOT NULL REFERENCES "box" ("id") ON DELETE CASCADE,
    "salt" text NOT NULL,
    "hash" text NOT NULL
  )`,
];
