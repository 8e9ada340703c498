import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Regular weeks that begin on a date, and whether breaks are told to callers. */
export class DatedWeeks1700000019000 implements MigrationInterface {
  readonly name = 'DatedWeeks1700000019000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "hours" ADD COLUMN "datedWeeks" text NOT NULL DEFAULT ('[]')`);
    await runner.query(`ALTER TABLE "hours" ADD COLUMN "breaksSaid" boolean NOT NULL DEFAULT (1)`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "hours" DROP COLUMN "breaksSaid"`);
    await runner.query(`ALTER TABLE "hours" DROP COLUMN "datedWeeks"`);
  }
}
