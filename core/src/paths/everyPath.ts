import type { CallScript } from '../call';
import { waysFinder, type WaysOptions } from './findWays';
import { staffDoes, type StaffDoes } from './leg';
import { momentKinds, type MomentKind } from './momentKinds';
import { placeOfTurn, type Turn, type Way, type WayEnd } from './way';

/** One way through from beginning to end, at one kind of moment, with the staff doing one thing. */
export interface FoundPath {
  /** Tells paths apart, and knows one again in another version. */
  readonly key: string;
  readonly moment: MomentKind;
  readonly staff: StaffDoes;
  /** The caller's choices, in their order. */
  readonly turns: readonly Turn[];
  readonly end: WayEnd;
  /** Until it ends, for a caller who listens to the option before pressing its key. */
  readonly endMs: number;
  /** Until somebody can pick up; null where nobody can. */
  readonly personMs: number | null;
  /** The same for a caller who knows the keys. */
  readonly quickPersonMs: number | null;
}

export interface EveryPath {
  readonly moments: readonly MomentKind[];
  readonly paths: readonly FoundPath[];
  /** Whether there were more than can be listed. */
  readonly isCut: boolean;
}

/** More than anybody reads; a menu that leads on to others in a tangle has very many. */
const mostPaths = 20_000;

/**
 * Every way through, for every kind of moment ahead and every staff situation that matters: where it ends, and after
 * how long. Ways on which nobody is rung are listed once, whatever the staff does.
 */
export function everyPath(
  script: CallScript,
  fromMs: number,
  options: Pick<WaysOptions, 'lengthMs' | 'once'> = {},
): EveryPath {
  const moments = momentKinds(script, fromMs);
  const findWays = waysFinder(script);
  const paths: FoundPath[] = [];
  let isCut = false;
  for (const moment of moments) {
    /** The choices on which somebody is rung: there it makes a difference what the staff does. */
    const rung = new Set<string>();
    for (const staff of staffDoes) {
      const { ways, isCut: cut } = findWays({
        ...options,
        atMs: moment.atMs,
        answer: moment.answer,
        staff,
        endsOnly: true,
        most: mostPaths,
      });
      isCut ||= cut;
      paths.push(...listed(ways, moment, staff, rung));
      if (paths.length > mostPaths) return { moments, paths: paths.slice(0, mostPaths), isCut: true };
    }
  }
  return { moments, paths, isCut };
}

function listed(ways: readonly Way[], moment: MomentKind, staff: StaffDoes, rung: Set<string>): readonly FoundPath[] {
  const chosen: Chosen[] = [];
  return ways.flatMap((way): FoundPath[] => {
    const { turns, choices, personMs, quickPersonMs } = (chosen[way.index] = chosenOn(way, chosen));
    if (way.end.type === 'menu') return [];
    if (way.rings) rung.add(choices);
    if (staff !== 'noAnswer' && !rung.has(choices)) return [];
    return [
      {
        key: [moment.key, staff, choices].join(' | '),
        moment,
        staff,
        turns,
        end: way.end,
        endMs: way.endMs,
        personMs,
        quickPersonMs,
      },
    ];
  });
}

/** The caller's choices up to a way, and as text; and when somebody could pick up first, on it or before. */
interface Chosen extends Pick<FoundPath, 'turns' | 'personMs' | 'quickPersonMs'> {
  readonly choices: string;
}

const nothingChosen: Chosen = { turns: [], choices: '', personMs: null, quickPersonMs: null };

function chosenOn({ turn, parent, personMs, quickPersonMs }: Way, before: readonly Chosen[]): Chosen {
  const earlier = (parent === null ? undefined : before[parent]) ?? nothingChosen;
  const person = {
    personMs: earlier.personMs ?? personMs?.soonestMs ?? null,
    quickPersonMs: earlier.quickPersonMs ?? quickPersonMs,
  };
  if (!turn) return { ...earlier, ...person };
  const choices = earlier.choices === '' ? turnKey(turn) : `${earlier.choices} | ${turnKey(turn)}`;
  return { turns: [...earlier.turns, turn], choices, ...person };
}

function turnKey(turn: Turn): string {
  return `${placeOfTurn(turn)} ${'key' in turn ? turn.key : turn.type}`;
}

/** How a path of another version differs from the one of the same choices. */
export type PathDifference = 'new' | 'gone' | 'ends' | 'noPerson' | 'person' | 'slower' | 'faster';

/** A difference of fewer seconds than this is nothing to a caller. */
const noticedMs = 2000;

/** What became of each path between two versions, by its key; those that are alike are left out. */
export function comparePaths(
  before: readonly FoundPath[],
  after: readonly FoundPath[],
): ReadonlyMap<string, { readonly is: PathDifference; readonly path: FoundPath }> {
  const earlier = new Map(before.map((path) => [path.key, path]));
  const found = new Map<string, { is: PathDifference; path: FoundPath }>();
  for (const path of after) {
    const was = earlier.get(path.key);
    earlier.delete(path.key);
    const is = was ? differenceOf(was, path) : 'new';
    if (is) found.set(path.key, { is, path });
  }
  for (const path of earlier.values()) found.set(path.key, { is: 'gone', path });
  return found;
}

function differenceOf(was: FoundPath, is: FoundPath): PathDifference | undefined {
  if (JSON.stringify(was.end) !== JSON.stringify(is.end)) return 'ends';
  if ((was.personMs === null) !== (is.personMs === null)) return is.personMs === null ? 'noPerson' : 'person';
  const [then, now] = [was.personMs ?? was.endMs, is.personMs ?? is.endMs];
  if (Math.abs(now - then) < noticedMs) return undefined;
  return now > then ? 'slower' : 'faster';
}
