import type { CameBy, PhoneTake } from '../call';
import type { GroupId, PersonId, QueueId } from '../directory';
import { newStaff, type CallId, type Exchange, type Leg, type LiveCall, type Presence } from './state';
import type { CallScript } from '../call';

/** A call as it is seen by those who are rung for it or talk on it. */
export interface SeenCall {
  readonly callId: CallId;
  readonly callerNumber: string;
  /** Who of the staff calls; null for a caller from outside. */
  readonly staffCaller: PersonId | null;
  /** When the line answered, in ms since 1970. */
  readonly sinceMs: number;
  readonly cameBy: CameBy | null;
  /** Who sent it on to whom; null where nobody has. */
  readonly transfer: LiveCall['transfer'];
}

export type DeskDoing =
  | { readonly type: 'nothing'; readonly restUntilMs: number }
  | {
      readonly type: 'rung';
      readonly call: SeenCall;
      /** The group or queue they are rung for. */
      readonly of: GroupId | QueueId | null;
      /** The outside phone that rings; null for the one on the desk. */
      readonly number: string | null;
      readonly sinceMs: number;
      readonly isAccepting: boolean;
    }
  /** To record a greeting with it. */
  | { readonly type: 'rungForTake'; readonly of: PhoneTake; readonly sinceMs: number }
  | {
      readonly type: 'talking';
      readonly call: SeenCall;
      readonly of: GroupId | QueueId | null;
      readonly sinceMs: number;
      readonly isOnHold: boolean;
    }
  | {
      readonly type: 'calling';
      readonly callId: CallId;
      /** What the call does now. */
      readonly phase: string;
      readonly talkingTo: PersonId | null;
      /** The caller on hold, to be sent on to whoever is called; null for none. */
      readonly held: SeenCall | null;
      /** What is being recorded; null when nothing is. */
      readonly take: PhoneTake | null;
    }
  | {
      readonly type: 'speaking';
      readonly groupId: GroupId;
      readonly to: readonly PersonId[];
      readonly sinceMs: number;
    };

export interface DeskQueue {
  readonly queueId: QueueId;
  readonly waiting: readonly (SeenCall & { readonly waitsSinceMs: number })[];
}

/** What somebody's desk phone shows. */
export interface DeskView {
  readonly presence: Presence;
  readonly doing: DeskDoing;
  /** The queues they are a member of. */
  readonly queues: readonly DeskQueue[];
  /** Who speaks to their phone now, one way; null for nobody. */
  readonly hears: PersonId | null;
}

/** What a desk phone shows, as everything is now. */
export function deskView(
  world: CallScript,
  exchange: Exchange,
  personId: PersonId,
  cameByOf: (callId: CallId) => CameBy | null,
): DeskView {
  const { presence } = exchange.staff.get(personId) ?? newStaff;
  const queues = world.queues
    .filter(({ members }) => members.some((member) => member.personId === personId))
    .map(({ id }): DeskQueue => {
      const waiting = exchange.queues.get(id)?.waiting ?? [];
      return {
        queueId: id,
        waiting: waiting.flatMap(({ callId, sinceMs }) => {
          const call = seenCall(exchange, callId, cameByOf);
          return call ? [{ ...call, waitsSinceMs: sinceMs }] : [];
        }),
      };
    });
  const speaker = [...exchange.staff].find(
    ([, { doing }]) => doing.type === 'speaking' && doing.to.some(isOf(personId)),
  );
  return { presence, doing: deskDoing(exchange, personId, cameByOf), queues, hears: speaker?.[0] ?? null };
}

const isOf =
  (personId: PersonId) =>
  ({ phone }: Leg): boolean =>
    phone.type === 'person' && phone.personId === personId;

function deskDoing(exchange: Exchange, personId: PersonId, cameByOf: (callId: CallId) => CameBy | null): DeskDoing {
  const { doing, restUntilMs } = exchange.staff.get(personId) ?? newStaff;
  const nothing: DeskDoing = { type: 'nothing', restUntilMs };
  switch (doing.type) {
    case 'nothing':
      return nothing;
    case 'speaking': {
      const to = doing.to.flatMap(({ phone }) => (phone.type === 'person' ? [phone.personId] : []));
      return { type: 'speaking', groupId: doing.groupId, to, sinceMs: doing.sinceMs };
    }
    case 'calling': {
      const call = exchange.calls.get(doing.callId);
      if (!call) return nothing;
      const { id, talkingTo, state } = call;
      const take = 'of' in state.phase ? shownOf(state.phase.of) : null;
      const held = doing.held ? (seenCall(exchange, doing.held.callId, cameByOf) ?? null) : null;
      return { type: 'calling', callId: id, phase: state.phase.type, talkingTo, held, take };
    }
    case 'talking': {
      const call = seenCall(exchange, doing.callId, cameByOf);
      const live = exchange.calls.get(doing.callId);
      if (!call || !live) return nothing;
      const isOnHold = live.state.phase.type === 'onHold';
      return { type: 'talking', call, of: live.broughtBy, sinceMs: doing.sinceMs, isOnHold };
    }
    case 'rung': {
      const { by, leg, sinceMs, isAccepting } = doing;
      if (by.type === 'take') return { type: 'rungForTake', of: shownOf(by.of), sinceMs };
      const callId = by.type === 'queue' ? exchange.queues.get(by.queueId)?.waiting[0]?.callId : by.callId;
      const call = callId && seenCall(exchange, callId, cameByOf);
      const of = by.type === 'call' ? null : by.type === 'group' ? by.groupId : by.queueId;
      return call
        ? {
            type: 'rung',
            call,
            of,
            number: leg.phone.type === 'person' ? leg.phone.number : null,
            sinceMs,
            isAccepting,
          }
        : nothing;
    }
  }
}

/** A call with what is shown of it; undefined when it is over. */
export function seenCall(
  { calls }: Exchange,
  callId: CallId,
  cameByOf: (callId: CallId) => CameBy | null,
): SeenCall | undefined {
  const call = calls.get(callId);
  if (!call) return undefined;
  const { callerNumber, staffCaller, sinceMs, transfer } = call;
  return { callId, callerNumber, staffCaller, sinceMs, transfer, cameBy: cameByOf(callId) };
}

/** What is recorded now; what comes after it is told when it comes. */
function shownOf({ name, words }: PhoneTake): PhoneTake {
  return { name, words };
}
