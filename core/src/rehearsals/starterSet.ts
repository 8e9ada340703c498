import type { CallScript } from '../call';
import { clockReading } from '../hours';
import type { Key } from '../line';
import {
  everyPath,
  describeChoices,
  describeWholeEnd,
  describeMoment,
  type FoundPath,
  type Turn,
  type WayEnd,
} from '../paths';
import { findSheet, type Attendant, type Names } from '../line';
import type { Expectation, Rehearsal, Scene, SceneAct } from './rehearsal';
import { rehearse } from './rehearse';

/** A rehearsal that has no id yet. */
export type NewRehearsal = Omit<Rehearsal, 'id'>;

const mostMade = 60;
const stranger = '+12075550178';

/**
 * A set to begin with: for every kind of moment, each way through that ends somewhere, with somebody answering and with
 * nobody. Only those are given that go as they say, so that none is broken from the start.
 */
export function starterSet(script: CallScript, fromMs: number, names: Names): readonly NewRehearsal[] {
  const line = script.lines.find(({ id }) => id === script.lineId);
  if (!line) return [];
  const { paths } = everyPath(script, fromMs, { once: true });
  const made: NewRehearsal[] = [];
  for (const path of inOrder(paths)) {
    const rehearsal = rehearsalOf(path, script, line.attendant, names);
    if (!rehearsal || made.some(({ name }) => name === rehearsal.name)) continue;
    const run = rehearse(script, { ...rehearsal, id: 'rehearsal:starter' as Rehearsal['id'] });
    if (run.failed.length > 0) continue;
    made.push({ ...rehearsal, was: run.trace });
    if (made.length === mostMade) break;
  }
  return made;
}

/** What most callers do first: few keys before many; those who answer before those who do not. One caller fills no queue. */
function inOrder(paths: readonly FoundPath[]): readonly FoundPath[] {
  return paths
    .filter(({ staff, turns }) => staff !== 'busy' && turns.every(({ type }) => type !== 'queueFull'))
    .map((path, index) => ({ path, index }))
    .sort((one, other) => one.path.turns.length - other.path.turns.length || one.index - other.index)
    .map(({ path }) => path);
}

function rehearsalOf(
  path: FoundPath,
  script: CallScript,
  attendant: Attendant,
  names: Names,
): NewRehearsal | undefined {
  const ends = expectationsOf(path.end);
  const callerNumber = callerOf(path, script);
  if (ends.length === 0 || callerNumber === undefined) return undefined;
  const line = script.lines.find(({ id }) => id === script.lineId);
  const scene: Scene = {
    reading: clockReading(path.moment.atMs, line?.timeZone ?? 'UTC').slice(0, 16),
    callerNumber,
    acts: path.turns.flatMap((turn) => actsOf(turn, attendant)),
    staff: [],
    others: path.staff === 'answers' ? 'answers' : 'noAnswer',
  };
  const within = path.quickPersonMs === null ? [] : [withinOf(path.quickPersonMs)];
  const pressed = path.turns.length === 0 ? 'no key' : describeChoices(path.turns);
  const name = `${describeMoment(path.moment, names)}, ${pressed}: ${describeWholeEnd(path.end, attendant, names)}`;
  return {
    name: name.slice(0, 100),
    scene,
    expects: [...ends, ...(path.end.type === 'talks' ? within : [])],
    was: null,
  };
}

/** Time for the phone to be picked up, and a little more, so that a word more in a greeting breaks nothing. */
function withinOf(ms: number): Expectation {
  return { type: 'within', seconds: Math.ceil((ms / 1000 + 10) / 5) * 5 };
}

function callerOf({ moment }: FoundPath, { callerLists }: CallScript): string | undefined {
  if (!moment.callerListId) return stranger;
  const list = callerLists.find(({ id }) => id === moment.callerListId);
  const pattern = list?.patterns[0];
  if (!pattern) return list?.anonymous ? 'anonymous' : undefined;
  return pattern.endsWith('*') ? pattern.slice(0, -1).padEnd(12, '0') : pattern;
}

function actsOf(turn: Turn, attendant: Attendant): readonly SceneAct[] {
  if (turn.type === 'exitKey') return [{ type: 'press', keys: turn.key }];
  if (turn.type === 'queueFull') return [];
  const menu = findSheet(attendant, turn.sheetId);
  if (menu?.type !== 'menu') return [];
  switch (turn.type) {
    case 'key':
      return [{ type: 'press', keys: turn.key }];
    case 'silence':
      return Array.from({ length: menu.silentRounds }, () => ({ type: 'wait' }));
    case 'wrongKey': {
      const wrong = unusedKey(menu.options.map(({ key }) => key));
      return wrong ? Array.from({ length: menu.wrongKeys }, () => ({ type: 'press', keys: wrong })) : [];
    }
  }
}

/** A key that does nothing; the star and the pound sign first, since digits may begin extensions. */
function unusedKey(used: readonly Key[]): Key | undefined {
  return (['#', '*', '0', '9', '8', '7', '6', '5', '4', '3', '2', '1'] as const).find((key) => !used.includes(key));
}

function expectationsOf(end: WayEnd): readonly Expectation[] {
  switch (end.type) {
    case 'talks': {
      const { target } = end;
      const talk: Expectation = { type: 'ends', how: 'talk' };
      if (target.type === 'anybody') return [];
      const who =
        target.type === 'person'
          ? target.personId
          : target.type === 'group'
            ? target.groupId
            : target.type === 'queue'
              ? target.queueId
              : target.contactId;
      return who ? [{ type: 'reaches', who }, talk] : [talk];
    }
    case 'message':
      return [
        { type: 'reaches', who: end.boxId },
        { type: 'ends', how: 'message' },
      ];
    case 'hungUp':
      return [{ type: 'ends', how: 'lineHangsUp' }];
    case 'handedOver': {
      const who = end.target.contactId;
      return [...(who ? [{ type: 'reaches' as const, who }] : []), { type: 'ends', how: 'handedOver' }];
    }
    case 'line':
      return [{ type: 'reaches', who: end.lineId }];
    default:
      return [];
  }
}
