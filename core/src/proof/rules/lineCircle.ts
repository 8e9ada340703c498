import { specialDateId, type Answer } from '../../hours';
import type { AnsweringRule, Attendant, LineId, Slot } from '../../line';
import { slotKey } from '../../line';
import { explorer, type Explored, type Reach } from '../../paths';
import { answeredReaches, callsOf, choiceIn, type Calls } from '../calls';
import { rememberBy } from '../remember';
import { atSlot, type Found, type ProofLine, type Rule } from '../rule';
import { trialScript } from '../trialScript';

/** Lines that hand callers to each other without a key, without ringing anybody, and back again. */
export const lineCircle: Rule<'lineCircle'> = {
  name: 'lineCircle',
  grade: 'fault',
  consequence: 'lost',
  find: (subject) => {
    const { line, lines } = subject;
    const calls = callsOf(subject);
    return handOvers(calls).flatMap(({ slot, lineId }): Found[] =>
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
const handOvers = rememberBy((calls: Calls): readonly HandedOver[] => inReaches(answeredReaches(calls)));

function inReaches(reaches: readonly Reach[]): readonly HandedOver[] {
  const found = reaches.flatMap((reach) => silently(reach).flatMap(handedOverBy));
  return [...new Map(found.map((each) => [`${slotKey(each.slot)} ${each.lineId}`, each])).values()];
}

/** What comes one after the other of dialling and pressing nothing, until somebody is rung. */
function silently({ begins, menus }: Reach): readonly Explored[] {
  const met = new Set<Explored>();
  let at = begins.find(({ turn }) => turn === null);
  while (at && !met.has(at) && !at.leg.rings) {
    met.add(at);
    const menu = menus.get(at.to ?? '');
    at = menu && choiceIn(menu, 'silence');
  }
  return [...met];
}

function handedOverBy({ leg }: Explored): readonly HandedOver[] {
  const step = leg.steps.at(-1);
  return leg.end.type === 'line' && step ? [{ slot: step.slot, lineId: leg.end.lineId }] : [];
}

/** To which lines the others hand callers, whatever answers there. */
const nextLines = rememberBy(
  (calls: Calls, lines: readonly ProofLine[]): ReadonlyMap<LineId, readonly LineId[]> =>
    new Map(lines.map((line) => [line.id, line.onAir ? nextOf(calls, line, line.onAir) : []])),
);

function nextOf({ parts, openMs }: Calls, { id }: ProofLine, onAir: Attendant): readonly LineId[] {
  const { explore } = explorer(trialScript({ ...parts, line: { ...parts.line, id } }, onAir));
  const answers: readonly Answer[] = [...onAir.answering.rules.map(answerOf), { type: 'otherwise' }];
  return inReaches(answers.map((answer) => explore(answer, openMs))).map(({ lineId }) => lineId);
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
