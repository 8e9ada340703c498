import type { MigrationInterface, QueryRunner } from 'typeorm';

/** More about people and boxes, outside contacts, lists of callers, and when a line is in service. */
export class WholeDirectory1700000002000 implements MigrationInterface {
  readonly name = 'WholeDirectory1700000002000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of statements) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['contact', 'caller_list']) await runner.query(`DROP TABLE "${table}"`);
    for (const [table, names] of Object.entries(added)) {
      for (const name of names) await runner.query(`ALTER TABLE "${table}" DROP COLUMN "${name}"`);
    }
  }
}

const added: Readonly<Record<string, readonly string[]>> = {
  person: ['saidAs', 'phones', 'email', 'mobile', 'inDirectory', 'hoursId'],
  box: ['ownerId', 'beep', 'tell'],
  line: ['serviceFrom', 'serviceUntil'],
  message: ['tell'],
};

const statements = [
  `ALTER TABLE "person" ADD COLUMN "saidAs" text NOT NULL DEFAULT ''`,
  `ALTER TABLE "person" ADD COLUMN "phones" text NOT NULL DEFAULT '[{"type":"desk","seconds":12}]'`,
  `ALTER TABLE "person" ADD COLUMN "email" text NOT NULL DEFAULT ''`,
  `ALTER TABLE "person" ADD COLUMN "mobile" text NOT NULL DEFAULT ''`,
  `ALTER TABLE "person" ADD COLUMN "inDirectory" boolean NOT NULL DEFAULT 1`,
  `ALTER TABLE "person" ADD COLUMN "hoursId" text REFERENCES "hours" ("id") ON DELETE RESTRICT`,
  `ALTER TABLE "box" ADD COLUMN "ownerId" text REFERENCES "person" ("id") ON DELETE RESTRICT`,
  `ALTER TABLE "box" ADD COLUMN "beep" boolean NOT NULL DEFAULT 1`,
  `ALTER TABLE "box" ADD COLUMN "tell" text NOT NULL DEFAULT '[]'`,
  `ALTER TABLE "line" ADD COLUMN "serviceFrom" text`,
  `ALTER TABLE "line" ADD COLUMN "serviceUntil" text`,
  `ALTER TABLE "message" ADD COLUMN "tell" text NOT NULL DEFAULT '[]'`,
  `CREATE TABLE "contact" (
    "id" text PRIMARY KEY NOT NULL,
    "name" text NOT NULL,
    "number" text NOT NULL,
    "serviceFrom" text,
    "serviceUntil" text,
    "revision" integer NOT NULL DEFAULT 1,
    "deletedAt" integer
  )`,
  `CREATE TABLE "caller_list" (
    "id" text PRIMARY KEY NOT NULL,
    "name" text NOT NULL,
    "kind" text NOT NULL,
    "patterns" text NOT NULL,
    "anonymous" boolean NOT NULL DEFAULT 0,
    "revision" integer NOT NULL DEFAULT 1,
    "deletedAt" integer
  )`,
];
