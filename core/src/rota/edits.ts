import { peopleOfRota, rotaDefaults, type Member, type PersonId, type Rota } from '../directory';
import { showDate, weekdayOf, type DayNumber, type DayRange } from '../hours';
import { onCallOn, turnBegan, turnIndex } from './onCall';

/** A week each for all members, the first since the last Monday. */
export function newRota(members: readonly Member[], today: DayNumber): Rota {
  const turns = members.map(({ personId }) => personId);
  return { ...rotaDefaults, turns, from: showDate(today + 1 - weekdayOf(today)) };
}

/**
 * Other turns, or other times of handover, from now on: whoever is on call on the day stays so until the next handover, and
 * the turns go on from there. One who has no turn any more is followed by whoever would have come next.
 */
export function changeTurns(
  rota: Rota,
  changes: Partial<Pick<Rota, 'turns' | 'handoverOn' | 'handoverMin'>>,
  day: DayNumber,
): Rota {
  const next = { ...rota, ...changes };
  const index = turnIndex(rota, day);
  if (index === undefined) return next;
  const turns = alikest(next.turns, [...rota.turns.slice(index), ...rota.turns.slice(0, index)]);
  // No handover of the new ones may have passed since it began.
  const from = Math.max(turnBegan(rota, day), turnBegan({ ...next, from: rota.from }, day));
  return { ...next, turns, from: showDate(from) };
}

/** The turns beginning with whoever is due next of those who have one, where they then go on most as they were to. */
function alikest(turns: readonly PersonId[], due: readonly PersonId[]): readonly PersonId[] {
  const first = due.find((personId) => turns.includes(personId));
  const meant = due.slice(first === undefined ? 0 : due.indexOf(first));
  const rotations = turns.map((_, at) => [...turns.slice(at), ...turns.slice(0, at)]);
  const alike = (rotation: readonly PersonId[]): number => {
    const differs = meant.findIndex((personId, at) => rotation[at] !== personId);
    return differs < 0 ? meant.length : differs;
  };
  return rotations.reduce<readonly PersonId[]>((best, each) => (alike(each) > alike(best) ? each : best), turns);
}

/** Somebody is on call on some days, both in them, whoever's turn it is. Where it is theirs anyway, nothing is swapped. */
export function swapDays(rota: Rota, { from, to }: DayRange, personId: PersonId): Rota {
  const kept = withoutSwaps(rota, { from, to });
  const days = Array.from({ length: to - from + 1 }, (_, index) => from + index);
  const added = days
    .filter((day) => onCallOn(kept, day)?.personId !== personId)
    .map((day) => ({ date: showDate(day), personId }));
  return { ...kept, swaps: [...kept.swaps, ...added].sort((one, other) => one.date.localeCompare(other.date)) };
}

/** Everybody has their own turn again on some days, both in them. */
export function withoutSwaps(rota: Rota, { from, to }: DayRange): Rota {
  const [first, last] = [showDate(from), showDate(to)];
  return { ...rota, swaps: rota.swaps.filter(({ date }) => date < first || date > last) };
}

/** Without swaps that are over for so long that nobody asks about them any more. */
export function withoutOldSwaps(rota: Rota, today: DayNumber): Rota {
  const oldest = showDate(today - daysSwapsAreKept);
  return { ...rota, swaps: rota.swaps.filter(({ date }) => date >= oldest) };
}

const daysSwapsAreKept = 60;

/** Without those who are no members any more: the others go on as they would have. */
export function keepToMembers(rota: Rota, members: readonly Member[], day: DayNumber): Rota {
  const gone = peopleOfRota(rota).filter((id) => !members.some(({ personId }) => personId === id));
  return gone.reduce((kept, personId) => replacePerson(kept, personId, null, day), rota);
}

/** Somebody takes the turns of another, or nobody does: those who remain go on as they would have. */
export function replacePerson(rota: Rota, from: PersonId, to: PersonId | null, day: DayNumber): Rota {
  const meant = (personId: PersonId): readonly PersonId[] => (personId !== from ? [personId] : to ? [to] : []);
  const swaps = rota.swaps.flatMap((swap) => meant(swap.personId).map((personId) => ({ ...swap, personId })));
  if (to === null) return changeTurns({ ...rota, swaps }, { turns: rota.turns.flatMap(meant) }, day);
  return { ...rota, swaps, turns: rota.turns.flatMap(meant) };
}
