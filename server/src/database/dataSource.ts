import { join } from 'node:path';
import type { DataSourceOptions } from 'typeorm';
import { entities } from './entities';
import { FirstTables1700000001000 } from './migrations/1700000001-firstTables';
import { WholeDirectory1700000002000 } from './migrations/1700000002-wholeDirectory';
import { LiveLine1700000004000 } from './migrations/1700000004-liveLine';
import { GroupsAndQueues1700000003000 } from './migrations/1700000003-groupsAndQueues';
import { Recordings1700000005000 } from './migrations/1700000005-recordings';
import { SpecialDates1700000006000 } from './migrations/1700000006-specialDates';
import { Switches1700000007000 } from './migrations/1700000007-switches';
import { Airing1700000008000 } from './migrations/1700000008-airing';
import { CallsByLine1700000009000 } from './migrations/1700000009-callsByLine';
import { Operators1700000010000 } from './migrations/1700000010-operators';
import { Outgoing1700000013000 } from './migrations/1700000013-outgoing';
import { Traffic1700000014000 } from './migrations/1700000014-traffic';
import { TrafficQuestions1700000015000 } from './migrations/1700000015-trafficQuestions';
import { DaysOfCalls1700000016000 } from './migrations/1700000016-daysOfCalls';
import { Alone1700000017000 } from './migrations/1700000017-alone';
import { PuttingBack1700000018000 } from './migrations/1700000018-puttingBack';
import { DatedWeeks1700000019000 } from './migrations/1700000019-datedWeeks';
import { Rotas1700000020000 } from './migrations/1700000020-rotas';
import { Verdicts1700000021000 } from './migrations/1700000021-verdicts';
import { TextRecordings1700000022000 } from './migrations/1700000022-textRecordings';
import { Sweeping1700000012000 } from './migrations/1700000012-sweeping';
import { SilentMessages1700000011000 } from './migrations/1700000011-silentMessages';

/**
 * The database: one SQLite file, in write-ahead-log mode. `synchronous = FULL` so that what was answered as saved
 * survives a power cut, not only a killed server.
 */
export function dataSourceOptions(dataDir: string): DataSourceOptions {
  return {
    type: 'better-sqlite3',
    database: join(dataDir, 'locutor.sqlite'),
    enableWAL: true,
    // While another program has it locked, nobody waits standing still (see oneConnection).
    timeout: 0,
    prepareDatabase: (database: { pragma: (text: string) => unknown }) => {
      database.pragma('foreign_keys = ON');
      database.pragma('synchronous = FULL');
    },
    entities,
    migrations: [
      FirstTables1700000001000,
      WholeDirectory1700000002000,
      GroupsAndQueues1700000003000,
      LiveLine1700000004000,
      Recordings1700000005000,
      SpecialDates1700000006000,
      Switches1700000007000,
      Airing1700000008000,
      CallsByLine1700000009000,
      Operators1700000010000,
      SilentMessages1700000011000,
      Sweeping1700000012000,
      Outgoing1700000013000,
      Traffic1700000014000,
      TrafficQuestions1700000015000,
      DaysOfCalls1700000016000,
      Alone1700000017000,
      PuttingBack1700000018000,
      DatedWeeks1700000019000,
      Rotas1700000020000,
      Verdicts1700000021000,
      TextRecordings1700000022000,
    ],
    migrationsRun: true,
    synchronize: false,
  };
}
