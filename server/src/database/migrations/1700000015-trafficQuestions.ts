import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * What calls cost and may cost, spans of Traffic that are kept by a name, who gets reports, and which mails about them were
 * written, so that none is written twice; a short text of each call to search in; and of each visit to a sheet how often the
 * caller erred or pressed nothing there, for which all calls are counted anew.
 */
export class TrafficQuestions1700000015000 implements MigrationInterface {
  readonly name = 'TrafficQuestions1700000015000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of up) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const statement of down) await runner.query(statement);
  }
}

const up = [
  `ALTER TABLE "settings" ADD COLUMN "rates" text NOT NULL DEFAULT ('{"currency":"USD","cards":[]}')`,
  `ALTER TABLE "settings" ADD COLUMN "budget" text`,
  `ALTER TABLE "settings" ADD COLUMN "savedSpans" text NOT NULL DEFAULT ('[]')`,
  `ALTER TABLE "settings" ADD COLUMN "report" text NOT NULL DEFAULT ('{"every":"never","lineId":null,"tell":[]}')`,
  `CREATE TABLE "traffic_mail" ("what" text PRIMARY KEY NOT NULL, "madeAt" integer NOT NULL) WITHOUT ROWID`,
  `ALTER TABLE "call_visit" ADD COLUMN "wrongKeys" integer NOT NULL DEFAULT (0)`,
  `ALTER TABLE "call_visit" ADD COLUMN "silences" integer NOT NULL DEFAULT (0)`,
  // In the order in which they began, which is that in which they are charged.
  `CREATE INDEX "call_fact_order" ON "call_fact" ("day", "minute", "callId")`,
  `CREATE TABLE "call_words" (
    "id" integer PRIMARY KEY NOT NULL,
    "callId" text NOT NULL UNIQUE REFERENCES "call" ("id") ON DELETE CASCADE,
    "text" text NOT NULL
  )`,
  // Any three letters or digits in a row are found; the text itself is kept in the table only.
  `CREATE VIRTUAL TABLE "call_search" USING fts5("text", content='call_words', content_rowid='id', tokenize='trigram remove_diacritics 1')`,
  `CREATE TRIGGER "call_words_added" AFTER INSERT ON "call_words" BEGIN
    INSERT INTO "call_search" ("rowid", "text") VALUES (NEW."id", NEW."text");
  END`,
  `CREATE TRIGGER "call_words_gone" AFTER DELETE ON "call_words" BEGIN
    INSERT INTO "call_search" ("call_search", "rowid", "text") VALUES ('delete', OLD."id", OLD."text");
  END`,
  `INSERT INTO "call_uncounted" SELECT "id" FROM "call" WHERE "endedAt" IS NOT NULL
    AND "id" NOT IN (SELECT "callId" FROM "call_uncounted")`,
];

const down = [
  `DROP TRIGGER "call_words_gone"`,
  `DROP TRIGGER "call_words_added"`,
  `DROP TABLE "call_search"`,
  `DROP TABLE "call_words"`,
  `DROP INDEX "call_fact_order"`,
  `ALTER TABLE "call_visit" DROP COLUMN "silences"`,
  `ALTER TABLE "call_visit" DROP COLUMN "wrongKeys"`,
  `DROP TABLE "traffic_mail"`,
  ...['report', 'savedSpans', 'budget', 'rates'].map((column) => `ALTER TABLE "settings" DROP COLUMN "${column}"`),
];
