/**
 * How many calls at once a number of lines or members carry: the formulas of A. K. Erlang (B, C) and C. Palm (A), as ITU-T
 * E.501 and the Teletraffic Engineering Handbook (ITU-D SG 2, chapters 4 and 9) have them. Calls come at random (Poisson), and
 * last as long as is usual of them (exponential, with this mean).
 */

/** The share of calls that find all of so many lines busy, where they are lost then; `load` in erlang. From 0 to 1. */
export function erlangB(load: number, lines: number): number {
  let blocked = 1;
  for (let count = 1; count <= lines; count += 1) blocked = (load * blocked) / (count + load * blocked);
  return load > 0 ? blocked : Number(lines === 0);
}

/** The share of callers who wait, where all do until they are served; 1 where more call than so many members can serve. */
export function erlangC(load: number, members: number): number {
  if (load <= 0) return 0;
  if (load >= members) return 1;
  const blocked = erlangB(load, members);
  return blocked / (1 - (load / members) * (1 - blocked));
}

/** Who calls, and how long it takes to serve them. */
export interface Demand {
  readonly callsPerHour: number;
  /** How long a call keeps a member, the rest after it included, in s. */
  readonly servedS: number;
  /** How long callers wait on average before they give up, in s (exponential); null where nobody does. */
  readonly patienceS: number | null;
}

/** How a queue goes in the long run. */
export interface Waiting {
  /** The share of callers who wait at all. */
  readonly waits: number;
  /** The share who give up. */
  readonly gaveUp: number;
  /** How long a caller waits on average, those who do not wait and those who give up included, in s; null where it grows without end. */
  readonly meanS: number | null;
  /** The share of their time that members are busy. */
  readonly busy: number;
  /** The share of all callers who are answered within so many s. */
  readonly within: (seconds: number) => number;
}

const secondsOfHour = 3600;
const leastShare = 1e-12;

export function loadOf({ callsPerHour, servedS }: Demand): number {
  return (callsPerHour * servedS) / secondsOfHour;
}

/** How a queue goes with so many members: Erlang C, or A where callers give up. */
export function waitingWith(demand: Demand, members: number): Waiting {
  if (demand.callsPerHour <= 0 || demand.servedS <= 0) return nobodyWaits;
  if (members <= 0) return nobodyServes(demand);
  return demand.patienceS === null ? patient(demand, members) : impatient(demand, demand.patienceS, members);
}

const nobodyWaits: Waiting = { waits: 0, gaveUp: 0, meanS: 0, busy: 0, within: () => 1 };

function nobodyServes({ patienceS }: Demand): Waiting {
  return { waits: 1, gaveUp: patienceS === null ? 0 : 1, meanS: patienceS, busy: 0, within: () => 0 };
}

function patient(demand: Demand, members: number): Waiting {
  const load = loadOf(demand);
  const waits = erlangC(load, members);
  if (load >= members) return { waits, gaveUp: 0, meanS: null, busy: 1, within: () => 0 };
  const freedPerS = (members - load) / demand.servedS;
  return {
    waits,
    gaveUp: 0,
    meanS: waits / freedPerS,
    busy: load / members,
    within: (seconds) => 1 - waits * Math.exp(-freedPerS * Math.max(0, seconds)),
  };
}

function impatient(demand: Demand, patienceS: number, members: number): Waiting {
  const comePerS = demand.callsPerHour / secondsOfHour;
  const servedPerS = 1 / demand.servedS;
  const givesUpPerS = 1 / patienceS;
  const { served, ahead } = inTheLongRun(comePerS, servedPerS, givesUpPerS, members);
  const waits = sum(ahead);
  const inLine = ahead.reduce((all, share, index) => all + share * index, 0);
  const gaveUp = Math.min(1, (inLine * givesUpPerS) / comePerS);
  const leave = { allPerS: members * servedPerS, givesUpPerS };
  return {
    waits,
    gaveUp,
    meanS: inLine / comePerS,
    busy: Math.min(1, ((1 - gaveUp) * comePerS) / (members * servedPerS)),
    within: (seconds) => Math.min(1, served + answeredBy(ahead, leave, Math.max(0, seconds))),
  };
}

