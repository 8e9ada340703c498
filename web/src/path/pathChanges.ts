import { alwaysEnds, mostSteps, type Edit, type Path, type Slot, type Step } from '@locutor/core/line';

/** The path with a step changed; what always ends lets nothing after it run, so that is left out. */
export function withStep(path: Path, index: number, changed: Step): Path {
  const before = path[index];
  const cutsOff = alwaysEnds(changed) && !(before && alwaysEnds(before));
  const after = cutsOff && changed.type !== 'ring' && changed.type !== 'ringOutside' ? [] : path.slice(index + 1);
  return [...path.slice(0, index), changed, ...after];
}

/** The path with steps put in at a place, as many as a path can hold. */
export function withSteps(path: Path, index: number, steps: Path): Path {
  return [...path.slice(0, index), ...steps, ...path.slice(index)].slice(0, mostSteps);
}

export function withoutStep(path: Path, index: number): Path {
  return path.filter((_, each) => each !== index);
}

/** The path with a step at another place. */
export function withStepMoved(path: Path, from: number, to: number): Path {
  const step = path[from];
  return step && to >= 0 && to < path.length ? withSteps(withoutStep(path, from), to, [step]) : path;
}

/** Takes a step out of one path and puts it into another, as one step of undo. */
export function stepToOtherPath(
  from: { readonly slot: Slot; readonly path: Path; readonly index: number },
  to: { readonly slot: Slot; readonly path: Path; readonly index: number },
  why: string,
): Edit | undefined {
  const step = from.path[from.index];
  if (!step) return undefined;
  return {
    type: 'together',
    why,
    edits: [
      { type: 'setPath', slot: from.slot, path: withoutStep(from.path, from.index) },
      { type: 'setPath', slot: to.slot, path: withSteps(to.path, to.index, [step]) },
    ],
  };
}
