import type { MigrationInterface, QueryRunner } from 'typeorm';

/** How long callers may be without a person, a message or a place in a queue, before the proof speaks of it. */
export class Alone1700000017000 implements MigrationInterface {
  readonly name = 'Alone1700000017000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "settings" ADD COLUMN "mostAloneSeconds" integer NOT NULL DEFAULT (180)`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "settings" DROP COLUMN "mostAloneSeconds"`);
  }
}
