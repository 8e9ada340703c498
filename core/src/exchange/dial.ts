import { idleCall, type CallScript, type DirectTo } from '../call';
import { mostSpokenTo, type Group, type PersonId } from '../directory';
import type { StaffDials } from './event';
import { newLeg, setDoing, staffOf, tell, type Run } from './run';
import type { CallId, Leg } from './state';

/** Somebody dials on the phone on their desk: an extension, a box, or the code of a speaker group. */
export function dial(run: Run, { personId, digits, callId, script }: StaffDials): void {
  if (staffOf(run, personId).doing.type !== 'nothing' || run.calls.get(callId)) return;
  const speaker = run.world.groups.find(({ speakerCode }) => speakerCode !== '' && speakerCode === digits);
  if (speaker) return speakTo(run, personId, speaker);
  const to = dialled(run, digits);
  const person = run.ready.people.get(personId);
  const isOwn = to?.type === 'person' && to.personId === personId;
  if (!to || !person || isOwn) {
    run.effects.push({ type: 'noSuchNumber', personId, digits });
    return;
  }
  beginOwnCall(run, { personId, callId, script, callerNumber: person.extension, to });
}

interface OwnCall {
  readonly personId: PersonId;
  readonly callId: CallId;
  readonly script: CallScript;
  readonly callerNumber: string;
  readonly to: DirectTo;
  /** The phone that was rung for it. */
  readonly leg?: Leg;
  /** A caller on hold meanwhile. */
  readonly held?: { readonly callId: CallId; readonly leg: Leg };
}

/** A call of somebody of the staff, on the phone on their desk. */
export function beginOwnCall(run: Run, { personId, callId, script, callerNumber, to, leg, held }: OwnCall): void {
  const { atMs } = run;
  run.calls.set(callId, {
    id: callId,
    script,
    state: idleCall,
    callerNumber,
    sinceMs: atMs,
    staffCaller: personId,
    talkingTo: null,
    outside: null,
    broughtBy: null,
    transfer: null,
  });
  setDoing(run, personId, { type: 'calling', callId, leg: leg ?? null, held: held ?? null });
  tell(run, callId, { type: 'dialled', atMs, callerNumber, to });
}

function dialled({ ready, world }: Run, digits: string): DirectTo | undefined {
  const found = ready.byExtension.get(digits);
  switch (found?.type) {
    case 'person':
      return { type: 'person', personId: found.person.id };
    case 'group':
      return { type: 'group', groupId: found.group.id };
    case 'queue':
      return { type: 'queue', queueId: found.queue.id };
    case undefined: {
      const box = world.boxes.find(({ code }) => code !== '' && code === digits);
      return box && { type: 'box', boxId: box.id };
    }
  }
}

/** Speaks to the phones of all members who are on no call and at their desks. */
function speakTo(run: Run, personId: PersonId, group: Group): void {
  const to = group.members
    .map((member) => member.personId)
    .filter((each) => each !== personId && hears(run, each))
    .slice(0, mostSpokenTo)
    .map((each) => newLeg(run, { type: 'person', personId: each, number: null }));
  setDoing(run, personId, { type: 'speaking', groupId: group.id, to, sinceMs: run.atMs });
}

function hears(run: Run, personId: PersonId): boolean {
  const { presence, doing } = staffOf(run, personId);
  return run.ready.people.has(personId) && presence !== 'away' && doing.type === 'nothing';
}
