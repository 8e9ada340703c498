import { findNamedPath, findSheet, type Attendant, type LineId, type Path, type Slot } from '../../line';
import { remember, rememberBy } from '../remember';
import { atSlot, type Found, type ProofSubject, type Rule } from '../rule';

/** Lines that hand callers to each other without a key, without ringing anybody, and back again. */
export const lineCircle: Rule<'lineCircle'> = {
  name: 'lineCircle',
  grade: 'fault',
  consequence: 'lost',
  find: ({ attendant, line, lines }) => {
    const next = nextLines(lines);
    return handOvers(attendant).flatMap(({ slot, lineId }): Found[] =>
      comesBack(lineId, line.id, next) ? [{ at: atSlot(slot), facts: { to: lineId } }] : [],
    );
  },
};

interface HandedOver {
  /** Where the step stands. */
  readonly slot: Slot;
  readonly lineId: LineId;
}

/** Where callers who press nothing are handed to another line before anybody was rung. */
const handOvers = rememberBy((attendant: Attendant): readonly HandedOver[] => {
  const found = new Map<string, HandedOver>();
  const met = new Set<string>();
  const follow = (slot: Slot, path: Path): void => {
    for (const step of path) {
      if (step.type === 'say' || step.type === 'record') continue;
      if (step.type === 'toLine') found.set(`${JSON.stringify(slot)} ${step.lineId}`, { slot, lineId: step.lineId });
      if (step.type === 'followPath' && !met.has(step.pathId)) {
        met.add(step.pathId);
        follow({ type: 'named', pathId: step.pathId }, findNamedPath(attendant, step.pathId)?.steps ?? []);
      }
      const sheet = step.type === 'goTo' && !met.has(step.sheetId) ? findSheet(attendant, step.sheetId) : undefined;
      if (sheet) {
        met.add(sheet.id);
        const isMenu = sheet.type === 'menu';
        follow({ type: isMenu ? 'silence' : 'after', sheetId: sheet.id }, isMenu ? sheet.silencePath : sheet.afterPath);
      }
      return;
    }
  };
  for (const { path, ...rule } of attendant.answering.rules) follow(rule as Slot, path);
  follow({ type: 'otherwise' }, attendant.answering.otherwise);
  return [...found.values()];
});

const nextLines = remember(
  (lines: ProofSubject['lines']): ReadonlyMap<LineId, readonly LineId[]> =>
    new Map(lines.map(({ id, onAir }) => [id, onAir ? handOvers(onAir).map(({ lineId }) => lineId) : []])),
);

function comesBack(from: LineId, to: LineId, next: ReadonlyMap<LineId, readonly LineId[]>): boolean {
  const met = new Set<LineId>();
  const left = [from];
  for (let at = left.pop(); at; at = left.pop()) {
    if (at === to) return true;
    if (met.has(at)) continue;
    met.add(at);
    left.push(...(next.get(at) ?? []));
  }
  return false;
}
