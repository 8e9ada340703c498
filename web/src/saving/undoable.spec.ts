import { itemsBy, merge } from '@locutor/core/merging';
import { Saver } from './saver';
import { Undoable } from './undoable';

const shape = itemsBy<string>((name) => name);
const merging = {
  merge: (base: readonly string[], mine: readonly string[], theirs: readonly string[]) =>
    merge(base, mine, theirs, shape),
  tell: () => [],
};

let saver: Saver<readonly string[]>;
let crew: Undoable<readonly string[]>;
beforeEach(() => {
  const doors = {
    ...merging,
    save: () => new Promise<never>(() => undefined),
    load: () => new Promise<never>(() => undefined),
    backUp: () => undefined,
    failureOf: () => ({ type: 'refused' as const, says: '' }),
    later: () => () => undefined,
  };
  saver = new Saver<readonly string[]>({ revision: 1, document: ['Noor'] }, doors);
  crew = new Undoable(saver, {
    ...merging,
    kind: 'rows',
    describe: (before, after) => `from ${before.join(' ')} to ${after.join(' ')}`,
    joins: (_, before, after) => after.length === before.length,
  });
});
const names = (): string => saver.getPresent().join(' ');

describe('changes that can be undone', () => {
  it('are undone one by one, and done again until another is made', () => {
    expect(crew.getSnapshot()).toEqual({ canUndo: false, canRedo: false });
    crew.change(['Noor', 'Juno']);
    crew.change(['Juno']);
    crew.undo();
    expect(names()).toBe('Noor Juno');
    crew.undo();
    expect([names(), crew.getSnapshot()]).toEqual(['Noor', { canUndo: false, canRedo: true }]);
    crew.redo();
    crew.redo();
    expect([names(), crew.getSnapshot().canRedo]).toEqual(['Juno', false]);
    crew.undo();
    crew.change(['Priya']);
    crew.redo();
    expect([names(), crew.getSnapshot()]).toEqual(['Priya', { canUndo: true, canRedo: false }]);
  });

  it('do nothing where there is nothing to undo or redo', () => {
    crew.undo();
    crew.redo();
    crew.forget();
    expect(names()).toBe('Noor');
  });

  it('are gone where somebody was asked first and said no; those before them stay', async () => {
    let fails = false;
    const doors = {
      ...merging,
      save: ({ revision }: { readonly revision: number }) =>
        fails ? Promise.reject(new Error('no')) : Promise.resolve({ revision: revision + 1 }),
      load: () => new Promise<never>(() => undefined),
      backUp: () => undefined,
      failureOf: () => ({ type: 'leftAsItWas' as const, says: 'no' }),
      later: () => () => undefined,
    };
    const asked = new Saver<readonly string[]>({ revision: 1, document: ['Noor'] }, doors);
    const changes = new Undoable(asked, { ...merging, kind: 'rows', describe: () => '' });
    changes.change(['Noor', 'Juno']);
    await asked.saveNow();
    fails = true;
    changes.change(['Juno']);
    changes.change([]);
    await expect(asked.saveNow()).rejects.toThrow('no');
    expect(asked.getPresent()).toEqual(['Noor', 'Juno']);
    changes.undo();
    expect([asked.getPresent(), changes.getSnapshot()]).toEqual([['Noor'], { canUndo: false, canRedo: true }]);
  });

  it('can be forgotten, as one that was refused', () => {
    crew.change(['Juno']);
    crew.change([]);
    crew.forget();
    expect([names(), crew.getSnapshot()]).toEqual(['Juno', { canUndo: true, canRedo: false }]);
  });

  it('join the one before where they go on with it', () => {
    crew.change(['Noor', 'J']);
    crew.change(['Noor', 'Ju']);
    crew.change(['Noor', 'Juno']);
    crew.undo();
    expect(names()).toBe('Noor');
    crew.redo();
    expect(names()).toBe('Noor Juno');
  });

  it('tell what was undone and done again', () => {
    crew.change(['Noor', 'Juno']);
    expect(crew.undoLast()).toBe('from Noor to Noor Juno');
    expect(crew.redoNext()).toBe('from Noor to Noor Juno');
  });

  it('take back what was done here, not what another window did meanwhile', () => {
    crew.change(['Noor', 'Juno']);
    crew.change(['Noor', 'Juno', 'Priya']);
    crew.undo();
    saver.arrive({ revision: 2, document: ['Noor', 'Wendell'] });
    expect(names()).toBe('Noor Juno Wendell');
    crew.undo();
    expect(names()).toBe('Noor Wendell');
    crew.redo();
    crew.redo();
    expect(names().split(' ').sort()).toEqual(['Juno', 'Noor', 'Priya', 'Wendell']);
  });
});
