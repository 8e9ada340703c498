/** @jest-environment jsdom */
import { act, fireEvent, renderHook, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import useSWR from 'swr';
import { api } from '../api/client';
import { FakeServer } from '../testing/fakeServer';
import { InApp, show } from '../testing/inApp';
import { Elapsed } from './Elapsed';
import { InlineNumber } from './InlineNumber';
import { InlineSelect } from './InlineSelect';
import { Notices } from './notices';
import { SpokenCaption } from './SpokenCaption';
import { useNow } from './useNow';
import { useRemoveRow } from './useRemoveRow';

afterEach(() => jest.useRealTimers());

describe('a number in a sentence', () => {
  const changes: number[] = [];
  function Seconds() {
    const [value, setValue] = useState(20);
    const change = (next: number): void => {
      changes.push(next);
      setValue(next);
    };
    return <InlineNumber label="Seconds" value={value} least={5} most={60} step={5} onChange={change} />;
  }
  const field = (): HTMLInputElement => screen.getByRole('spinbutton', { name: 'Seconds, 5 to 60' });
  const type = (value: string): void => void fireEvent.change(field(), { target: { value } });
  beforeEach(() => {
    changes.length = 0;
    show(<Seconds />);
  });

  it('takes what is within its range as it is typed', () => {
    type('45');
    expect(changes).toEqual([45]);
    expect(field().getAttribute('aria-valuenow')).toBe('45');
    expect(field().getAttribute('aria-invalid')).toBe('false');
  });

  it.each(['', '4', '61', '2.5', '-7', 'ten'])(
    'does not take “%s”, says so, and shows the number again when left',
    (text) => {
      type(text);
      expect(changes).toEqual([]);
      expect(field().getAttribute('aria-invalid')).toBe('true');
      expect(field().value).toBe(text);
      fireEvent.blur(field());
      expect(field().value).toBe('20');
      expect(field().getAttribute('aria-invalid')).toBe('false');
    },
  );

  it('is stepped with the arrow keys, and stops at its ends', () => {
    fireEvent.keyDown(field(), { key: 'ArrowUp' });
    fireEvent.keyDown(field(), { key: 'ArrowDown' });
    fireEvent.keyDown(field(), { key: 'ArrowDown' });
    expect(changes).toEqual([25, 20, 15]);
    type('58');
    fireEvent.keyDown(field(), { key: 'ArrowUp' });
    expect(field().value).toBe('60');
    type('7');
    fireEvent.keyDown(field(), { key: 'ArrowDown' });
    expect(field().value).toBe('5');
  });

  it('leaves other keys alone', () => {
    expect(fireEvent.keyDown(field(), { key: 'Tab' })).toBe(true);
    expect(fireEvent.keyDown(field(), { key: 'ArrowUp' })).toBe(false);
  });
});

describe('a choice in a sentence', () => {
  const choices = [
    { value: 'one', label: 'Noor Haldane' },
    { value: 'two', label: 'Effie Brannigan' },
  ];
  const shown = (): string => {
    const { options, selectedIndex } = screen.getByRole('combobox') as HTMLSelectElement;
    return options[selectedIndex]?.text ?? '';
  };

  it('hands on what is chosen', () => {
    const chosen: string[] = [];
    show(<InlineSelect label="Who" value="one" choices={choices} onChange={(value) => chosen.push(value)} />);
    expect(shown()).toBe('Noor Haldane');
    fireEvent.change(screen.getByRole('combobox'), { target: { value: 'two' } });
    expect(chosen).toEqual(['two']);
  });

  describe('gone through with the keyboard', () => {
    const chosen: string[] = [];
    const list = () => screen.getByRole('combobox');
    const arrowTo = (value: string): void => {
      fireEvent.keyDown(list(), { key: 'ArrowDown' });
      fireEvent.change(list(), { target: { value } });
    };
    beforeEach(() => {
      chosen.length = 0;
      show(<InlineSelect label="Who" value="one" choices={choices} onChange={(value) => chosen.push(value)} />);
    });

    it('changes nothing before Enter', () => {
      arrowTo('two');
      expect([shown(), chosen]).toEqual([choices[1]?.label, []]);
      fireEvent.keyDown(list(), { key: 'Enter' });
      expect(chosen).toEqual(['two']);
    });

    it('takes effect when it is left', () => {
      arrowTo('two');
      fireEvent.blur(list());
      expect(chosen).toEqual(['two']);
    });

    it('goes back with Escape, and says nothing where it came back by itself', () => {
      arrowTo('two');
      fireEvent.keyDown(list(), { key: 'Escape' });
      expect(shown()).toBe('Noor Haldane');
      arrowTo('two');
      arrowTo('one');
      fireEvent.blur(list());
      expect(chosen).toEqual([]);
    });

    it('takes at once what is picked from the list that a key or a click opened', () => {
      fireEvent.keyDown(list(), { key: ' ' });
      fireEvent.change(list(), { target: { value: 'two' } });
      fireEvent.pointerDown(list());
      fireEvent.change(list(), { target: { value: 'two' } });
      expect(chosen).toEqual(['two', 'two']);
    });
  });

  it.each([
    ['gone', 'something deleted'],
    ['', 'choose …'],
    ['person:none', 'choose …'],
  ])('shows %j, which is no choice, as “%s” rather than as the first one', (value, words) => {
    show(<InlineSelect label="Who" value={value} choices={choices} onChange={() => undefined} />);
    expect(shown()).toBe(words);
  });
});

describe('deleting a row', () => {
  const boat = { id: 'boat:one', name: 'Kittiwake' };
  let server: FakeServer;
  let isDeleted: boolean;
  const renderRemove = () =>
    renderHook(() => ({ rows: useSWR<object[]>('/api/boats', api).data, remove: useRemoveRow('/api/boats') }), {
      wrapper: ({ children }: { readonly children: React.ReactNode }) => (
        <InApp>
          {children}
          <Notices />
        </InApp>
      ),
    });
  beforeEach(() => {
    isDeleted = false;
    server = new FakeServer()
      .on('GET', '/api/boats', () => ({ body: isDeleted ? [] : [boat] }))
      .on('DELETE', '/api/boats/boat:one', () => {
        isDeleted = true;
        return { status: 204 };
      })
      .on('POST', '/api/boats/boat:one/restore', () => {
        isDeleted = false;
        return { body: boat };
      });
  });

  it('takes it off the list and offers it back', async () => {
    const { result } = renderRemove();
    await waitFor(() => expect(result.current.rows).toEqual([boat]));
    expect(await act(() => result.current.remove(boat))).toBe(true);
    await waitFor(() => expect(result.current.rows).toEqual([]));
    fireEvent.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(result.current.rows).toEqual([boat]));
  });

  it('says why it cannot be, and leaves it', async () => {
    server.on('DELETE', '/api/boats/boat:one', { status: 409, body: { detail: 'Kittiwake is still used.' } });
    const { result } = renderRemove();
    await waitFor(() => expect(result.current.rows).toEqual([boat]));
    expect(await act(() => result.current.remove(boat))).toBe(false);
    expect(await screen.findByText('Kittiwake is still used.')).toBeTruthy();
    expect(result.current.rows).toEqual([boat]);
  });

  it('says when it cannot be had back', async () => {
    server.on('POST', '/api/boats/boat:one/restore', { status: 422, body: { detail: 'Another boat is called so.' } });
    const { result } = renderRemove();
    await act(() => result.current.remove(boat));
    const undo = (await screen.findAllByRole('button', { name: 'Undo' })).at(-1) as HTMLElement;
    fireEvent.click(undo);
    expect(await screen.findByText('Another boat is called so.')).toBeTruthy();
  });
});

