import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Who operates a line, a person or a group. */
export class Operators1700000010000 implements MigrationInterface {
  readonly name = 'Operators1700000010000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "line" ADD COLUMN "operatorId" text`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "line" DROP COLUMN "operatorId"`);
  }
}
