import { findNamedPath, type Attendant, type NamedPath } from '../attendant';
import type { NamedPathId } from '../ids';
import type { Path } from '../step';
import type { AddNamedPath } from './edit';

/** @throws Error when its id is already there. */
export function addNamedPath(attendant: Attendant, { path }: AddNamedPath): Attendant {
  if (findNamedPath(attendant, path.id)) throw new Error(`Path ${path.id} is already there`);
  return { ...attendant, paths: [...attendant.paths, path] };
}

/** Removes a named path. Steps that follow it are left as they are; ask `usesOf` first. */
export function removeNamedPath(attendant: Attendant, pathId: NamedPathId): Attendant {
  return { ...attendant, paths: attendant.paths.filter((path) => path.id !== pathId) };
}

export function renameNamedPath(attendant: Attendant, pathId: NamedPathId, name: string): Attendant {
  return changeNamedPath(attendant, pathId, (path) => ({ ...path, name }));
}

export function setNamedSteps(attendant: Attendant, pathId: NamedPathId, steps: Path): Attendant {
  return changeNamedPath(attendant, pathId, (path) => ({ ...path, steps }));
}

function changeNamedPath(attendant: Attendant, pathId: NamedPathId, change: (path: NamedPath) => NamedPath): Attendant {
  if (!findNamedPath(attendant, pathId)) throw new Error(`There is no path ${pathId}`);
  return { ...attendant, paths: attendant.paths.map((path) => (path.id === pathId ? change(path) : path)) };
}
