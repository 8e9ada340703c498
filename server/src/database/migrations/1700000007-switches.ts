import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The switch of each line, as it was set time after time. */
export class Switches1700000007000 implements MigrationInterface {
  readonly name = 'Switches1700000007000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE "switch" (
      "id" integer PRIMARY KEY AUTOINCREMENT NOT NULL,
      "lineId" text NOT NULL REFERENCES "line" ("id") ON DELETE CASCADE,
      "to" text NOT NULL,
      "fromMs" integer NOT NULL,
      "untilMs" integer NOT NULL,
      "words" text NOT NULL,
      "by" text NOT NULL,
      "endedAt" integer,
      "endedBy" text NOT NULL DEFAULT ''
    )`);
    await runner.query(`CREATE INDEX "switch_line" ON "switch" ("lineId")`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE "switch"`);
  }
}
