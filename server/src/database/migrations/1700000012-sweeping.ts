import type { MigrationInterface, QueryRunner } from 'typeorm';

/** How long what nobody needs any more is kept, and when a spoken sentence was last heard. */
export class Sweeping1700000012000 implements MigrationInterface {
  readonly name = 'Sweeping1700000012000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "settings" ADD COLUMN "keepDeletedDays" integer NOT NULL DEFAULT (30)`);
    await runner.query(`ALTER TABLE "settings" ADD COLUMN "keepSpokenDays" integer NOT NULL DEFAULT (90)`);
    await runner.query(`ALTER TABLE "settings" ADD COLUMN "mostSpokenMegabytes" integer NOT NULL DEFAULT (500)`);
    await runner.query(`ALTER TABLE "spoken_sentence" ADD COLUMN "usedAt" integer NOT NULL DEFAULT (0)`);
    // As if heard just now: what is on air is not to be spoken anew because nobody noted it before.
    await runner.query(`UPDATE "spoken_sentence" SET "usedAt" = unixepoch() * 1000`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "spoken_sentence" DROP COLUMN "usedAt"`);
    await runner.query(`ALTER TABLE "settings" DROP COLUMN "mostSpokenMegabytes"`);
    await runner.query(`ALTER TABLE "settings" DROP COLUMN "keepSpokenDays"`);
    await runner.query(`ALTER TABLE "settings" DROP COLUMN "keepDeletedDays"`);
  }
}