/**
 * What a caller finds who comes: `served`, the share of the time in which somebody is free; and `ahead[n]`, in which all are
 * busy and n wait already.
 */
function inTheLongRun(
  comePerS: number,
  servedPerS: number,
  givesUpPerS: number,
  members: number,
): { readonly served: number; readonly ahead: readonly number[] } {
  // Relative to the state in which all are busy and nobody waits, so that nothing grows beyond what numbers hold.
  let state = 1;
  let free = 0;
  for (let busy = members; busy > 0 && state > leastShare; busy -= 1) {
    state *= (busy * servedPerS) / comePerS;
    free += state;
  }
  const ahead = [1];
  for (let waiting = 1; ; waiting += 1) {
    const next = ((ahead[waiting - 1] ?? 0) * comePerS) / (members * servedPerS + waiting * givesUpPerS);
    if (next < leastShare && comePerS < members * servedPerS + waiting * givesUpPerS) break;
    ahead.push(next);
  }
  const all = free + sum(ahead);
  return { served: free / all, ahead: ahead.map((share) => share / all) };
}

/**
 * The share of callers who found all busy and are answered within a time: those ahead of them are served, or give up, one
 * after the other, and they themselves may give up as well. By uniformization of that chain.
 */
function answeredBy(
  ahead: readonly number[],
  { allPerS, givesUpPerS }: { readonly allPerS: number; readonly givesUpPerS: number },
  seconds: number,
): number {
  const fastest = allPerS + ahead.length * givesUpPerS;
  const steps = fastest * seconds;
  let places = [...ahead];
  let answered = 0;
  let total = 0;
  // Of so many steps at random (Poisson): the chance of each number of them, from the likeliest down would be no closer.
  let logChance = -steps;
  for (let step = 0; step <= steps + 8 * Math.sqrt(steps) + 30; step += 1) {
    if (step > 0) logChance += Math.log(steps / step);
    total += Math.exp(logChance) * answered;
    const next = places.map((share) => share);
    let now = 0;
    for (let place = 0; place < places.length; place += 1) {
      const share = places[place] ?? 0;
      const onward = (share * (allPerS + place * givesUpPerS)) / fastest;
      const gone = (share * givesUpPerS) / fastest;
      next[place] = (next[place] ?? 0) - onward - gone;
      if (place === 0) now += onward;
      else next[place - 1] = (next[place - 1] ?? 0) + onward;
    }
    answered += now;
    places = next;
  }
  return total;
}

/** What is to be reached: such a share of all callers is answered within so many s. */
export interface Target {
  /** From 0 to 1. */
  readonly share: number;
  readonly withinS: number;
}

const mostMembers = 500;

/** How many members reach a target at the least; null where none do, such as for all callers. */
export function membersFor(demand: Demand, { share, withinS }: Target): number | null {
  if (demand.callsPerHour <= 0 || demand.servedS <= 0) return 0;
  if (share >= 1) return null;
  for (let members = 1; members <= mostMembers; members += 1) {
    if (waitingWith(demand, members).within(withinS) >= share) return members;
  }
  return null;
}

/** How many lines are needed at the least, so that no more than such a share of calls finds them all busy; null where none do. */
export function linesFor(load: number, mostBlocked: number): number | null {
  if (load <= 0) return 0;
  if (mostBlocked <= 0) return null;
  let blocked = 1;
  for (let lines = 1; lines <= 10 * mostMembers; lines += 1) {
    blocked = (load * blocked) / (lines + load * blocked);
    if (blocked <= mostBlocked) return lines;
  }
  return null;
}

function sum(all: readonly number[]): number {
  return all.reduce((total, each) => total + each, 0);
}
