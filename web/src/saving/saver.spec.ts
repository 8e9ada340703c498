import { itemsBy, membersOf, merge, type Side } from '@locutor/core/merging';
import fc from 'fast-check';
import { Saver, saverTimes, type Failure, type Kept, type Rebased, type SaverDoors, type Unsaved } from './saver';

interface Boat {
  readonly name: string;
  readonly mooring: string;
  readonly crew: readonly string[];
}

const shape = membersOf({ crew: itemsBy<string>((name) => name) });
const kittiwake: Boat = { name: 'Kittiwake', mooring: '12', crew: ['Juno'] };

class Refusal extends Error {
  constructor(readonly type: Failure['type']) {
    super(type);
  }
}

/** A server that several windows save to. */
class Server {
  kept: Kept<Boat> = { revision: 1, document: kittiwake };
  fails: Refusal | null = null;
  readonly saved: Boat[] = [];
  /** What holds its answers back. */
  gate: Promise<void> = Promise.resolve();
  losesAnswers = false;

  async save(base: Kept<Boat>, document: Boat): Promise<{ readonly revision: number }> {
    await this.gate;
    if (this.fails) throw this.fails;
    if (base.revision !== this.kept.revision) throw new Refusal('stale');
    this.kept = { revision: base.revision + 1, document };
    this.saved.push(document);
    if (this.losesAnswers) throw new Refusal('unreachable');
    return { revision: this.kept.revision };
  }

  /** Another program's change, which asks nobody. */
  elsewhere(changes: Partial<Boat>): void {
    this.kept = { revision: this.kept.revision + 1, document: { ...this.kept.document, ...changes } };
  }
}

/** A window with its own memory and a clock that passes when told. */
class Window {
  backup: Unsaved<Boat> | null = null;
  nowMs = 0;
  /** The window is left, as when somebody closes it. */
  leave: () => void = () => undefined;
  private due: { readonly atMs: number; readonly run: () => void }[] = [];
  readonly saver: Saver<Boat>;
  readonly rebased: Rebased<Boat>[] = [];

  constructor(
    readonly server: Server,
    unsaved: Unsaved<Boat> | null = null,
  ) {
    const doors: SaverDoors<Boat> = {
      save: (base, document) => server.save(base, document),
      load: () => Promise.resolve(server.kept),
      backUp: (backup) => (this.backup = backup),
      leaving: (run) => {
        this.leave = run;
        return () => (this.leave = () => undefined);
      },
      failureOf: (error) => ({ type: (error as Refusal).type, says: `It was ${(error as Refusal).type}.` }),
      later: (ms, run) => {
        const task = { atMs: this.nowMs + ms, run };
        this.due.push(task);
        return () => (this.due = this.due.filter((each) => each !== task));
      },
      merge: (base, mine, theirs, choose) => merge(base, mine, theirs, shape, choose),
      tell: (_, clashes) =>
        clashes.map(({ at, mine, theirs }) => ({ where: at.join(' '), mine: String(mine), theirs: String(theirs) })),
    };
    this.saver = new Saver(server.kept, doors, unsaved);
    this.saver.onRebase((rebased) => this.rebased.push(rebased));
  }

  change(changes: Partial<Boat>): void {
    this.saver.change({ ...this.present, ...changes });
  }
  get present(): Boat {
    return this.saver.getPresent();
  }
  get state(): string {
    return this.saver.getSaving().type;
  }

  async pass(ms: number): Promise<void> {
    const untilMs = this.nowMs + ms;
    for (;;) {
      await settled();
      const next = this.due.filter(({ atMs }) => atMs <= untilMs).sort((one, other) => one.atMs - other.atMs)[0];
      if (!next) break;
      this.due = this.due.filter((each) => each !== next);
      this.nowMs = next.atMs;
      next.run();
    }
    this.nowMs = untilMs;
  }
}

async function settled(): Promise<void> {
  for (let turn = 0; turn < 12; turn += 1) await Promise.resolve();
}

let server: Server;
let window: Window;
beforeEach(() => {
  server = new Server();
  window = new Window(server);
});

