import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * The calls of each day and line as columns (docs/traffic.md), made of what was counted of them by a worker. A day is thrown away
 * as soon as a call of it is counted or forgotten, and made anew.
 */
export class DaysOfCalls1700000016000 implements MigrationInterface {
  readonly name = 'DaysOfCalls1700000016000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of up) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const statement of down) await runner.query(statement);
  }
}

const changed = (row: 'NEW' | 'OLD'): string =>
  `UPDATE "call_day" SET "calls" = NULL, "callIds" = NULL, "visits" = NULL, "rings" = NULL WHERE "lineId" = ${row}."lineId" AND "day" = ${row}."day";
    INSERT INTO "call_day" ("lineId", "day") SELECT ${row}."lineId", ${row}."day"
    WHERE NOT EXISTS (SELECT 1 FROM "call_day" WHERE "lineId" = ${row}."lineId" AND "day" = ${row}."day");`;

const up = [
  `CREATE TABLE "call_day" (
    "id" integer PRIMARY KEY NOT NULL,
    "lineId" text NOT NULL,
    "day" integer NOT NULL,
    "calls" text,
    "callIds" text,
    "visits" text,
    "rings" text
  )`,
  `CREATE UNIQUE INDEX "call_day_of" ON "call_day" ("lineId", "day")`,
  `CREATE INDEX "call_day_unmade" ON "call_day" ("id") WHERE "calls" IS NULL`,
  `CREATE TRIGGER "call_fact_added" AFTER INSERT ON "call_fact" BEGIN
    ${changed('NEW')}
  END`,
  `CREATE TRIGGER "call_fact_gone" AFTER DELETE ON "call_fact" BEGIN
    ${changed('OLD')}
  END`,
  `INSERT INTO "call_day" ("lineId", "day") SELECT DISTINCT "lineId", "day" FROM "call_fact"`,
];

const down = [`DROP TRIGGER "call_fact_gone"`, `DROP TRIGGER "call_fact_added"`, `DROP TABLE "call_day"`];
