import { sheetOfSlot, slotKey, type SheetId, type Slot } from '@locutor/core/line';
import type { Finding } from '@locutor/core/proof';
import { slotLink } from '../../path/slotLink';

/** The sheet on which something was found; undefined for what is on none. */
export function findingSheet({ at }: Finding): SheetId | undefined {
  if (at.type === 'sheet') return at.sheetId;
  return at.type === 'path' ? sheetOfSlot(at.slot) : undefined;
}

/** A sheet or a path, as what was found there is looked up by it. */
export type NotedPlace = SheetId | Slot;

/** What was found at each sheet, and at or in each path. */
export class FindingsByPlace {
  private readonly places = new Map<string, Finding[]>();

  constructor(findings: readonly Finding[]) {
    for (const finding of findings) {
      const { at } = finding;
      if (at.type === 'sheet') this.add(at.sheetId, finding);
      if (at.type === 'path') this.add(at.slot, finding);
    }
  }

  at(place: NotedPlace): readonly Finding[] {
    return this.places.get(keyOf(place)) ?? [];
  }

  private add(place: NotedPlace, finding: Finding): void {
    const key = keyOf(place);
    this.places.set(key, [...(this.places.get(key) ?? []), finding]);
  }
}

function keyOf(place: NotedPlace): string {
  return typeof place === 'string' ? place : slotKey(place);
}

/** The address of the place where something can be mended. */
export function findingLink({ at }: Pick<Finding, 'at'>): string {
  switch (at.type) {
    case 'sheet':
      return `/script/${at.sheetId}`;
    case 'path':
      return slotLink(at.slot);
    case 'line':
      return '/lines';
    case 'switch':
      return '/today';
    case 'hours':
      return '/hours';
    case 'row':
      return rowLink(at.id);
  }
}

const lists: Readonly<Record<string, string>> = {
  person: '/directory/people',
  group: '/directory/groups',
  queue: '/directory/queues',
  box: '/directory/boxes',
  greeting: '/greetings',
};

function rowLink(id: string): string {
  return `${lists[id.split(':')[0] ?? ''] ?? '/directory'}/${id}`;
}