describe('a document that saves itself', () => {
  it('saves a moment after the last change, all in one go', async () => {
    for (const name of ['P', 'Pe', 'Petrel']) window.change({ name });
    expect([window.state, server.saved]).toEqual(['saving', []]);
    await window.pass(saverTimes.saveAfterMs);
    expect(server.saved).toEqual([{ ...kittiwake, name: 'Petrel' }]);
    expect([window.state, window.backup, window.saver.revision]).toEqual(['saved', null, 2]);
  });

  it('keeps what is typed in the browser until the server has it', async () => {
    window.change({ name: 'Petrel' });
    await window.pass(saverTimes.backUpAfterMs);
    expect(window.backup).toMatchObject({ base: { revision: 1, document: kittiwake }, document: { name: 'Petrel' } });
    await window.pass(1000);
    expect(window.backup).toBeNull();
  });

  it('is kept there while somebody types without a pause, and at once when the window is left', async () => {
    server.fails = new Refusal('unreachable');
    let name = '';
    for (const letter of 'Petrel and Puffin') {
      name += letter;
      window.change({ name });
      await window.pass(100);
    }
    expect(window.backup?.document).toMatchObject({ name: 'Petrel and' });
    window.change({ name: 'Puffin' });
    window.leave();
    expect(window.backup?.document).toMatchObject({ name: 'Puffin' });
    window.saver.close();
    window.change({ name: 'Fulmar' });
    window.leave();
    expect(window.backup?.document).toMatchObject({ name: 'Puffin' });
  });

  it('stands as it was where somebody was asked first and said no, and saves what is changed next', async () => {
    let told = 0;
    window.saver.onLeft(() => (told += 1));
    server.fails = new Refusal('leftAsItWas');
    window.change({ name: 'Petrel' });
    await window.pass(5000);
    expect([window.present, window.state, window.backup, told]).toEqual([kittiwake, 'saved', null, 1]);
    window.change({ name: 'Petrel' });
    await expect(window.saver.saveNow()).rejects.toThrow('It was leftAsItWas.');
    server.fails = null;
    window.change({ mooring: '9' });
    await window.pass(5000);
    expect(server.saved).toEqual([{ ...kittiwake, mooring: '9' }]);
  });

  it('saves what is typed during a save after it, from the revision that one made', async () => {
    let letGo = (): void => undefined;
    server.gate = new Promise((resolve) => (letGo = resolve));
    window.change({ name: 'Petrel' });
    await window.pass(saverTimes.saveAfterMs);
    window.change({ mooring: '9' });
    // The list is read again meanwhile, and already has what is on its way.
    window.saver.arrive({ revision: 2, document: { ...kittiwake, name: 'Petrel' } });
    await window.pass(5000);
    expect(server.saved).toEqual([]);
    letGo();
    await window.pass(5000);
    expect(server.saved.map(({ name, mooring }) => [name, mooring])).toEqual([
      ['Petrel', '12'],
      ['Petrel', '9'],
    ]);
    expect(window.state).toBe('saved');
    expect(window.rebased).toEqual([]);
  });

  it('does not save what was taken back before it could be', async () => {
    window.change({ name: 'Petrel' });
    window.change({ name: 'Kittiwake' });
    await window.pass(1000);
    expect([server.saved, window.state]).toEqual([[], 'saved']);
  });

  it('saves what was taken back during a save, also when the window is left before', async () => {
    let open = (): void => undefined;
    server.gate = new Promise((resolve) => (open = resolve));
    window.change({ mooring: '14' });
    await window.pass(1000);
    window.change({ mooring: '12' });
    window.leave();
    const next = new Window(server, window.backup);
    await next.pass(0);
    open();
    await next.pass(2000);
    expect(server.kept.document.mooring).toBe('12');
    expect(next.present.mooring).toBe('12');
    expect(next.state).toBe('saved');
    expect(next.backup).toBeNull();
  });

  it('does not bring back what was taken back, should the window be left at once', async () => {
    server.gate = new Promise(() => undefined);
    window.change({ mooring: '14' });
    await window.pass(saverTimes.backUpAfterMs);
    expect(window.backup?.document.mooring).toBe('14');
    window.change({ mooring: '12' });
    window.leave();
    expect(window.backup).toBeNull();
  });

  it('saves what was taken back after a save that was not answered, and may have arrived', async () => {
    server.losesAnswers = true;
    window.change({ mooring: '14' });
    await window.pass(saverTimes.saveAfterMs);
    expect(window.state).toBe('unreachable');
    server.losesAnswers = false;
    window.change({ mooring: '12' });
    await window.pass(5000);
    expect(server.kept.document.mooring).toBe('12');
    expect(window.state).toBe('saved');
  });

  it('saves at once when asked, and tells the revision or why not', async () => {
    expect(await window.saver.saveNow()).toBe(1);
    window.change({ name: 'Petrel' });
    expect(await window.saver.saveNow()).toBe(2);
    server.fails = new Refusal('refused');
    window.change({ name: '' });
    await expect(window.saver.saveNow()).rejects.toThrow('It was refused.');
    server.fails = null;
    server.elsewhere({ name: 'Tern' });
    await expect(window.saver.saveNow()).rejects.toThrow('Choose first');
  });
});

