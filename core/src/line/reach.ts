import { queueReasons } from '../directory';
import type { Attendant } from './attendant';
import type { SheetId } from './ids';
import { pathsOf, sheetOfSlot, slotKey, slotsOfSheet, type Slot } from './slot';
import { alwaysEnds, type Path, type Step } from './step';

/** A place that holds a path, with the path. */
export interface PlacedPath {
  readonly slot: Slot;
  readonly path: Path;
}

const graphs = new WeakMap<Attendant, ReadonlyMap<string, PlacedPath>>();

/** Every path of an attendant by its place; read once for each attendant. */
export function placedPaths(attendant: Attendant): ReadonlyMap<string, PlacedPath> {
  let graph = graphs.get(attendant);
  if (!graph) {
    graph = new Map(pathsOf(attendant).map((placed) => [slotKey(placed.slot), placed]));
    graphs.set(attendant, graph);
  }
  return graph;
}

/**
 * Every path that a call may come to from some places, whoever answers and whatever is pressed; those places among
 * them. `back` and `sayAgain` lead to where a call has been before, and add nothing.
 */
export function reachedFrom(attendant: Attendant, from: readonly Slot[]): readonly PlacedPath[] {
  const graph = placedPaths(attendant);
  const bySheet = slotsBySheet(attendant);
  const met = new Set<string>();
  const found: PlacedPath[] = [];
  const left = [...from];
  for (let slot = left.pop(); slot; slot = left.pop()) {
    const key = slotKey(slot);
    const placed = graph.get(key);
    if (met.has(key) || !placed) continue;
    met.add(key);
    found.push(placed);
    for (const step of stepsThatRun(placed.path)) left.push(...nextOf(step, bySheet));
  }
  return found;
}

/** The sheets that a call may come to from some places. */
export function sheetsReachedFrom(attendant: Attendant, from: readonly Slot[]): ReadonlySet<SheetId> {
  return new Set(reachedFrom(attendant, from).flatMap(({ slot }) => sheetOfSlot(slot) ?? []));
}

/** The steps up to the one that ends the path; what stands after it never runs. */
export function stepsThatRun(path: Path): Path {
  const end = path.findIndex(alwaysEnds);
  return end < 0 ? path : path.slice(0, end + 1);
}

const sheetSlots = new WeakMap<Attendant['sheets'], ReadonlyMap<SheetId, readonly Slot[]>>();

function slotsBySheet({ sheets }: Attendant): ReadonlyMap<SheetId, readonly Slot[]> {
  let slots = sheetSlots.get(sheets);
  if (!slots) {
    slots = new Map(sheets.map((sheet) => [sheet.id, slotsOfSheet(sheet)]));
    sheetSlots.set(sheets, slots);
  }
  return slots;
}

function nextOf(step: Step, bySheet: ReadonlyMap<SheetId, readonly Slot[]>): readonly Slot[] {
  switch (step.type) {
    case 'goTo':
      return bySheet.get(step.sheetId) ?? [];
    case 'followPath':
      return [{ type: 'named', pathId: step.pathId }];
    case 'ringGroup':
      return [{ type: 'group', groupId: step.groupId }];
    case 'waitInQueue':
      return queueReasons.map((reason) => ({ type: 'queue', queueId: step.queueId, reason }));
    default:
      return [];
  }
}
