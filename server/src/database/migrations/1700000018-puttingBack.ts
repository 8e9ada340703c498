import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Earlier versions can be planned to go back on air, and checklists are made anew when they do or the number changes. */
export class PuttingBack1700000018000 implements MigrationInterface {
  readonly name = 'PuttingBack1700000018000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "planned_airing" ADD COLUMN "versionId" text`);
    await runner.query(`ALTER TABLE "version" ADD COLUMN "firstCallsAt" integer NOT NULL DEFAULT (0)`);
    await runner.query(`ALTER TABLE "version" ADD COLUMN "firstCallsNumber" text NOT NULL DEFAULT ('')`);
    await runner.query(
      `UPDATE "version" SET "firstCallsNumber" =
        COALESCE((SELECT "number" FROM "line" WHERE "line"."id" = "version"."lineId"), '')`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "version" DROP COLUMN "firstCallsNumber"`);
    await runner.query(`ALTER TABLE "version" DROP COLUMN "firstCallsAt"`);
    await runner.query(`ALTER TABLE "planned_airing" DROP COLUMN "versionId"`);
  }
}
