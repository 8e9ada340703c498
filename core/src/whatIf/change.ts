import {
  personDefaults,
  personId,
  queueDefaults,
  queueId,
  queueReasons,
  type Group,
  type GroupId,
  type Person,
  type PersonId,
  type Queue,
  type QueueId,
} from '../directory';
import type { CallScript } from '../call';
import { withEachWeek, type Weekday, type WeekSpan } from '../hours';
import type { Attendant, Fallback, Path, Step } from '../line';

/** What a plan changes, on some weekdays or on all. Until it is said of which group, queue or person, nothing changes. */
export type Change = { readonly on: readonly Weekday[] } & (
  | { readonly type: 'calls'; readonly percent: number }
  /** Somebody of the staff answers too, or somebody new (null). */
  | { readonly type: 'moreMembers'; readonly of: GroupId | QueueId | null; readonly who: PersonId | null }
  | { readonly type: 'fewerMembers'; readonly of: GroupId | QueueId | null; readonly who: PersonId | null }
  | { readonly type: 'away'; readonly who: PersonId | null }
  | {
      readonly type: 'seconds';
      readonly of: GroupId | QueueId | null;
      readonly what: ChangedSeconds;
      readonly to: number;
    }
  | { readonly type: 'mostCallers'; readonly of: QueueId | null; readonly to: number }
  /** Those whom the group rings wait in a queue instead, with the same members. */
  | { readonly type: 'queueForGroup'; readonly of: GroupId | null }
  /** The line's first period runs from one minute of the day to another. */
  | { readonly type: 'open'; readonly fromMin: number; readonly toMin: number }
);
export type ChangeType = Change['type'];

/** How long a member is rung, is left alone after a call; how long callers wait at the most. */
export const changedSeconds = ['memberSeconds', 'restSeconds', 'longestWaitSeconds'] as const;
export type ChangedSeconds = (typeof changedSeconds)[number];

export const mostChanges = 12;
export const callsLimits = { least: -90, most: 300 } as const;

/** Whether it is said of which group, queue or person a change is. */
export function isWhole(change: Change): boolean {
  if ('of' in change && change.of === null) return false;
  return change.type === 'away' || change.type === 'fewerMembers' ? change.who !== null : true;
}

/** Somebody who is not on the staff yet; the first of several. */
function newcomer(index: number): PersonId {
  return personId.create(`whatif-new-${index}`);
}

/** What a plan makes of a day: the script calls go by, who is away, and how many calls come for each one that came. */
export interface DayPlan {
  readonly script: CallScript;
  readonly away: readonly PersonId[];
  readonly callsShare: number;
}

/** A script as changes make it on a weekday. */
export function plannedOn(script: CallScript, changes: readonly Change[], weekday: Weekday): DayPlan {
  const holding = changes.filter(({ on }) => on.length === 0 || on.includes(weekday));
  let plan: DayPlan = { script, away: [], callsShare: 1 };
  holding.forEach((change, index) => {
    plan = changed(plan, change, index);
  });
  return plan;
}

function changed(plan: DayPlan, change: Change, index: number): DayPlan {
  const { script } = plan;
  if (!isWhole(change)) return plan;
  switch (change.type) {
    case 'calls':
      return { ...plan, callsShare: Math.max(0, plan.callsShare * (1 + change.percent / 100)) };
    case 'away':
      return change.who === null ? plan : { ...plan, away: [...plan.away, change.who] };
    case 'moreMembers':
      return { ...plan, script: withMember(script, change.of, change.who, index) };
    case 'fewerMembers':
      return {
        ...plan,
        script: withMembership(script, change.of, (kept) => ({
          ...kept,
          members: kept.members.filter((member) => member.personId !== change.who),
        })),
      };
    case 'seconds':
      return { ...plan, script: withMembership(script, change.of, (kept) => ({ ...kept, [change.what]: change.to })) };
    case 'mostCallers':
      return { ...plan, script: withMembership(script, change.of, (kept) => ({ ...kept, mostCallers: change.to })) };
    case 'queueForGroup':
      return { ...plan, script: withQueueFor(script, change.of) };
    case 'open':
      return { ...plan, script: openBetween(script, change.fromMin, change.toMin) };
  }
}

function withMembership(
  script: CallScript,
  of: GroupId | QueueId | null,
  change: <Kept extends Group | Queue>(kept: Kept) => Kept,
): CallScript {
  return {
    ...script,
    groups: script.groups.map((group) => (group.id === of ? change(group) : group)),
    queues: script.queues.map((queue) => (queue.id === of ? change(queue) : queue)),
  };
}