describe('a server that does not answer', () => {
  it('is tried again with growing pauses, half a minute at most, until it does', async () => {
    const triedAtMs: number[] = [];
    const save = server.save.bind(server);
    server.save = (base, document) => {
      triedAtMs.push(window.nowMs);
      return save(base, document);
    };
    server.fails = new Refusal('unreachable');
    window.change({ name: 'Petrel' });
    await window.pass(100_000);
    expect(triedAtMs).toEqual([300, 1300, 3300, 7300, 15_300, 31_300, 61_300, 91_300]);
    expect(window.saver.getSaving()).toEqual({ type: 'unreachable', says: 'It was unreachable.' });
    server.fails = null;
    await window.pass(30_000);
    expect([window.state, server.kept.document.name]).toEqual(['saved', 'Petrel']);
  });

  it('is tried at once when it is known to be there again', async () => {
    server.fails = new Refusal('unreachable');
    window.change({ name: 'Petrel' });
    await window.pass(20_000);
    server.fails = null;
    window.saver.tryAgain();
    await window.pass(0);
    expect(window.state).toBe('saved');
  });

  it('may have kept what it did not answer to: that is no other window’s', async () => {
    server.losesAnswers = true;
    window.change({ name: 'Petrel' });
    await window.pass(saverTimes.saveAfterMs);
    window.change({ name: 'Petrel II' });
    server.losesAnswers = false;
    await window.pass(5000);
    expect(server.kept.document.name).toBe('Petrel II');
    expect(window.state).toBe('saved');
  });
});

describe('what is refused', () => {
  it('stands, with why, and is saved after the next change', async () => {
    server.fails = new Refusal('refused');
    window.change({ name: '' });
    await window.pass(100_000);
    expect([window.saver.getSaving(), window.present.name]).toEqual([{ type: 'refused', says: 'It was refused.' }, '']);
    server.fails = null;
    window.change({ name: 'Tern' });
    await window.pass(1000);
    expect(server.kept.document.name).toBe('Tern');
  });
});

describe('a document that another window saves meanwhile', () => {
  it('shows it here when nothing was changed', () => {
    server.elsewhere({ name: 'Tern' });
    window.saver.arrive(server.kept);
    expect([window.present.name, window.state]).toEqual(['Tern', 'saved']);
  });

  it('has both changes where they were of different things', async () => {
    server.elsewhere({ name: 'Tern', crew: ['Juno', 'Noor'] });
    window.change({ mooring: '9', crew: ['Priya', 'Juno'] });
    await window.pass(1000);
    const both = { name: 'Tern', mooring: '9', crew: ['Priya', 'Juno', 'Noor'] };
    expect([window.present, server.kept.document, window.state]).toEqual([both, both, 'saved']);
    expect(window.rebased).toMatchObject([{ base: kittiwake, mine: { mooring: '9' }, merged: both }]);
  });

  describe('to something else', () => {
    beforeEach(async () => {
      server.elsewhere({ name: 'Tern' });
      window.change({ name: 'Petrel', mooring: '9' });
      await window.pass(1000);
    });

    it('tells both, and saves nothing until somebody has chosen', async () => {
      const clashes = [{ where: 'name', mine: 'Petrel', theirs: 'Tern' }];
      expect(window.saver.getSaving()).toEqual({ type: 'clash', clashes });
      await window.pass(100_000);
      expect(server.saved).toEqual([]);
      expect(window.backup).toMatchObject({ document: { name: 'Petrel' }, base: { revision: 1 } });
    });

    it.each<readonly [Side, string]>([
      ['mine', 'Petrel'],
      ['theirs', 'Tern'],
    ])('saves %s where that is chosen, and the rest of mine', async (side, name) => {
      window.saver.choose([side]);
      expect(window.present).toMatchObject({ name, mooring: '9' });
      await window.pass(1000);
      expect(server.kept.document).toMatchObject({ name, mooring: '9' });
      expect([window.state, window.backup]).toEqual(['saved', null]);
    });

    it('goes by what stands here by then: no clash is left when both say the same', async () => {
      window.change({ name: 'Tern' });
      await window.pass(1000);
      expect(server.kept.document).toMatchObject({ name: 'Tern', mooring: '9' });
    });

    it('tells the newest of theirs', () => {
      server.elsewhere({ name: 'Gull' });
      window.saver.arrive(server.kept);
      expect(window.saver.getSaving()).toMatchObject({ clashes: [{ theirs: 'Gull' }] });
    });
  });
});

