import { answersAt } from '../hours';
import { pathGraph, type Attendant, type PathGraph, type SheetId } from '../line';
import { explorer, type Explored, type ExploredMenu, type Explorer, type Reach } from '../paths';
import { zoneOf } from './facts';
import { answeringMoments, type AnsweringAt } from './moments';
import { remember, rememberBy } from './remember';
import type { ProofSubject } from './rule';
import { trialScript, type TrialParts } from './trialScript';

/** What can come of calls that are answered in one way, at moments at which the same people are there. */
export interface AnsweredCalls extends AnsweringAt {
  readonly reach: Reach;
}

/** What can come of calls, tried out on the machine that answers them. */
export interface Calls {
  /** What they go by, and a moment at which it is open, if there is one. */
  readonly parts: TrialParts;
  readonly openMs: number;
  /** Of callers on no list, at moments that stand for the weeks ahead. */
  readonly answered: readonly AnsweredCalls[];
  /** Of callers on a list. */
  readonly listed: readonly Reach[];
  /** Of those who come to a sheet in another way, as by the switch: as if it answered. */
  readonly others: readonly Reach[];
}

/** What can come of calls to an attendant; reckoned again when a path or the directory changes, not when words do. */
export function callsOf(subject: ProofSubject): Calls {
  const { attendant, line, hours, allHours, people, groups, queues, boxes, contacts, callerLists, outgoing, lines } =
    subject;
  const parts = partsOf(line, hours, allHours, people, groups, queues, boxes, contacts, callerLists, outgoing, lines);
  return reckon(pathGraph(attendant), parts, answeringMoments(subject));
}

/** The same thing for the same parts. */
const partsOf = remember(
  (
    line: TrialParts['line'],
    hours: TrialParts['hours'],
    allHours: TrialParts['allHours'],
    people: TrialParts['people'],
    groups: TrialParts['groups'],
    queues: TrialParts['queues'],
    boxes: TrialParts['boxes'],
    contacts: TrialParts['contacts'],
    callerLists: TrialParts['callerLists'],
    outgoing: TrialParts['outgoing'],
    lines: TrialParts['lines'],
  ): TrialParts => ({ line, hours, allHours, people, groups, queues, boxes, contacts, callerLists, outgoing, lines }),
);

const reckon = rememberBy(({ attendant }: PathGraph, parts: TrialParts, answering: readonly AnsweringAt[]): Calls => {
  const tries = explorer(trialScript(parts, attendant));
  const answered = answering.flatMap((each) => byWhoIsThere(each, attendant, parts, tries));
  const openMs = answering.find(({ open }) => open.length > 0)?.open[0] ?? answering[0]?.moments[0] ?? 0;
  const listed = attendant.answering.rules.flatMap((rule) =>
    rule.type === 'callers' ? [tries.explore({ type: 'callers', callerListId: rule.callerListId }, openMs)] : [],
  );
  const others = asIfAnswering(attendant, [...answered.map(({ reach }) => reach), ...listed], tries, openMs);
  return { parts, openMs, answered, listed, others };
});

/** What comes of calls at moments at which the same answers, once for all at which the same people are there. */
function byWhoIsThere(
  { slot, moments, usual, closed, open }: AnsweringAt,
  { answering }: Attendant,
  { hours, line }: TrialParts,
  tries: Explorer,
): readonly AnsweredCalls[] {
  const found = new Map<string, number[]>();
  for (const atMs of moments) {
    const there = tries.there(atMs);
    const known = found.get(there);
    if (known) known.push(atMs);
    else found.set(there, [atMs]);
  }
  const [isUsual, isClosed, isOpen] = [new Set(usual), new Set(closed), new Set(open)];
  return [...found.values()].map((alike) => {
    const atMs = alike[0] ?? 0;
    const answer = answersAt(answering.rules, hours, zoneOf(line), atMs);
    return {
      slot,
      moments: alike,
      usual: alike.filter((each) => isUsual.has(each)),
      closed: alike.filter((each) => isClosed.has(each)),
      open: alike.filter((each) => isOpen.has(each)),
      reach: tries.explore(answer, atMs),
    };
  });
}

/** Sheets that no call came to are tried as if they answered. */
function asIfAnswering(
  { sheets }: Attendant,
  reached: readonly Reach[],
  tries: Explorer,
  atMs: number,
): readonly Reach[] {
  const met = new Set(reached.flatMap(sheetsIn));
  return sheets.flatMap(({ id }) => {
    if (met.has(id)) return [];
    const reach = tries.explore({ type: 'switch', to: { type: 'sheet', sheetId: id }, untilMs: Infinity }, atMs);
    for (const each of sheetsIn(reach)) met.add(each);
    return [reach];
  });
}

/** Of all whom the answering order answers. */
export function answeredReaches({ answered, listed }: Calls): readonly Reach[] {
  return [...answered.map(({ reach }) => reach), ...listed];
}

/** All there are. */
export function allReaches(calls: Calls): readonly Reach[] {
  return [...answeredReaches(calls), ...calls.others];
}

/** Every choice that callers have, the first of them dialling. */
export function choicesIn({ begins, menus }: Reach): readonly Explored[] {
  return [...begins, ...[...menus.values()].flatMap(({ choices }) => choices)];
}

/** The sheets that calls come to. */
export function sheetsIn(reach: Reach): readonly SheetId[] {
  return choicesIn(reach).flatMap(({ leg }) => leg.sheets);
}

/** What comes of a menu for those who press nothing, or only wrong keys; undefined where every key has a use. */
export function choiceIn({ choices }: ExploredMenu, type: 'silence' | 'wrongKey'): Explored | undefined {
  return choices.find(({ turn }) => turn?.type === type);
}
