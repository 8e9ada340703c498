import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Calls are asked for by line and time: when callers call, and what a line's log holds. */
export class CallsByLine1700000009000 implements MigrationInterface {
  readonly name = 'CallsByLine1700000009000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE INDEX "call_line_startedAt" ON "call" ("lineId", "startedAt")`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP INDEX "call_line_startedAt"`);
  }
}