describe('a window that was closed before all was saved', () => {
  const unsaved: Unsaved<Boat> = {
    base: { revision: 1, document: kittiwake },
    document: { ...kittiwake, name: 'Petrel' },
  };

  it('takes it up and saves it', async () => {
    window = new Window(server, unsaved);
    expect([window.present.name, window.state]).toEqual(['Petrel', 'saving']);
    await window.pass(0);
    expect(server.kept.document.name).toBe('Petrel');
  });

  it('merges it with what was saved since, and asks where the two clash', async () => {
    server.elsewhere({ mooring: '3' });
    window = new Window(server, unsaved);
    await window.pass(1000);
    expect(server.kept.document).toMatchObject({ name: 'Petrel', mooring: '3' });
    server.elsewhere({ name: 'Tern' });
    window = new Window(server, unsaved);
    expect(window.state).toBe('clash');
  });

  it('knows what it had sent without hearing the answer', async () => {
    server.elsewhere({ name: 'Petrel' });
    window = new Window(server, {
      ...unsaved,
      document: { ...kittiwake, name: 'Petrel II' },
      sent: [unsaved.document],
    });
    await window.pass(1000);
    expect([window.state, server.kept.document.name]).toEqual(['saved', 'Petrel II']);
  });

  it('has nothing to save where the server has it already', () => {
    server.elsewhere({ name: 'Petrel' });
    expect(new Window(server, unsaved).state).toBe('saved');
  });
});

describe('any number of windows', () => {
  it('end with the same document, in which each last change of a field that only one of them changed is kept', async () => {
    const act = fc.record({
      who: fc.integer({ min: 0, max: 2 }),
      what: fc.constantFrom('name', 'mooring', 'crew', 'pass', 'list', 'lost', 'gone', 'there'),
      text: fc.constantFrom('a', 'b', 'c', 'd'),
    });
    await fc.assert(
      fc.asyncProperty(fc.array(act, { maxLength: 40 }), async (acts) => {
        const shared = new Server();
        const windows = [0, 1, 2].map(() => new Window(shared));
        const changedBy = new Map<string, Set<number>>();
        const last = new Map<string, string>();
        for (const { who, what, text } of acts) {
          const each = windows[who] as Window;
          if (what === 'pass') await each.pass(700);
          else if (what === 'list') each.saver.arrive(shared.kept);
          else if (what === 'lost') shared.losesAnswers = true;
          else if (what === 'gone') shared.fails = new Refusal('unreachable');
          else if (what === 'there') [shared.fails, shared.losesAnswers] = [null, false];
          else {
            each.change(what === 'crew' ? { crew: [...new Set([...each.present.crew, text])] } : { [what]: text });
            changedBy.set(what, (changedBy.get(what) ?? new Set()).add(who));
            last.set(what, text);
          }
        }
        [shared.fails, shared.losesAnswers] = [null, false];
        for (let round = 0; round < 6; round += 1) {
          for (const each of windows) {
            each.saver.arrive(shared.kept);
            if (each.state === 'clash') each.saver.choose([]);
            await each.pass(31_000);
          }
        }
        for (const each of windows) {
          expect(each.state).toBe('saved');
          expect(each.present).toEqual(shared.kept.document);
        }
        for (const field of ['name', 'mooring'] as const) {
          if (changedBy.get(field)?.size === 1) expect(shared.kept.document[field]).toBe(last.get(field));
        }
      }),
      // The same cases each time, but for a long run.
      process.env.LOCUTOR_LONG === '1' ? { numRuns: 4000 } : { numRuns: 150, seed: 20_261_127 },
    );
  });
});
