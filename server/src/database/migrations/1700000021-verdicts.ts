import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What is known of what each recording says; of those that there are nothing is yet, and they are listened to. */
export class Verdicts1700000021000 implements MigrationInterface {
  readonly name = 'Verdicts1700000021000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "take" ADD COLUMN "verdict" text`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "take" DROP COLUMN "verdict"`);
  }
}
