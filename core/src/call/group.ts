import type { ClosedReason, Group } from '../directory';
import { libraryItems, music } from './hold';
import { callLimits } from './limits';
import { newId, note, setPhase, type Run } from './run';
import type { PlayItem } from './effect';
import type { GroupPlan, Next, Place, RingingGroup } from './state';
import { whenClosed } from './closed';
import type { Hearing, RingGroupStep, Slot } from '../line';
import type { NotAnswered } from './reasons';

/** Rings a group; the exchange says who answers, or that nobody does. */
export function ringGroup(run: Run, ring: GroupPlan): void {
  const ringId = newId(run);
  setPhase(run, { type: 'ringingGroup', ring, ringId });
  note(run, { type: 'ringingGroup', groupId: ring.groupId });
  const { groupId, seconds, hear } = ring;
  run.effects.push({ type: 'ringGroup', ringId, groupId, seconds, hear: hearingItems(run, hear) });
}

/** What comes when nobody in the group answered. */
export function afterGroup(run: Run, { ring, ringId }: RingingGroup, why: NotAnswered): Next | undefined {
  const { groupId, unanswered } = ring;
  run.effects.push({ type: 'stopRinging', ringId });
  note(run, { type: 'notAnswered', target: { type: 'group', groupId }, why });
  const group = run.ready.groups.get(groupId);
  if (why !== 'closed' || !group) return unanswered;
  const slotFor = (reason: ClosedReason): Slot => ({ type: 'groupClosed', groupId, reason });
  return whenClosed(run, group, { type: 'group', groupId }, slotFor, unanswered);
}

/** A step's group as a plan: what the script says comes next, or else the group's own path. */
export function planOfStep({ groupId, seconds, hear }: RingGroupStep, after: Place, isLast: boolean): GroupPlan {
  return { groupId, seconds, hear, unanswered: isLast ? ownPath(groupId, null) : { type: 'path', place: after } };
}

/** A group that was dialled itself: its own path, and then what else there is. */
export function planOfDialled({ id }: Group, then: Place | null): GroupPlan {
  return { groupId: id, seconds: null, hear: { type: 'ringback' }, unanswered: ownPath(id, then) };
}

function ownPath(groupId: Group['id'], then: Place | null): Next {
  return { type: 'path', place: { slot: { type: 'group', groupId }, stepIndex: 0, then } };
}

/** What a caller hears while it rings; nothing stands for the ringback tone. */
export function hearingItems(run: Run, hear: Hearing): readonly PlayItem[] {
  switch (hear.type) {
    case 'ringback':
      return [];
    case 'music':
      return [music(run, callLimits.musicMs)];
    case 'greeting':
      return libraryItems(run, hear.greetingId);
  }
}
