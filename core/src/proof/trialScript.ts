import type { CallScript } from '../call';
import { usualHoldMusic, type Attendant } from '../line';
import { zoneOf } from './facts';
import { rememberBy } from './remember';
import type { ProofSubject } from './rule';

/** The parts of a subject on which it hangs where calls lead to. */
export type TrialParts = Pick<
  ProofSubject,
  | 'line'
  | 'hours'
  | 'allHours'
  | 'people'
  | 'groups'
  | 'queues'
  | 'boxes'
  | 'contacts'
  | 'callerLists'
  | 'outgoing'
  | 'lines'
>;

/**
 * What calls go by that are made to try an attendant out. Other lines are there to be handed over to, and keep this
 * one's hours, which nobody asks for.
 */
export function trialScript(parts: TrialParts, attendant: Attendant): CallScript {
  const { line, hours, allHours, people, groups, queues, boxes, contacts, callerLists, outgoing, lines } = parts;
  const shared = { timeZone: zoneOf(line), hours, switched: null };
  const { id, name, number, operatorId } = line;
  const own = { ...shared, id, name, number, operatorId: operatorId ?? null, attendant };
  const others = lines
    .filter((each) => each.id !== line.id)
    .map((each) => ({ ...shared, ...each, operatorId: null, attendant: each.onAir ?? withoutPaths(attendant) }));
  const directory = { people, groups, queues, boxes, contacts, callerLists, outgoing, hours: allHours };
  return { ...directory, lineId: id, lines: [own, ...others], greetings: [], takes: [], holdMusic: usualHoldMusic };
}

/** What stands for a line on which nothing is on air. */
const withoutPaths = rememberBy((attendant: Attendant): Attendant => ({
  ...attendant,
  ...{ sheets: [], paths: [], fallbacks: [], answering: { rules: [], otherwise: [] } },
}));