/** They are rung last, in the last tier. */
function withMember(script: CallScript, of: GroupId | QueueId | null, who: PersonId | null, index: number): CallScript {
  const id = who ?? newcomer(index);
  const added = withMembership(script, of, (kept) => {
    const tier = Math.max(1, ...kept.members.map((member) => member.tier));
    const others = kept.members.filter((member) => member.personId !== id);
    return { ...kept, members: [...others, { personId: id, tier }] };
  });
  if (who !== null) return added;
  const newPerson: Person = { ...personDefaults, id, name: 'Somebody new', extension: '', inDirectory: false };
  return { ...added, people: [...script.people, newPerson] };
}

/** The queue that stands in for a group. */
export function queueInPlaceOf(groupId: GroupId): QueueId {
  return queueId.create(`whatif-${groupId.split(':')[1] ?? ''}`);
}

function withQueueFor(script: CallScript, groupId: GroupId | null): CallScript {
  const group = script.groups.find(({ id }) => id === groupId);
  if (!group || groupId === null) return script;
  const { members, memberSeconds, restSeconds, ringsOn, workingOnly, hoursId, name } = group;
  const { closedWords, specialWords } = group;
  // A queue offers nobody calls by a rota.
  const order = group.order === 'onCall' ? 'inOrder' : group.order;
  const queue: Queue = {
    ...queueDefaults,
    ...{ id: queueInPlaceOf(groupId), name, members, memberSeconds, restSeconds, ringsOn, workingOnly, hoursId, order },
    ...{ closedWords, specialWords },
  };
  const inPlace = (step: Step): Step =>
    step.type === 'ringGroup' && step.groupId === groupId ? { type: 'waitInQueue', queueId: queue.id } : step;
  return {
    ...script,
    queues: [...script.queues, queue],
    lines: script.lines.map((line) => ({
      ...line,
      attendant: withFallbacks(withSteps(line.attendant, inPlace), groupId, queue.id),
    })),
  };
}

const answeredReasons = queueReasons.filter((reason) => reason !== 'closed' && reason !== 'special');

/** Whom the queue does not connect goes where those go whom nobody of the group answers. */
function withFallbacks(attendant: Attendant, groupId: GroupId, id: QueueId): Attendant {
  const same = attendant.fallbacks.flatMap((fallback): Fallback[] => {
    if (fallback.type === 'queue' || fallback.groupId !== groupId) return [];
    const { path } = fallback;
    const reasons = fallback.type === 'groupClosed' ? [fallback.reason] : answeredReasons;
    return reasons.map((reason) => ({ type: 'queue', queueId: id, reason, path }));
  });
  return { ...attendant, fallbacks: [...attendant.fallbacks, ...same] };
}

/** An attendant whose every step is put through a change. */
function withSteps(attendant: Attendant, change: (step: Step) => Step): Attendant {
  const inPath = (path: Path): Path => path.map(change);
  return {
    ...attendant,
    sheets: attendant.sheets.map((sheet) =>
      sheet.type === 'announcement'
        ? { ...sheet, afterPath: inPath(sheet.afterPath) }
        : {
            ...sheet,
            options: sheet.options.map((option) => ({ ...option, path: inPath(option.path) })),
            silencePath: inPath(sheet.silencePath),
            wrongKeyPath: inPath(sheet.wrongKeyPath),
          },
    ),
    paths: attendant.paths.map((path) => ({ ...path, steps: inPath(path.steps) })),
    answering: {
      rules: attendant.answering.rules.map((rule) => ({ ...rule, path: inPath(rule.path) })),
      otherwise: inPath(attendant.answering.otherwise),
    },
    fallbacks: attendant.fallbacks.map((fallback) => ({ ...fallback, path: inPath(fallback.path) })),
  };
}

/** The day's hours are those of the regular week and of seasons alike; special dates stay as they are. */
function openBetween(script: CallScript, fromMin: number, toMin: number): CallScript {
  return {
    ...script,
    lines: script.lines.map((line) => {
      const [first] = line.hours.periods;
      if (line.id !== script.lineId || !first) return line;
      const open = (week: readonly WeekSpan[]): readonly WeekSpan[] => [
        ...week.filter(({ periodId }) => periodId !== first.id),
        ...([1, 2, 3, 4, 5, 6, 7] as const).map((day) => ({
          ...{ periodId: first.id, day, startMin: fromMin, endMin: toMin },
        })),
      ];
      return { ...line, hours: withEachWeek(line.hours, open) };
    }),
  };
}
