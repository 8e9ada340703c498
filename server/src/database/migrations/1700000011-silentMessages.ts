import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Messages into which nobody spoke, and what was typed in place of speaking. */
export class SilentMessages1700000011000 implements MigrationInterface {
  readonly name = 'SilentMessages1700000011000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "message" ADD COLUMN "silent" boolean NOT NULL DEFAULT (0)`);
    await runner.query(`ALTER TABLE "message" ADD COLUMN "words" text NOT NULL DEFAULT ('')`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "message" DROP COLUMN "words"`);
    await runner.query(`ALTER TABLE "message" DROP COLUMN "silent"`);
  }
}
