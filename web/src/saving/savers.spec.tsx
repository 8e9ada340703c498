/** @jest-environment jsdom */
import { Moments } from './moments';
import { Savers, type Held } from './savers';
import type { UndoKind } from './undoSource';

/** Something whose changes are numbered, and that tells which one it takes back. */
function edited(kind: UndoKind, name: string) {
  const moments = new Moments();
  let done = 0;
  const history = {
    kind,
    get lastAt() {
      return moments.lastAt;
    },
    get nextAt() {
      return moments.nextAt;
    },
    undoLast: () => {
      moments.undid();
      return `${name} ${done--}`;
    },
    redoNext: () => {
      moments.redid();
      return `${name} ${++done}`;
    },
  };
  const held: Held = {
    what: () => name,
    history,
    saver: {
      revision: 4,
      getSaving: () => ({ type: 'saved' }),
      subscribe: () => () => undefined,
      saveNow: () => Promise.resolve(1),
      tryAgain: () => undefined,
      choose: () => undefined,
      close: () => undefined,
    },
  };
  const change = (): void => moments.did(++done);
  return { held, change };
}

const [script, week, noor] = [edited('draft', 'script'), edited('hours', 'week'), edited('rows', 'Noor')];
const savers = new Savers();
savers.of('draft', () => script.held);
savers.of('hours', () => week.held);
savers.of('noor', () => noor.held);

describe('undoing from the keyboard', () => {
  it('takes back the latest change of what belongs to the screen, and of nothing else', () => {
    for (const { change } of [script, week, script, noor, week]) change();
    expect(savers.undo(['rows'])).toBe('Noor 1');
    expect(savers.undo(['rows'])).toBeNull();
    expect(['hours', 'draft'].map((kind) => savers.undo([kind as UndoKind]))).toEqual(['week 2', 'script 2']);
    expect(savers.redo(['hours', 'draft'])).toBe('script 2');
    expect(savers.redo(['hours', 'draft'])).toBe('week 2');
    expect(savers.redo(['hours', 'draft'])).toBeNull();
    expect([1, 2, 3, 4, 5].map(() => savers.undo(['hours', 'draft']))).toEqual([
      'week 2',
      'script 2',
      'week 1',
      'script 1',
      null,
    ]);
    expect(savers.redo([])).toBeNull();
  });
});

describe('what is edited in a window', () => {
  it('is opened once, and known by its address', () => {
    expect(savers.of('draft', () => week.held)).toBe(script.held);
    expect([savers.revisionAt('draft'), savers.revisionAt('nothing')]).toEqual([4, undefined]);
  });
});
