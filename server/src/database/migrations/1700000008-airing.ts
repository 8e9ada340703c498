import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * What putting on air needs: emergency addresses, answers to the proof's cautions, rehearsals, when each version went
 * on air and who did it, the directory as it was then, its first calls, and what is to go on air later.
 */
export class Airing1700000008000 implements MigrationInterface {
  readonly name = 'Airing1700000008000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of statements) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['first_call', 'planned_airing', 'airing', 'rehearsal', 'accepted_finding']) {
      await runner.query(`DROP TABLE "${table}"`);
    }
    for (const column of ['directory', 'firstCalls'])
      await runner.query(`ALTER TABLE "version" DROP COLUMN "${column}"`);
    await runner.query(`ALTER TABLE "line" DROP COLUMN "emergencyAddress"`);
  }
}

const statements = [
  `ALTER TABLE "line" ADD COLUMN "emergencyAddress" text NOT NULL DEFAULT ''`,
  `ALTER TABLE "version" ADD COLUMN "directory" text`,
  `ALTER TABLE "version" ADD COLUMN "firstCalls" text NOT NULL DEFAULT '[]'`,
  `CREATE TABLE "accepted_finding" (
    "lineId" text NOT NULL REFERENCES "line" ("id") ON DELETE CASCADE,
    "key" text NOT NULL,
    "reason" text NOT NULL,
    "by" text NOT NULL,
    "at" integer NOT NULL,
    PRIMARY KEY ("lineId", "key")
  )`,
  `CREATE TABLE "rehearsal" (
    "id" text PRIMARY KEY NOT NULL,
    "lineId" text NOT NULL REFERENCES "line" ("id") ON DELETE CASCADE,
    "name" text NOT NULL,
    "scene" text NOT NULL,
    "expects" text NOT NULL,
    "was" text,
    "revision" integer NOT NULL DEFAULT 1,
    "deletedAt" integer
  )`,
  `CREATE INDEX "rehearsal_line" ON "rehearsal" ("lineId")`,
  `CREATE TABLE "airing" (
    "id" integer PRIMARY KEY AUTOINCREMENT NOT NULL,
    "lineId" text NOT NULL REFERENCES "line" ("id") ON DELETE CASCADE,
    "versionId" text NOT NULL REFERENCES "version" ("id") ON DELETE CASCADE,
    "at" integer NOT NULL,
    "by" text NOT NULL,
    "note" text NOT NULL,
    "how" text NOT NULL
  )`,
  `CREATE INDEX "airing_line" ON "airing" ("lineId")`,
  `INSERT INTO "airing" ("lineId", "versionId", "at", "by", "note", "how")
    SELECT "lineId", "id", "onAirAt", '', '', 'now' FROM "version" ORDER BY "onAirAt"`,
  `CREATE TABLE "planned_airing" (
    "lineId" text PRIMARY KEY NOT NULL REFERENCES "line" ("id") ON DELETE CASCADE,
    "attendant" text NOT NULL,
    "draftRevision" integer NOT NULL,
    "at" integer NOT NULL,
    "by" text NOT NULL,
    "note" text NOT NULL,
    "madeAt" integer NOT NULL,
    "revision" integer NOT NULL DEFAULT 1,
    "problem" text
  )`,
  `CREATE TABLE "first_call" (
    "versionId" text NOT NULL REFERENCES "version" ("id") ON DELETE CASCADE,
    "itemId" text NOT NULL,
    "state" text NOT NULL,
    "note" text NOT NULL,
    "by" text NOT NULL,
    "at" integer NOT NULL,
    PRIMARY KEY ("versionId", "itemId")
  )`,
];
