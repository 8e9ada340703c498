/** @jest-environment jsdom */
import { act, fireEvent, screen, within } from '@testing-library/react';
import { contactId, personId, queueId } from '@locutor/core/directory';
import { callId, type Board, type BoardCall } from '@locutor/core/exchange';
import { sheetId } from '@locutor/core/line';
import { FakeSocket } from '../testing/fakeSocket';
import { show } from '../testing/inApp';
import { Switchboard } from './Switchboard';

const mockWelcome = 'sheet:welcome';
jest.mock('./useSheetNames', () => ({ useSheetNames: () => ({ [mockWelcome]: 'Welcome' }) }));

const priya = personId.create('priya');
const harbor = contactId.create('harbor');
const rush = queueId.create('rush');
const names = { [priya]: 'Priya Castellanos', [harbor]: 'Harbor master', [rush]: 'Launch line' };
const nowMs = Date.UTC(2026, 10, 23, 15);
const outside = { type: 'outside', number: '+12075550199', contactId: harbor } as const;
const call = {
  callId: callId.create('one'),
  callerNumber: '+12075550178',
  staffCaller: null,
  cameBy: { sheetId: sheetId.create('welcome'), key: '1' },
  phase: 'menuWaiting',
  queueId: null,
  rung: [],
  talkingTo: null,
  outside: null,
  sinceMs: nowMs - 61_000,
} as unknown as BoardCall;

const board = (changes: Partial<Board>, isPretended = false): void =>
  act(() =>
    FakeSocket.latest().says({
      type: 'board',
      board: { calls: [], callsInAll: changes.calls?.length ?? 0, queues: [], staff: [], ...changes },
      nowMs,
      isPretended,
    }),
  );
const shows = (changes: Partial<BoardCall>): HTMLElement => {
  board({ calls: [{ ...call, ...changes }] });
  return screen.getAllByRole('row')[1] as HTMLElement;
};

beforeEach(() => {
  jest.useFakeTimers({ now: nowMs });
  FakeSocket.install();
  show(<Switchboard names={names} timeZone="America/New_York" />);
  act(() => FakeSocket.latest().opens());
});
afterEach(() => jest.useRealTimers());

describe('the switchboard', () => {
  it('says that nobody is on the line, and when the line believes another moment', () => {
    board({});
    expect(screen.getByText(/^Nobody is on the line\./)).toBeTruthy();
    board({}, true);
    expect(screen.getByText(/It believes that it is another moment\./)).toBeTruthy();
  });

  it('shows who calls, by which key they came, and for how long they have been on', () => {
    const row = within(shows({}));
    expect(row.getByText('+1 207 555 0178')).toBeTruthy();
    expect(row.getByRole('link', { name: 'Welcome, key 1' }).getAttribute('href')).toBe('/script/sheet:welcome?key=1');
    expect(row.getByText('1:01')).toBeTruthy();
    act(() => jest.advanceTimersByTime(4000));
    expect(row.getByText('1:05')).toBeTruthy();
  });

  it.each([
    [{ phase: 'menuWaiting' }, 'A key is waited for'],
    [{ phase: 'recording' }, 'Leaves a message'],
    [{ phase: 'saying' }, 'Hears words'],
    [{ phase: 'connected', talkingTo: priya }, 'Talking to Priya Castellanos'],
    [{ phase: 'onHold', talkingTo: priya }, 'On hold, by Priya Castellanos'],
    [{ phase: 'ringing', rung: [outside] }, 'Rings Harbor master'],
    [{ phase: 'handingOver', rung: [outside] }, 'Is handed over to Harbor master'],
  ] as const)('says what a call does: %j', (changes, words) => {
    expect(shows(changes as Partial<BoardCall>).textContent).toContain(words);
  });

  it('lets whoever looks stand in for an outside phone', () => {
    const press = (name: string): unknown => {
      fireEvent.click(screen.getByRole('button', { name }));
      return FakeSocket.latest().said.at(-1);
    };
    const act = (act: string) => ({ type: 'outside', callId: call.callId, act });
    shows({ phase: 'ringing', rung: [outside] } as Partial<BoardCall>);
    expect(press('They answer')).toEqual(act('answer'));
    expect(press('Busy')).toEqual(act('busy'));
    expect(press('No such number')).toEqual(act('noSuchNumber'));
    shows({ phase: 'accepting', rung: [outside] } as Partial<BoardCall>);
    expect(press('They press 1')).toEqual(act('accept'));
    shows({ phase: 'connected', outside } as Partial<BoardCall>);
    expect(press('They hang up')).toEqual(act('hangUp'));
    expect(screen.getByRole('button', { name: 'Speak with your voice' })).toBeTruthy();
    shows({ phase: 'ringing', rung: [{ type: 'person', personId: priya, number: null }] } as Partial<BoardCall>);
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('tells how many wait in a queue, since when, and how many calls are not shown', () => {
    board({
      calls: [{ ...call, queueId: rush, phase: 'inQueue' }],
      callsInAll: 1234,
      queues: [{ queueId: rush, waitsSinceMs: [nowMs - 90_000, nowMs - 5000] }],
    });
    expect(screen.getByText(/2 waiting, the first for/).textContent).toBe('Launch line: 2 waiting, the first for 1:30');
    expect(screen.getByRole('link', { name: 'Launch line' }).getAttribute('href')).toBe(`/directory/queues/${rush}`);
    expect(screen.getByText('and 1,233 more.')).toBeTruthy();
  });
});
