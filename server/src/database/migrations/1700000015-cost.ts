import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * What calls cost and may cost, spans of Traffic that are kept by a name, and who gets reports; and which mails about them were
 * written, so that none is written twice.
 */
export class Cost1700000015000 implements MigrationInterface {
  readonly name = 'Cost1700000015000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `ALTER TABLE "settings" ADD COLUMN "rates" text NOT NULL DEFAULT ('{"currency":"USD","cards":[]}')`,
    );
    await runner.query(`ALTER TABLE "settings" ADD COLUMN "budget" text`);
    await runner.query(`ALTER TABLE "settings" ADD COLUMN "savedSpans" text NOT NULL DEFAULT ('[]')`);
    await runner.query(
      `ALTER TABLE "settings" ADD COLUMN "report" text NOT NULL DEFAULT ('{"every":"never","lineId":null,"tell":[]}')`,
    );
    await runner.query(
      `CREATE TABLE "traffic_mail" ("what" text PRIMARY KEY NOT NULL, "madeAt" integer NOT NULL) WITHOUT ROWID`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE "traffic_mail"`);
    for (const column of ['report', 'savedSpans', 'budget', 'rates']) {
      await runner.query(`ALTER TABLE "settings" DROP COLUMN "${column}"`);
    }
  }
}
