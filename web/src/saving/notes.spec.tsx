/** @jest-environment jsdom */
import { act, fireEvent, screen, within } from '@testing-library/react';
import type { ToldClash } from '@locutor/core/merging';
import { show } from '../testing/inApp';
import { ClashChoice } from './ClashChoice';
import type { Saving } from './saver';
import { useSavers, type Held } from './savers';
import { SavingNote } from './SavingNote';
import { Unsettled } from './Unsettled';

const words: ToldClash = { where: 'Welcome, opening words', mine: '“Good morning.”', theirs: '“Hello.”' };
const voice: ToldClash = { where: 'The voice', mine: 'rms', theirs: 'awb' };
const button = (name: string): HTMLButtonElement => screen.getByRole('button', { name });

describe('the note on how something stands', () => {
  const choose = jest.fn();

  it('says whether it is saved, and why it is not', () => {
    const { rerender } = show(<SavingNote saving={{ type: 'saving' }} choose={choose} />);
    expect(screen.getByRole('status').textContent).toBe('Saving …');
    rerender(<SavingNote saving={{ type: 'saved' }} choose={choose} />);
    expect(screen.getByRole('status').textContent).toBe('Saved');
    rerender(<SavingNote saving={{ type: 'refused', says: 'The name is missing.' }} choose={choose} />);
    expect(screen.getByRole('alert').textContent).toBe('Not saved: The name is missing.');
    rerender(<SavingNote saving={{ type: 'unreachable', says: 'No answer.' }} choose={choose} />);
    expect(screen.getByRole('alert').textContent).toMatch(/^Not saved yet.*kept in this browser/);
  });

  it('says nothing while all is well where it is to be brief', () => {
    const { container } = show(<SavingNote saving={{ type: 'saving' }} choose={choose} isBrief />);
    expect(container.textContent).toBe('');
  });

  it('shows both sides of a clash', () => {
    show(<SavingNote saving={{ type: 'clash', clashes: [words] }} choose={choose} isBrief />);
    expect(screen.getByRole('group', { name: 'Changed in two windows' })).toBeTruthy();
  });
});

describe('a choice between what two windows made', () => {
  it('is made place by place, and only once all are chosen', () => {
    const choose = jest.fn();
    show(<ClashChoice clashes={[words, voice]} choose={choose} />);
    const of = (name: string) => within(screen.getByRole('radiogroup', { name }));
    expect(of('Welcome, opening words').getByLabelText('Here: “Good morning.”')).toBeTruthy();
    fireEvent.click(of('Welcome, opening words').getByLabelText('Here: “Good morning.”'));
    expect(button('Keep what is chosen').disabled).toBe(true);
    fireEvent.click(of('The voice').getByLabelText('In the other window: awb'));
    fireEvent.click(button('Keep what is chosen'));
    expect(choose).toHaveBeenCalledWith(['mine', 'theirs']);
  });

  it('can be made for all places at once', () => {
    const choose = jest.fn();
    show(<ClashChoice clashes={[words, voice]} choose={choose} />);
    fireEvent.click(button('All as here'));
    fireEvent.click(button('All as in the other window'));
    expect(choose.mock.calls).toEqual([[['mine', 'mine']], [['theirs', 'theirs']]]);
  });

  it('does not offer that where there is one place', () => {
    show(<ClashChoice clashes={[words]} choose={jest.fn()} />);
    expect(screen.queryByRole('button', { name: 'All as here' })).toBeNull();
  });
});

describe('the notice above the work', () => {
  /** Something that is edited somewhere, as a spec wants it to stand. */
  class Edited implements Held {
    saving: Saving = { type: 'saved' };
    private readonly listeners = new Set<() => void>();
    readonly chosen = jest.fn();
    readonly tried = jest.fn();
    readonly saver = {
      getSaving: () => this.saving,
      subscribe: (listener: () => void) => {
        this.listeners.add(listener);
        return () => this.listeners.delete(listener);
      },
      saveNow: jest.fn(() => Promise.resolve(1)),
      revision: 1,
      tryAgain: this.tried,
      close: () => undefined,
      choose: this.chosen,
    };

    constructor(private readonly name: string) {}
    readonly what = (): string => this.name;
    readonly history = { kind: 'rows' as const, lastAt: 0, nextAt: 0, undoLast: () => '', redoNext: () => '' };
    stands(saving: Saving): Promise<void> {
      return act(async () => {
        this.saving = saving;
        for (const listener of this.listeners) listener();
        await Promise.resolve();
      });
    }
  }

  let savers: ReturnType<typeof useSavers>;
  let noor: Edited;
  function Inside() {
    savers = useSavers();
    savers.of('/api/people/noor', () => noor);
    return <Unsettled />;
  }
  beforeEach(() => {
    noor = new Edited('Noor Haldane');
    show(<Inside />);
  });

  it('is there only when something is amiss', async () => {
    expect(screen.queryByRole('alert')).toBeNull();
    await noor.stands({ type: 'saving' });
    expect(screen.queryByRole('alert')).toBeNull();
    await noor.stands({ type: 'refused', says: 'The extension is taken.' });
    expect(screen.getByRole('region', { name: 'Not saved' }).textContent).toBe(
      'Noor HaldaneNot saved: The extension is taken.',
    );
    await noor.stands({ type: 'saved' });
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('lets what clashes be chosen, though its screen was left', async () => {
    await noor.stands({ type: 'clash', clashes: [words] });
    fireEvent.click(screen.getByLabelText('Here: “Good morning.”'));
    fireEvent.click(button('Keep what is chosen'));
    expect(noor.chosen).toHaveBeenCalledWith(['mine']);
  });

  it('leaves out what says so itself on screen', async () => {
    await noor.stands({ type: 'refused', says: 'The extension is taken.' });
    let isGone = (): void => undefined;
    await act(async () => {
      isGone = savers.showInPlace('/api/people/noor');
      await Promise.resolve();
    });
    expect(screen.queryByRole('alert')).toBeNull();
    await act(async () => {
      isGone();
      await Promise.resolve();
    });
    expect(screen.getAllByRole('alert')).not.toHaveLength(0);
  });

  it('says once that the server does not answer; when the network is back it is tried at once', async () => {
    await noor.stands({ type: 'unreachable', says: 'The server does not answer.' });
    expect(screen.getByRole('alert').textContent).toMatch(/does not answer.*kept in this browser/);
    act(() => void window.dispatchEvent(new Event('online')));
    expect(noor.tried).toHaveBeenCalledTimes(1);
  });

  it('has everything saved at once that waits when the window is left', async () => {
    act(() => void window.dispatchEvent(new Event('pagehide')));
    expect(noor.saver.saveNow).not.toHaveBeenCalled();
    await noor.stands({ type: 'saving' });
    act(() => void window.dispatchEvent(new Event('pagehide')));
    expect(noor.saver.saveNow).toHaveBeenCalledTimes(1);
  });
});
