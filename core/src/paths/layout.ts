import type { Stretch, Way } from './way';

export interface LayoutOptions {
  readonly pxPerSecond: number;
  readonly rowPx: number;
  /** Room at the left of the drawing, for the moment the line answers. */
  readonly leftPx: number;
  /** Room at the right for what a way ends in. */
  readonly endPx: number;
}

export interface Block {
  readonly type: Stretch['type'];
  readonly x: number;
  readonly width: number;
  readonly stretch: Stretch;
}

export interface Row {
  readonly way: Way;
  /** How deep in menus it is. */
  readonly depth: number;
  readonly y: number;
  /** Where it begins. */
  readonly x: number;
  /** Where it ends. */
  readonly endX: number;
  readonly blocks: readonly Block[];
  /** From which row, and where on it, it branches off; null for the first. */
  readonly from: { readonly y: number; readonly x: number } | null;
}

export interface Tick {
  readonly x: number;
  readonly seconds: number;
}

export interface TimeMapLayout {
  readonly rows: readonly Row[];
  readonly ticks: readonly Tick[];
  readonly width: number;
  readonly height: number;
}

/** Steps between the marks of the seconds, the finest that is not too fine first. */
const tickSteps = [1, 2, 5, 10, 15, 30, 60, 120, 300, 600];
const leastTickPx = 56;

/** Places every way on a row of its own, with time running to the right. */
export function layOut(ways: readonly Way[], options: LayoutOptions): TimeMapLayout {
  const { pxPerSecond, rowPx, leftPx, endPx } = options;
  const xOf = (ms: number): number => leftPx + (ms / 1000) * pxPerSecond;
  const rows: Row[] = [];
  ways.forEach((way, index) => {
    const parent = way.parent === null ? undefined : rows[way.parent];
    const x = xOf(way.fromMs);
    const drawn = [...joined(way.stretches), ...joined(way.menu)];
    rows.push({
      way,
      depth: parent ? parent.depth + 1 : 0,
      y: index * rowPx,
      x,
      endX: xOf(drawn.at(-1)?.toMs ?? way.endMs),
      blocks: drawn.map((stretch) => ({
        type: stretch.type,
        x: xOf(stretch.fromMs),
        width: ((stretch.toMs - stretch.fromMs) / 1000) * pxPerSecond,
        stretch,
      })),
      from: parent ? { y: parent.y, x: Math.min(x, parent.endX) } : null,
    });
  });
  const lastMs = ways.reduce((last, { endMs, menu }) => Math.max(last, endMs, menu.at(-1)?.toMs ?? 0), 0);
  return {
    rows,
    ticks: ticksUntil(lastMs / 1000, pxPerSecond).map((seconds) => ({ seconds, x: xOf(seconds * 1000) })),
    width: xOf(lastMs) + endPx,
    height: ways.length * rowPx,
  };
}

/** Words that follow each other are drawn as one block. */
function joined(stretches: readonly Stretch[]): readonly Stretch[] {
  return stretches.reduce<Stretch[]>((list, stretch) => {
    const last = list.at(-1);
    if (last?.type !== 'words' || stretch.type !== 'words') return [...list, stretch];
    return [...list.slice(0, -1), { ...last, toMs: stretch.toMs, text: `${last.text} ${stretch.text}` }];
  }, []);
}

function ticksUntil(seconds: number, pxPerSecond: number): readonly number[] {
  const step = tickSteps.find((each) => each * pxPerSecond >= leastTickPx) ?? 1200;
  return Array.from({ length: Math.floor(seconds / step) + 1 }, (_, index) => index * step);
}
