import type { GroupId, QueueId } from '@locutor/core/directory';
import type { Visit, Wait } from '@locutor/core/traffic';
import type { LoggedCaller, LoggedRing } from '@locutor/core/whatIf';
import type { Summed } from './daysOfCalls';
import { ofSpan, reading } from './trafficSums';

/** More calls than this tell no more of what callers do; those are the last ones. */
export const mostCallers = 30_000;

type Row = Pick<LoggedCaller, 'callId' | 'day' | 'minute' | 'number' | 'outcome' | 'talkMs'>;

/** What the callers of a span did, one by one, as trials of other plans go by it; in the order in which they called. */
export function callersOf(database: string, span: Summed): readonly LoggedCaller[] {
  return reading(database, (connection) => {
    const calls = connection
      .prepare<[Summed], Row>(
        `SELECT f."callId", f."day", f."minute", c."callerNumber" AS "number", f."outcome", f."talkMs"
        FROM "call_fact" f JOIN "call" c ON c."id" = f."callId"
        WHERE ${ofSpan(span, 'f')}
        ORDER BY f."day" DESC, f."minute" DESC, f."callId" DESC LIMIT ${mostCallers}`,
      )
      .all(span)
      .reverse();
    const visits = connection
      .prepare<[Summed], Visit & { readonly callId: string; readonly isFirstRound: unknown }>(
        `SELECT "callId", "sheetId", "choice", "afterMs", "isFirstRound", "wrongKeys", "silences"
        FROM "call_visit" WHERE ${ofSpan(span, 'call_visit')} ORDER BY "callId", "position"`,
      )
      .all(span);
    const rings = connection
      .prepare<[Summed], LoggedRing & { readonly callId: string; readonly through: GroupId | QueueId | null }>(
        `SELECT "callId", "who", "through", "forMs", "end" FROM "call_ring" WHERE ${ofSpan(span, 'call_ring')} ORDER BY "callId", "position"`,
      )
      .all(span);
    const waits = connection
      .prepare<[Summed], Pick<Wait, 'queueId' | 'waitedMs' | 'end'> & { readonly callId: string }>(
        `SELECT "callId", "queueId", "waitedMs", "end" FROM "call_wait" WHERE ${ofSpan(span, 'call_wait')} ORDER BY "callId", "position"`,
      )
      .all(span);
    const [visitsOf, ringsOf, waitsOf] = [byCall(visits), byCall(rings), byCall(waits)];
    return calls.map((call) => ({
      ...call,
      visits: (visitsOf.get(call.callId) ?? []).map((visit) => ({
        ...visit,
        isFirstRound: Boolean(visit.isFirstRound),
      })),
      rings: ringsOf.get(call.callId) ?? [],
      waits: waitsOf.get(call.callId) ?? [],
    }));
  });
}

/** Without the call's id, which each would only say again. */
function byCall<Of extends { readonly callId: string }>(
  rows: readonly Of[],
): ReadonlyMap<string, Omit<Of, 'callId'>[]> {
  const of = new Map<string, Omit<Of, 'callId'>[]>();
  for (const { callId, ...row } of rows) {
    const some = of.get(callId);
    if (some) some.push(row);
    else of.set(callId, [row]);
  }
  return of;
}
