import { closedReasonOf } from '../call';
import type { GroupId, Membership, QueueId } from '../directory';
import { isWorkingAt } from '../hours';
import { pathGraph, slotKey, type Attendant, type Key, type SheetId, type SpokenPlace, type Step } from '../line';
import type { Explored, ExploredMenu, Leg, Reach } from '../paths';
import { callsOf, choiceIn, choicesIn, type Calls } from './calls';
import { remember, rememberBy } from './remember';
import { zoneOf } from './facts';
import type { ProofSubject } from './rule';

/** In what situation something is heard, and what comes then of whoever presses nothing. */
export interface Hearing {
  /** The keys that have a use then, or in the menu that follows at once. */
  readonly keys: ReadonlySet<Key>;
  /** What callers go through who do nothing, choice by choice, to the end. */
  readonly nothing: readonly Leg[];
  /** Whether somebody is rung in it, after the words. */
  readonly rings: boolean;
  /** Whether it is heard while the business is open, and while it is not; of callers who come in another way neither. */
  readonly open: boolean;
  readonly closed: boolean;
}

/** Everything in which a text can be heard; none where no call comes to it. */
export function hearingsOf(subject: ProofSubject, place: SpokenPlace): readonly Hearing[] {
  const { attendant } = pathGraph(subject.attendant);
  return indexOf(callsOf(subject), attendant).get(keyOf(place)) ?? none;
}

const none: readonly Hearing[] = [];

const indexOf = remember((calls: Calls, attendant: Attendant) => {
  const index = new Map<string, Hearing[]>();
  const add = (place: SpokenPlace, hearing: Hearing): void => {
    const key = keyOf(place);
    const known = index.get(key);
    if (known) known.push(hearing);
    else index.set(key, [hearing]);
  };
  const keysOf = keysBySheet(attendant);
  const groups: readonly (readonly [Reach, number, Pick<Hearing, 'open' | 'closed'>])[] = [
    ...calls.answered.map(
      ({ reach, moments, open, closed }) =>
        [reach, moments[0] ?? calls.openMs, { open: open.length > 0, closed: closed.length > 0 }] as const,
    ),
    ...[...calls.listed, ...calls.others].map(
      (reach) => [reach, calls.openMs, { open: false, closed: false }] as const,
    ),
  ];
  for (const [reach, atMs, when] of groups) {
    const closedAt = (step: Step): SpokenPlace | undefined => closedPlace(calls.parts, step, atMs);
    for (const menu of reach.menus.values()) {
      const silence = choiceIn(menu, 'silence');
      const nothing = silence ? chainFrom(reach, silence) : [];
      const rings = nothing.some((leg) => leg.rings);
      add(menuPlace(menu.sheetId), { keys: keysOf(menu.sheetId), nothing, rings, ...when });
    }
    for (const choice of choicesIn(reach)) addLeg(add, reach, choice, keysOf, closedAt, when);
    const [first] = reach.begins;
    if (!first) continue;
    const nothing = chainFrom(reach, first);
    const keys = nextKeys(reach, first, keysOf);
    add(beforeAll, { keys, nothing, rings: nothing.some((leg) => leg.rings), ...when });
  }
  for (const { id, exitKey } of calls.parts.queues) {
    const keys: ReadonlySet<Key> = new Set(exitKey ? [exitKey] : []);
    // Whoever waits is waiting for somebody: that is what a queue is.
    add({ type: 'queueEntry', queueId: id }, { keys, nothing: [], rings: true, open: false, closed: false });
  }
  return index;
});

/** What is said before anything else, by a special date or the switch. */
const beforeAll: SpokenPlace = { type: 'switch' };

