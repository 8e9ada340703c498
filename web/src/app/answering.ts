import { answersAt, nextChange, type Answer, type Hours, type Switch, type TimeZone } from '@locutor/core/hours';
import {
  describeOutside,
  findNamedPath,
  findSheet,
  pathAt,
  slotOfAnswer,
  usableSwitch,
  type Attendant,
  type Names,
} from '@locutor/core/line';
import { unreachable } from '@locutor/core/result';

/** What a caller reaches with an answer, as a name: a sheet's, a person's, a box's; words said before it are passed over. */
export function answerName(answer: Answer, attendant: Attendant, names: Names): string {
  const path = pathAt(attendant, slotOfAnswer(answer)) ?? [];
  const reached = path.filter((step) => step.type !== 'say').find((step) => step.type !== 'record');
  const deleted = 'something deleted';
  switch (reached?.type) {
    case 'goTo':
      return findSheet(attendant, reached.sheetId)?.name ?? deleted;
    case 'ring':
      return names[reached.personId] ?? deleted;
    case 'ringOperator':
      return 'the operator';
    case 'takeMessage':
      return `the box ${names[reached.boxId] ?? deleted}`;
    case 'ringOutside':
    case 'handOver':
      return describeOutside(reached.to, names);
    case 'toLine':
      return names[reached.lineId] ?? deleted;
    case 'followPath':
      return findNamedPath(attendant, reached.pathId)?.name ?? deleted;
    case 'searchByName':
      return 'a search by name';
    case 'askExtension':
      return 'a question for the extension';
    case 'hangUp':
      return 'a goodbye';
    case 'ringGroup':
      return names[reached.groupId] ?? deleted;
    case 'waitInQueue':
      return `the queue ${names[reached.queueId] ?? deleted}`;
    case 'back':
    case 'sayAgain':
    case undefined:
      return 'nothing';
    default:
      return unreachable(reached);
  }
}

export interface AnsweringNow {
  readonly answer: Answer;
  readonly name: string;
  /** When it changes and to what; undefined when it never does. */
  readonly next: { readonly atMs: number; readonly name: string } | undefined;
}

/** What answers at an instant by an attendant, and what follows. */
export function answeringNow(
  attendant: Attendant,
  hours: Hours,
  timeZone: TimeZone,
  names: Names,
  atMs: number,
  set: Switch | null = null,
): AnsweringNow {
  const { rules } = attendant.answering;
  const switched = usableSwitch(attendant, set);
  const answer = answersAt(rules, hours, timeZone, atMs, { switched });
  const change = nextChange(rules, hours, timeZone, atMs, switched);
  return {
    answer,
    name: answerName(answer, attendant, names),
    next: change && { atMs: change.atMs, name: nextName(change.answer) },
  };

  /** Where the same sheet goes on answering in another period, the period tells them apart. */
  function nextName(later: Answer): string {
    const name = answerName(later, attendant, names);
    const isSame = name === answerName(answer, attendant, names);
    return isSame && later.type === 'period' ? `${name} (${names[later.periodId] ?? 'another period'})` : name;
  }
}