describe('the time shown', () => {
  const noon = Date.UTC(2026, 10, 23, 17);

  it('goes on every so many ms, and is never before what has just happened', () => {
    jest.useFakeTimers({ now: noon });
    const { result, rerender } = renderHook(({ from }: { from?: number }) => useNow(15_000, from), {
      initialProps: {},
    });
    jest.advanceTimersByTime(4000);
    expect(result.current).toBe(noon);
    // Somebody sets the switch: what is shown must not be what was so four seconds ago.
    rerender({ from: noon + 4000 });
    expect(result.current).toBe(noon + 4000);
    act(() => jest.advanceTimersByTime(26_000));
    expect(result.current).toBe(noon + 30_000);
  });

  it('tells how long something lasts, in whole seconds', () => {
    jest.useFakeTimers({ now: noon });
    show(<Elapsed label="Length of the message" />);
    const shown = (): string | null => screen.getByRole('timer', { name: 'Length of the message' }).textContent;
    expect(shown()).toBe('0:00');
    act(() => jest.advanceTimersByTime(1800));
    expect(shown()).toBe('0:01');
    act(() => jest.advanceTimersByTime(60_000));
    expect(shown()).toBe('1:01');
  });
});

describe('a sentence while it is heard', () => {
  it('marks the word being said, and loses none of the words', () => {
    jest.useFakeTimers({ now: 10_000 });
    show(<SpokenCaption text="Thank you for calling." heard={{ index: 0, sinceMs: 10_000, ms: 2000 }} />);
    const marked = (): string => document.querySelector('mark')?.textContent ?? '';
    const seen: string[] = [marked()];
    for (let ms = 0; ms < 2000; ms += 100) {
      act(() => jest.advanceTimersByTime(100));
      if (marked() !== seen.at(-1)) seen.push(marked());
      expect(document.body.textContent).toContain('Thank you for calling.');
    }
    expect(seen.map((word) => word.replace('.', ''))).toEqual(['Thank', 'you', 'for', 'calling']);
  });
});
