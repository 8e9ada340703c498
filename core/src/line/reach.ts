import { closedReasons, queueReasons } from '../directory';
import type { Attendant } from './attendant';
import type { SheetId } from './ids';
import type { Menu } from './sheet';
import { pathsOf, sheetOfSlot, slotKey, type Slot } from './slot';
import { alwaysEnds, type Path, type Step } from './step';

/** A place that holds a path, with the path. */
export interface PlacedPath {
  readonly slot: Slot;
  readonly path: Path;
}

/** A step with its place. */
export interface PlacedStep {
  readonly step: Step;
  readonly slot: Slot;
  readonly stepIndex: number;
}

/** The paths of an attendant and how they hang together; the same one as long as no path changes, whatever is typed. */
export interface PathGraph {
  /** The attendant they were read from; others since then have the same paths. */
  readonly attendant: Attendant;
  readonly byKey: ReadonlyMap<string, PlacedPath>;
  readonly bySheet: ReadonlyMap<SheetId, readonly PlacedPath[]>;
  readonly steps: readonly PlacedStep[];
}

const graphs = new WeakMap<Attendant, PathGraph>();

let last: { readonly attendant: Attendant; readonly graph: PathGraph } | null = null;

/** Read once for each attendant; words that are typed leave it as it is. */
export function pathGraph(attendant: Attendant): PathGraph {
  let graph = graphs.get(attendant);
  if (!graph) {
    graph = last && hasSamePaths(last.attendant, attendant) ? last.graph : readGraph(attendant);
    graphs.set(attendant, graph);
  }
  last = { attendant, graph };
  return graph;
}

function hasSamePaths(one: Attendant, other: Attendant): boolean {
  if (one.answering !== other.answering || one.paths !== other.paths || one.fallbacks !== other.fallbacks) return false;
  return (
    one.sheets.length === other.sheets.length &&
    one.sheets.every((sheet, index) => {
      const now = other.sheets[index];
      if (sheet === now) return true;
      if (sheet.id !== now?.id) return false;
      if (sheet.type === 'announcement') return now.type === 'announcement' && sheet.afterPath === now.afterPath;
      return (
        now.type === 'menu' &&
        haveSamePaths(sheet.options, now.options) &&
        sheet.silencePath === now.silencePath &&
        sheet.wrongKeyPath === now.wrongKeyPath
      );
    })
  );
}

/** Whether the same keys lead the same ways; what they are called makes no difference. */
function haveSamePaths(some: Menu['options'], others: Menu['options']): boolean {
  if (some === others) return true;
  return (
    some.length === others.length &&
    some.every(({ key, path }, index) => key === others[index]?.key && path === others[index].path)
  );
}

function readGraph(attendant: Attendant): PathGraph {
  const all = pathsOf(attendant);
  const bySheet = new Map<SheetId, PlacedPath[]>();
  for (const placed of all) {
    const sheetId = sheetOfSlot(placed.slot);
    const known = sheetId && bySheet.get(sheetId);
    if (known) known.push(placed);
    else if (sheetId) bySheet.set(sheetId, [placed]);
  }
  return {
    attendant,
    byKey: new Map(all.map((placed) => [slotKey(placed.slot), placed])),
    bySheet,
    steps: all.flatMap(({ slot, path }) => path.map((step, stepIndex) => ({ step, slot, stepIndex }))),
  };
}

/** Every path of an attendant by its place. */
export function placedPaths(attendant: Attendant): ReadonlyMap<string, PlacedPath> {
  return pathGraph(attendant).byKey;
}

/** Every step of an attendant with its place. */
export function placedSteps(attendant: Attendant): readonly PlacedStep[] {
  return pathGraph(attendant).steps;
}

/**
 * Every path that a call may come to from some places, whoever answers and whatever is pressed; those places among
 * them. `back` and `sayAgain` lead to where a call has been before, and add nothing.
 */
export function reachedFrom(attendant: Attendant, from: readonly Slot[]): readonly PlacedPath[] {
  return reachedIn(pathGraph(attendant), from);
}

/** The same of paths that hang together. */
export function reachedIn(graph: PathGraph, from: readonly Slot[]): readonly PlacedPath[] {
  const met = new Set<PlacedPath>();
  const sheetsMet = new Set<SheetId>();
  const left = placedAt(graph, from);
  for (let placed = left.pop(); placed; placed = left.pop()) {
    if (met.has(placed)) continue;
    met.add(placed);
    for (const step of placed.path) {
      if (step.type === 'goTo' && !sheetsMet.has(step.sheetId)) {
        sheetsMet.add(step.sheetId);
        left.push(...(graph.bySheet.get(step.sheetId) ?? []));
      } else {
        left.push(...placedAt(graph, slotsAfter(step)));
      }
      if (alwaysEnds(step)) break;
    }
  }
  return [...met];
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

function placedAt({ byKey }: PathGraph, slots: readonly Slot[]): PlacedPath[] {
  return slots.flatMap((slot) => byKey.get(slotKey(slot)) ?? []);
}

const nowhere: readonly Slot[] = [];

/** Where else than to a sheet a step leads. */
function slotsAfter(step: Step): readonly Slot[] {
  switch (step.type) {
    case 'followPath':
      return [{ type: 'named', pathId: step.pathId }];
    case 'ringGroup':
      return [
        { type: 'group', groupId: step.groupId },
        ...closedReasons.map((reason): Slot => ({ type: 'groupClosed', groupId: step.groupId, reason })),
      ];
    case 'waitInQueue':
      return queueReasons.map((reason) => ({ type: 'queue', queueId: step.queueId, reason }));
    default:
      return nowhere;
  }
}