function addLeg(
  add: (place: SpokenPlace, hearing: Hearing) => void,
  reach: Reach,
  choice: Explored,
  keysOf: (sheetId: SheetId) => ReadonlySet<Key>,
  closedAt: (step: Step) => SpokenPlace | undefined,
  when: Pick<Hearing, 'open' | 'closed'>,
): void {
  const { leg } = choice;
  const later = chainFrom(reach, choice);
  const ringsLater = later.slice(1).some((each) => each.rings);
  const keys = nextKeys(reach, choice, keysOf);
  const place = (at: SpokenPlace, rings: boolean): void => {
    const isEnd = leg.end.type === 'message';
    add(at, { keys: isEnd ? new Set([...keys, '#', '*']) : keys, nothing: later, rings: rings || ringsLater, ...when });
  };
  for (const sheetId of leg.sheets) place({ type: 'words', sheetId, part: 'words' }, leg.rings);
  leg.steps.forEach(({ slot, stepIndex, step }, at) => {
    const ringsFrom = (from: number): boolean => leg.steps.slice(from).some((each) => ringing.has(each.step.type));
    place({ type: 'step', slot, stepIndex }, ringsFrom(at));
    const closed = closedAt(step);
    if (closed) place(closed, ringsFrom(at + 1));
  });
  if (leg.end.type === 'message') place({ type: 'box', boxId: leg.end.boxId }, false);
}

const ringing: ReadonlySet<string> = new Set([
  ...['ring', 'ringOperator', 'ringGroup', 'ringOutside', 'waitInQueue', 'handOver', 'toLine'],
  ...['searchByName', 'askExtension'],
]);

/** Where a group or queue that a step leads to says that it is closed, at a moment at which it is. */
function closedPlace(
  { groups, queues, allHours, line }: Calls['parts'],
  step: Step,
  atMs: number,
): SpokenPlace | undefined {
  const id =
    step.type === 'ringGroup'
      ? step.groupId
      : step.type === 'waitInQueue'
        ? step.queueId
        : step.type === 'ringOperator'
          ? line.operatorId
          : null;
  const found: (Membership & { readonly id: GroupId | QueueId }) | undefined = [...groups, ...queues].find(
    (each) => each.id === id,
  );
  const hours = found?.hoursId ? allHours.find((each) => each.id === found.hoursId) : undefined;
  const zone = zoneOf(line);
  if (!found || !hours || isWorkingAt(hours, zone, atMs)) return undefined;
  const isSpecial = closedReasonOf(hours, zone, atMs) === 'special' && found.specialWords !== '';
  return { type: 'closed', of: found.id, reason: isSpecial ? 'special' : 'closed' };
}

/** The keys of the menu that follows, where nobody is rung in between. */
function nextKeys(
  reach: Reach,
  { leg, to }: Explored,
  keysOf: (sheetId: SheetId) => ReadonlySet<Key>,
): ReadonlySet<Key> {
  const menu = to === null || leg.rings ? undefined : reach.menus.get(to);
  return menu ? keysOf(menu.sheetId) : noKeys;
}

const noKeys: ReadonlySet<Key> = new Set();

/** What callers go through from a choice on who do nothing more. */
function chainFrom(reach: Reach, from: Explored): readonly Leg[] {
  const legs: Leg[] = [];
  const met = new Set<ExploredMenu>();
  let choice: Explored | undefined = from;
  while (choice) {
    legs.push(choice.leg);
    const menu: ExploredMenu | undefined = choice.to === null ? undefined : reach.menus.get(choice.to);
    if (!menu || met.has(menu)) break;
    met.add(menu);
    choice = choiceIn(menu, 'silence');
  }
  return legs;
}

const keysBySheet = rememberBy(({ sheets }: Attendant) => {
  const known = new Map(
    sheets.map((sheet) => [sheet.id, new Set(sheet.type === 'menu' ? sheet.options.map(({ key }) => key) : [])]),
  );
  return (sheetId: SheetId): ReadonlySet<Key> => known.get(sheetId) ?? noKeys;
});

function menuPlace(sheetId: SheetId): SpokenPlace {
  return { type: 'words', sheetId, part: 'openingWords' };
}

function keyOf(place: SpokenPlace): string {
  switch (place.type) {
    case 'words':
      // All parts of a menu are heard alike.
      return `${place.sheetId} ${place.part === 'words' ? 'words' : 'menu'}`;
    case 'option':
      return `${place.sheetId} menu`;
    case 'step':
      return `${slotKey(place.slot)} ${place.stepIndex}`;
    case 'closed':
      return `${place.of} ${place.reason}`;
    case 'queueEntry':
    case 'queueWaiting':
      return place.queueId;
    case 'queueHold':
      return `${place.queueId} hold`;
    case 'box':
      return place.boxId;
    case 'special':
    case 'switch':
      return 'before all';
    case 'greeting':
      return 'nowhere';
  }
}
