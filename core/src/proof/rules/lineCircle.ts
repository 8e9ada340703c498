import { specialDateId, type Answer } from '../../hours';
import type { AnsweringRule, Attendant, LineId, Slot, Step } from '../../line';
import { slotKey } from '../../line';
import { explorer, type Explored, type ExploredMenu, type Reach } from '../../paths';
import { answeredReaches, callsOf, choiceIn, type Calls } from '../calls';
import { numberOf, type Outsiders } from '../outsideCalls';
import { rememberBy } from '../remember';
import { atSlot, type Found, type ProofLine, type Rule } from '../rule';
import { trialScript } from '../trialScript';

/**
 * Lines that hand callers to each other without a key, without ringing anybody, and back again; by a step that leads to a
 * line, or by calling its number.
 */
export const lineCircle: Rule<'lineCircle'> = {
  name: 'lineCircle',
  grade: 'fault',
  consequence: 'lost',
  find: (subject) => {
    const { line, lines } = subject;
    const calls = callsOf(subject);
    return handOvers(calls, lines).flatMap(({ slot, lineId }): Found[] =>
      comesBack(lineId, line.id, nextLines(calls, lines)) ? [{ at: atSlot(slot), facts: { to: lineId } }] : [],
    );
  },
};

interface HandedOver {
  /** Where the step stands. */
  readonly slot: Slot;
  readonly lineId: LineId;
}

/** Where callers who press nothing are handed to another line before anybody was rung. */
const handOvers = rememberBy((calls: Calls, lines: readonly ProofLine[]): readonly HandedOver[] =>
  inReaches(answeredReaches(calls), byNumber(calls, calls.parts.line, lines)),
);

/** The other line whose number a step calls; that it is the own is a rule of its own. */
type ByNumber = (step: Step) => LineId | undefined;

function byNumber({ parts }: Calls, line: Outsiders['line'], lines: readonly ProofLine[]): ByNumber {
  return (step) => {
    const number = numberOf({ contacts: parts.contacts, line }, step);
    if (!number || number === line.number) return undefined;
    return lines.find((each) => each.number === number)?.id;
  };
}

function inReaches(reaches: readonly Reach[], lineCalled: ByNumber): readonly HandedOver[] {
  const found = reaches.flatMap((reach) => silently(reach).flatMap((each) => handedOverBy(each, lineCalled)));
  return [...new Map(found.map((each) => [`${slotKey(each.slot)} ${each.lineId}`, each])).values()];
}

/** What comes one after the other of dialling and pressing nothing, to where somebody is rung. */
function silently({ begins, menus }: Reach): readonly Explored[] {
  const met = new Set<Explored>();
  let at = begins.find(({ turn }) => turn === null);
  while (at && !met.has(at)) {
    met.add(at);
    const menu: ExploredMenu | undefined = at.leg.rings ? undefined : menus.get(at.to ?? '');
    at = menu && choiceIn(menu, 'silence');
  }
  return [...met];
}

function handedOverBy({ leg }: Explored, lineCalled: ByNumber): readonly HandedOver[] {
  for (const { slot, step } of leg.steps) {
    const lineId = lineCalled(step);
    if (lineId) return [{ slot, lineId }];
    if (ringsColleagues.has(step.type)) return [];
  }
  const last = leg.steps.at(-1);
  return leg.end.type === 'line' && last ? [{ slot: last.slot, lineId: leg.end.lineId }] : [];
}

const ringsColleagues: ReadonlySet<Step['type']> = new Set([
  ...(['ring', 'ringOperator', 'ringGroup', 'waitInQueue'] as const),
  ...(['ringOutside', 'searchByName', 'askExtension'] as const),
]);

/** To which lines the others hand callers, whatever answers there. */
const nextLines = rememberBy(
  (calls: Calls, lines: readonly ProofLine[]): ReadonlyMap<LineId, readonly LineId[]> =>
    new Map(lines.map((line) => [line.id, line.onAir ? nextOf(calls, line, line.onAir, lines) : []])),
);

function nextOf(
  calls: Calls,
  { id, number }: ProofLine,
  onAir: Attendant,
  lines: readonly ProofLine[],
): readonly LineId[] {
  const { parts, openMs } = calls;
  const { explore } = explorer(trialScript({ ...parts, line: { ...parts.line, id } }, onAir));
  const answers: readonly Answer[] = [...onAir.answering.rules.map(answerOf), { type: 'otherwise' }];
  const called = byNumber(calls, { ...parts.line, number }, lines);
  return inReaches(
    answers.map((answer) => explore(answer, openMs)),
    called,
  ).map(({ lineId }) => lineId);
}

/** An answer by which a rule answers; which special date it is makes no difference to its path. */
function answerOf(rule: AnsweringRule): Answer {
  switch (rule.type) {
    case 'period':
      return { type: 'switch', to: { type: 'open', periodId: rule.periodId }, untilMs: Infinity };
    case 'callers':
      return { type: 'callers', callerListId: rule.callerListId };
    case 'special':
      return { type: 'special', specialId: rule.specialId ?? specialDateId.create('any'), ruleOf: rule.specialId };
  }
}

function comesBack(from: LineId, to: LineId, next: ReadonlyMap<LineId, readonly LineId[]>): boolean {
  const met = new Set<LineId>();
  const left = [from];
  for (let at = left.pop(); at; at = left.pop()) {
    if (at === to) return true;
    if (met.has(at)) continue;
    met.add(at);
    left.push(...(next.get(at) ?? []));
  }
  return false;
}
