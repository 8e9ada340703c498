import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What outside numbers may be called, and how many at once: no premium or satellite numbers unless allowed. */
export class Outgoing1700000013000 implements MigrationInterface {
  readonly name = 'Outgoing1700000013000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `ALTER TABLE "settings" ADD COLUMN "outgoing" text NOT NULL DEFAULT ('{"kinds":["sharedCost"],"countries":null,"mostAtOnce":30}')`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "settings" DROP COLUMN "outgoing"`);
  }
}
