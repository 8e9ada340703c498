import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * What Traffic counts of each call, made of its transcript by a worker (docs/traffic.md). A call that is over, or is told otherwise
 * afterwards, is put on the list of those that are to be counted; all that there are begin on it.
 */
export class Traffic1700000014000 implements MigrationInterface {
  readonly name = 'Traffic1700000014000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of tables) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const trigger of ['call_added', 'call_changed']) await runner.query(`DROP TRIGGER "${trigger}"`);
    for (const table of ['call_outside', 'call_wait', 'call_ring', 'call_visit', 'call_fact', 'call_uncounted']) {
      await runner.query(`DROP TABLE "${table}"`);
    }
  }
}

const ofFact = `"callId" text NOT NULL REFERENCES "call_fact" ("callId") ON DELETE CASCADE`;

/** What a trigger does where its row is there already is decided by the statement that set it off, not here. */
const listed = `INSERT INTO "call_uncounted" SELECT NEW."id" WHERE NOT EXISTS (SELECT 1 FROM "call_uncounted" WHERE "callId" = NEW."id");`;

const tables = [
  `CREATE TABLE "call_uncounted" (
    "callId" text PRIMARY KEY NOT NULL REFERENCES "call" ("id") ON DELETE CASCADE
  ) WITHOUT ROWID`,
  `CREATE TABLE "call_fact" (
    "callId" text PRIMARY KEY NOT NULL REFERENCES "call" ("id") ON DELETE CASCADE,
    "lineId" text NOT NULL,
    "versionId" text,
    "day" integer NOT NULL,
    "minute" integer NOT NULL,
    "outcome" text NOT NULL,
    "lengthMs" integer NOT NULL,
    "toPersonMs" integer,
    "through" text,
    "answeredBy" text,
    "firstSheetId" text,
    "firstChoice" text,
    "waitedMs" integer NOT NULL,
    "talkMs" integer NOT NULL,
    "holdMs" integer NOT NULL,
    "wrongKeys" integer NOT NULL,
    "silences" integer NOT NULL
  )`,
  `CREATE INDEX "call_fact_when" ON "call_fact" ("lineId", "day", "minute", "outcome")`,
  `CREATE TABLE "call_visit" (
    ${ofFact},
    "position" integer NOT NULL,
    "lineId" text NOT NULL,
    "day" integer NOT NULL,
    "sheetId" text NOT NULL,
    "choice" text NOT NULL,
    "afterMs" integer NOT NULL,
    "isFirstRound" boolean NOT NULL,
    PRIMARY KEY ("callId", "position")
  ) WITHOUT ROWID`,
  `CREATE INDEX "call_visit_sheet" ON "call_visit" ("lineId", "day", "sheetId", "choice", "isFirstRound", "afterMs")`,
  `CREATE TABLE "call_ring" (
    ${ofFact},
    "position" integer NOT NULL,
    "lineId" text NOT NULL,
    "day" integer NOT NULL,
    "minute" integer NOT NULL,
    "who" text NOT NULL,
    "through" text,
    "forMs" integer NOT NULL,
    "end" text NOT NULL,
    "talkMs" integer NOT NULL,
    "holdMs" integer NOT NULL,
    PRIMARY KEY ("callId", "position")
  ) WITHOUT ROWID`,
  `CREATE INDEX "call_ring_who" ON "call_ring" ("lineId", "day", "who", "end", "talkMs", "holdMs")`,
  `CREATE TABLE "call_wait" (
    ${ofFact},
    "position" integer NOT NULL,
    "lineId" text NOT NULL,
    "day" integer NOT NULL,
    "minute" integer NOT NULL,
    "queueId" text NOT NULL,
    "waitedMs" integer NOT NULL,
    "end" text NOT NULL,
    PRIMARY KEY ("callId", "position")
  ) WITHOUT ROWID`,
  `CREATE INDEX "call_wait_queue" ON "call_wait" ("lineId", "day", "queueId", "end", "waitedMs")`,
  `CREATE TABLE "call_outside" (
    ${ofFact},
    "position" integer NOT NULL,
    "lineId" text NOT NULL,
    "day" integer NOT NULL,
    "number" text NOT NULL,
    "forMs" integer NOT NULL,
    PRIMARY KEY ("callId", "position")
  ) WITHOUT ROWID`,
  `CREATE INDEX "call_outside_day" ON "call_outside" ("lineId", "day", "number", "forMs")`,
  `CREATE TRIGGER "call_added" AFTER INSERT ON "call" WHEN NEW."endedAt" IS NOT NULL BEGIN
    ${listed}
  END`,
  `CREATE TRIGGER "call_changed" AFTER UPDATE OF "transcript", "endedAt" ON "call" WHEN NEW."endedAt" IS NOT NULL BEGIN
    ${listed}
  END`,
  `INSERT INTO "call_uncounted" SELECT "id" FROM "call" WHERE "endedAt" IS NOT NULL`,
];
