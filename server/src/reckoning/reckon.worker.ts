import { readFile } from 'node:fs/promises';
import { firstCalls } from '@locutor/core/firstCalls';
import {
  adviseOn,
  describeFinding,
  newlyFound,
  proof,
  whyItMatters,
  type Finding,
  type ProofSubject,
} from '@locutor/core/proof';
import { rehearse } from '@locutor/core/rehearsals';
import { quietestHours } from '@locutor/core/traffic';
import type { Names } from '@locutor/core/line';
import { unreachable } from '@locutor/core/result';
import { giveWay } from '../giveWay';
import { callersOf } from './callersOf';
import { costOf } from './costOf';
import { countCalls } from './countCalls';
import { callsCsv, pageOfIds, startedAt } from './fromLog';
import { asBefore, withChange } from './readBefore';
import { reportLetter } from './reportLetter';
import { leftAs, mixTracks, spokenOf } from './spoken';
import type { SaidFinding, Task } from './task';
import { todaySums, unpressedOf } from './todaySums';
import { answeredOf, pressedOf, whenSums, workOf } from './trafficSums';
import { tryOut } from './tryOut';
import { zipped } from './zipped';

giveWay();

/** Reckons what would hold the thread that runs the calls. */
export default function work(task: Task): unknown {
  switch (task.name) {
    case 'proof': {
      const subject = asBefore(task.from.subject);
      return said(proof(subject), subject, task.from.names);
    }
    case 'newlyFound': {
      const { lines, names } = task.from;
      return lines.map((line) => {
        const now = asBefore(line.now);
        const then = withChange(now, line.change);
        return said(newlyFound(now, then), then, names);
      });
    }
    case 'rehearse':
      return task.from.rehearsals.map((rehearsal) => rehearse(task.from.script, rehearsal));
    case 'firstCalls':
      return [...firstCalls(task.from.script, task.from.atMs, task.from.names)];
    case 'trials':
      return task.from.trials.map((trial) => tryOut(task.from.script, trial));
    case 'page':
      return pageOfIds(task.from);
    case 'countCalls':
      return countCalls(task.from);
    case 'when':
      return whenSums(task.from.database, task.from.span);
    case 'answered':
      return answeredOf(task.from.database, task.from.span, task.from.withinS);
    case 'pressed':
      return pressedOf(task.from.database, task.from.span);
    case 'work':
      return workOf(task.from.database, task.from.span);
    case 'cost':
      return costOf(task.from);
    case 'report':
      return reportLetter(task.from);
    case 'unpressed':
      return unpressedOf(task.from);
    case 'today':
      return todaySums(task.from);
    case 'callers':
      return callersOf(task.from.database, task.from.span);
    case 'quietest': {
      const { hours, zone, nowMs } = task.from;
      return quietestHours(startedAt(task.from), hours, zone, nowMs);
    }
    case 'spoken':
      return spokenOf(mixTracks(task.from));
    case 'leftAs':
      return readFile(task.from.path).then((file) => leftAs(file, task.from.mostMs));
    case 'zip':
      return zipped(task.from);
    case 'callsCsv':
      return callsCsv(task.from);
    default:
      return unreachable(task);
  }
}

function said(findings: readonly Finding[], subject: ProofSubject, names: Names): SaidFinding[] {
  return findings.map((finding) => ({
    ...finding,
    says: describeFinding(finding, subject.attendant, names),
    why: whyItMatters(finding.rule),
    advice: adviseOn(finding),
  }));
}
