import type { CallerListId, ClosedReason, GroupId, QueueId, QueueReason } from '../directory';
import type { PeriodId, SpecialDateId } from '../hours';
import { unreachable } from '../result';
import { findNamedPath, findSheet, type AnsweringRule, type Attendant, type Fallback } from './attendant';
import type { NamedPathId, SheetId } from './ids';
import type { Key } from './key';
import type { Menu } from './sheet';
import type { Path } from './step';

/** Which rule of the answering order is meant. */
export type RuleSlot =
  | { readonly type: 'period'; readonly periodId: PeriodId }
  | { readonly type: 'callers'; readonly callerListId: CallerListId }
  /** Null for any special date. */
  | { readonly type: 'special'; readonly specialId: SpecialDateId | null };

/**
 * What follows where a group or a queue did not connect the caller. Outside its hours that is the path for special dates,
 * else the one for closed times, and then the one for nobody answering or working.
 */
export type FallbackSlot =
  | { readonly type: 'group'; readonly groupId: GroupId }
  | { readonly type: 'groupClosed'; readonly groupId: GroupId; readonly reason: ClosedReason }
  | { readonly type: 'queue'; readonly queueId: QueueId; readonly reason: QueueReason };

/** A place in the attendant that holds a path. */
export type Slot =
  | RuleSlot
  | FallbackSlot
  | { readonly type: 'otherwise' }
  /** Where the switch leads to a sheet: no path of the attendant's own, but one straight to it. */
  | { readonly type: 'switch'; readonly sheetId: SheetId }
  | { readonly type: 'key'; readonly sheetId: SheetId; readonly key: Key }
  | { readonly type: 'silence'; readonly sheetId: SheetId }
  | { readonly type: 'wrongKey'; readonly sheetId: SheetId }
  | { readonly type: 'after'; readonly sheetId: SheetId }
  | { readonly type: 'named'; readonly pathId: NamedPathId };

/** Every place of the attendant that holds a path: the answering order, sheet by sheet, the named paths. */
export function slotsOf(attendant: Attendant): readonly Slot[] {
  return [
    ...attendant.answering.rules.map(slotOfRule),
    { type: 'otherwise' },
    ...attendant.sheets.flatMap(slotsOfSheet),
    ...attendant.paths.map(({ id }): Slot => ({ type: 'named', pathId: id })),
    ...attendant.fallbacks.map(slotOfFallback),
  ];
}

export function slotOfFallback(fallback: Fallback): FallbackSlot {
  switch (fallback.type) {
    case 'group':
      return { type: 'group', groupId: fallback.groupId };
    case 'groupClosed':
      return { type: 'groupClosed', groupId: fallback.groupId, reason: fallback.reason };
    case 'queue':
      return { type: 'queue', queueId: fallback.queueId, reason: fallback.reason };
  }
}

export function isFallbackAt(fallback: Fallback, slot: FallbackSlot): boolean {
  return slotKey(slotOfFallback(fallback)) === slotKey(slot);
}

export function slotOfRule(rule: AnsweringRule): RuleSlot {
  switch (rule.type) {
    case 'period':
      return { type: 'period', periodId: rule.periodId };
    case 'callers':
      return { type: 'callers', callerListId: rule.callerListId };
    case 'special':
      return { type: 'special', specialId: rule.specialId };
  }
}

export function slotsOfSheet(sheet: Attendant['sheets'][number]): Slot[] {
  const sheetId = sheet.id;
  if (sheet.type === 'announcement') return [{ type: 'after', sheetId }];
  const keys: Slot[] = sheet.options.map(({ key }) => ({ type: 'key', sheetId, key }));
  return [...keys, { type: 'silence', sheetId }, { type: 'wrongKey', sheetId }];
}

const noSteps: Path = [];

/** The path at a slot, empty where a group or queue has none; undefined when the attendant has no such place. */
export function pathAt(attendant: Attendant, slot: Slot): Path | undefined {
  switch (slot.type) {
    case 'period':
    case 'callers':
    case 'special':
      return attendant.answering.rules.find((rule) => isRuleAt(rule, slot))?.path;
    case 'otherwise':
      return attendant.answering.otherwise;
    case 'switch':
      return findSheet(attendant, slot.sheetId) && [{ type: 'goTo', sheetId: slot.sheetId }];
    case 'key':
      return menuAt(attendant, slot.sheetId)?.options.find((option) => option.key === slot.key)?.path;
    case 'silence':
      return menuAt(attendant, slot.sheetId)?.silencePath;
    case 'wrongKey':
      return menuAt(attendant, slot.sheetId)?.wrongKeyPath;
    case 'after': {
      const sheet = findSheet(attendant, slot.sheetId);
      return sheet?.type === 'announcement' ? sheet.afterPath : undefined;
    }
    case 'named':
      return findNamedPath(attendant, slot.pathId)?.steps;
    case 'group':
    case 'groupClosed':
    case 'queue':
      return attendant.fallbacks.find((fallback) => isFallbackAt(fallback, slot))?.path ?? noSteps;
    default:
      return unreachable(slot);
  }
}

/** Every path of the attendant with its place, read in one go: quicker than asking `pathAt` for each slot. */
export function pathsOf(attendant: Attendant): readonly { readonly slot: Slot; readonly path: Path }[] {
  return [
    ...attendant.answering.rules.map((rule) => ({ slot: slotOfRule(rule) as Slot, path: rule.path })),
    { slot: { type: 'otherwise' }, path: attendant.answering.otherwise },
    ...attendant.sheets.flatMap((sheet): { slot: Slot; path: Path }[] => {
      const sheetId = sheet.id;
      if (sheet.type === 'announcement') return [{ slot: { type: 'after', sheetId }, path: sheet.afterPath }];
      return [
        ...sheet.options.map(({ key, path }) => ({ slot: { type: 'key' as const, sheetId, key }, path })),
        { slot: { type: 'silence', sheetId }, path: sheet.silencePath },
        { slot: { type: 'wrongKey', sheetId }, path: sheet.wrongKeyPath },
      ];
    }),
    ...attendant.paths.map(({ id, steps }) => ({ slot: { type: 'named' as const, pathId: id }, path: steps })),
    ...attendant.fallbacks.map((fallback) => ({ slot: slotOfFallback(fallback), path: fallback.path })),
  ];
}

export function isRuleAt(rule: AnsweringRule, slot: RuleSlot): boolean {
  switch (rule.type) {
    case 'period':
      return slot.type === 'period' && rule.periodId === slot.periodId;
    case 'callers':
      return slot.type === 'callers' && rule.callerListId === slot.callerListId;
    case 'special':
      return slot.type === 'special' && rule.specialId === slot.specialId;
    default:
      return unreachable(rule);
  }
}

/** A text that tells slots apart, such as for a key of a list. */
export function slotKey(slot: Slot): string {
  return Object.values(slot).join(' ');
}

/** The sheet a slot belongs to; undefined for the answering order and the named paths. */
export function sheetOfSlot(slot: Slot): SheetId | undefined {
  return 'sheetId' in slot ? slot.sheetId : undefined;
}

function menuAt(attendant: Attendant, sheetId: SheetId): Menu | undefined {
  const sheet = findSheet(attendant, sheetId);
  return sheet?.type === 'menu' ? sheet : undefined;
}
