import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Who of a group is on call, what groups and queues say while they are closed, and who sets their own hours. */
export class Rotas1700000020000 implements MigrationInterface {
  readonly name = 'Rotas1700000020000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "ring_group" ADD COLUMN "rota" text`);
    for (const table of ['ring_group', 'call_queue']) {
      await runner.query(`ALTER TABLE "${table}" ADD COLUMN "closedWords" text NOT NULL DEFAULT ('')`);
      await runner.query(`ALTER TABLE "${table}" ADD COLUMN "specialWords" text NOT NULL DEFAULT ('')`);
    }
    await runner.query(`ALTER TABLE "person" ADD COLUMN "setsOwnHours" boolean NOT NULL DEFAULT (0)`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "person" DROP COLUMN "setsOwnHours"`);
    for (const table of ['ring_group', 'call_queue']) {
      await runner.query(`ALTER TABLE "${table}" DROP COLUMN "specialWords"`);
      await runner.query(`ALTER TABLE "${table}" DROP COLUMN "closedWords"`);
    }
    await runner.query(`ALTER TABLE "ring_group" DROP COLUMN "rota"`);
  }
}
