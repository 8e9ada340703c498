import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Seasons with a week of their own, and special dates. */
export class SpecialDates1700000006000 implements MigrationInterface {
  readonly name = 'SpecialDates1700000006000';

  async up(runner: QueryRunner): Promise<void> {
    for (const column of columns)
      await runner.query(`ALTER TABLE "hours" ADD COLUMN "${column}" text NOT NULL DEFAULT '[]'`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const column of columns) await runner.query(`ALTER TABLE "hours" DROP COLUMN "${column}"`);
  }
}

const columns = ['seasons', 'special'];
