/** @jest-environment jsdom */
import { act, fireEvent, screen, within } from '@testing-library/react';
import { groupId, personId, queueId } from '@locutor/core/directory';
import { callId, type DeskDoing, type DeskView, type SeenCall } from '@locutor/core/exchange';
import { sheetId } from '@locutor/core/line';
import { FakeServer } from '../testing/fakeServer';
import { FakeSocket } from '../testing/fakeSocket';
import { show } from '../testing/inApp';
import { DeskPanel } from './DeskPanel';

jest.mock('../handset/sounds', () => ({ playKeyTone: () => undefined, playRingback: () => () => undefined }));

const noor = personId.create('noor');
const priya = personId.create('priya');
const desk = groupId.create('desk');
const rush = queueId.create('rush');
const welcome = sheetId.create('welcome');
const names = { [noor]: 'Noor Haldane', [priya]: 'Priya Castellanos', [desk]: 'Front desk', [rush]: 'Launch line' };
const nowMs = Date.UTC(2026, 10, 23, 15);
const call: SeenCall = {
  callId: callId.create('one'),
  callerNumber: '+12075550178',
  staffCaller: null,
  transfer: null,
  cameBy: { sheetId: welcome, key: '2' },
} as SeenCall;

const nothing: DeskDoing = { type: 'nothing', restUntilMs: 0 };
const idle: DeskView = { presence: 'here', doing: nothing, queues: [], hears: null };

/** The line shows the phone something. */
const shows = (view: Partial<DeskView>): void =>
  act(() => FakeSocket.latest().says({ type: 'view', view: { ...idle, ...view }, nowMs }));
const press = (name: string | RegExp): void => void fireEvent.click(screen.getByRole('button', { name }));
const said = (): unknown => FakeSocket.latest().said.at(-1);

beforeEach(() => {
  jest.useFakeTimers({ now: nowMs });
  FakeSocket.install();
  new FakeServer()
    .on('GET', '/api/people', {
      body: [
        { id: noor, name: 'Noor Haldane' },
        { id: priya, name: 'Priya Castellanos' },
      ],
    })
    .on('GET', '/api/groups', { body: [{ id: desk, name: 'Front desk' }] })
    .on('GET', '/api/queues', { body: [{ id: rush, name: 'Launch line' }] });
  show(<DeskPanel personId={noor} names={names} rings={false} />);
});
afterEach(() => jest.useRealTimers());

describe('a desk phone', () => {
  it('says that it connects, then what it does, and that the line is lost and back', () => {
    expect(screen.getByText('Connecting …')).toBeTruthy();
    act(() => FakeSocket.latest().opens());
    shows({});
    expect(screen.getByText('Nothing rings.')).toBeTruthy();
    act(() => FakeSocket.latest().close());
    expect(screen.getByRole('alert').textContent).toBe('The line does not answer; it is tried again.');
    act(() => jest.advanceTimersByTime(1000));
    act(() => FakeSocket.latest().opens());
    expect(screen.queryByRole('alert')).toBeNull();
  });
});

describe('a desk phone that is connected', () => {
  beforeEach(() => act(() => FakeSocket.latest().opens()));

  it('shows who rings, for how long and by which way, and answers or declines', () => {
    shows({
      doing: { type: 'rung', call, of: desk, number: null, sinceMs: nowMs - 7000, isAccepting: false } as DeskDoing,
    });
    expect(screen.getByText('+1 207 555 0178')).toBeTruthy();
    expect(screen.getByText('Front desk · a menu, key 2')).toBeTruthy();
    expect(screen.getByText('0:07')).toBeTruthy();
    press('Answer');
    expect(said()).toEqual({ type: 'answer' });
    press('Decline');
    expect(said()).toEqual({ type: 'decline' });
  });

  it('tells that it is the outside phone that rings, and asks for 1 before a call is taken there', () => {
    const rung = { type: 'rung', call, of: null, number: '+12075550112', sinceMs: nowMs, isAccepting: false };
    shows({ doing: rung as DeskDoing });
    expect(screen.getByText(/Your outside phone rings:/)).toBeTruthy();
    shows({ doing: { ...rung, isAccepting: true } as DeskDoing });
    expect(screen.getByText(/Press 1 to take the call from/)).toBeTruthy();
    press('Press 1');
    expect(said()).toEqual({ type: 'key', key: '1' });
  });

  it('holds, takes back, hangs up, and transfers to whoever is chosen', async () => {
    shows({ doing: { type: 'talking', call, of: null, sinceMs: nowMs - 65_000, isOnHold: false } });
    expect(screen.getByText('1:05')).toBeTruthy();
    press('Hold');
    expect(said()).toEqual({ type: 'hold', on: true });
    shows({ doing: { type: 'talking', call, of: null, sinceMs: nowMs - 65_000, isOnHold: true } });
    press('Take back');
    expect(said()).toEqual({ type: 'hold', on: false });
    await act(() => jest.advanceTimersByTimeAsync(10));
    const whom = screen.getByLabelText('To whom the call is transferred');
    expect(within(whom).queryByText('Noor Haldane')).toBeNull();
    for (const [to, sent] of [
      [priya, { type: 'person', personId: priya }],
      [desk, { type: 'group', groupId: desk }],
      [rush, { type: 'queue', queueId: rush }],
    ] as const) {
      fireEvent.change(whom, { target: { value: to } });
      press('Transfer');
      expect(said()).toEqual({ type: 'transfer', to: sent });
    }
    press('Hang up');
    expect(said()).toEqual({ type: 'hangUp' });
  });

  it('says who transferred a call, and that it comes back', () => {
    const rings = (by: typeof noor) =>
      shows({
        doing: {
          type: 'rung',
          call: { ...call, transfer: { by, to: { type: 'person', personId: priya } } },
          ...{ of: null, number: null, sinceMs: nowMs, isAccepting: false },
        } as DeskDoing,
      });
    rings(priya);
    expect(screen.getByText('Transferred by Priya Castellanos')).toBeTruthy();
    rings(noor);
    expect(screen.getByText('Comes back: Priya Castellanos did not answer')).toBeTruthy();
  });

  it('speaks to a colleague first, with the caller on hold, and transfers then or takes back', async () => {
    shows({ doing: { type: 'talking', call, of: null, sinceMs: nowMs, isOnHold: false } });
    await act(() => jest.advanceTimersByTimeAsync(10));
    fireEvent.change(screen.getByLabelText('To whom the call is transferred'), { target: { value: priya } });
    press('Speak to Priya first');
    expect(said()).toEqual({ type: 'consult', personId: priya });
    const own = { type: 'calling', callId: call.callId, take: null, held: call } as const;
    shows({ doing: { ...own, phase: 'ringing', talkingTo: null } });
    expect(screen.getByRole('button', { name: 'Transfer without waiting' })).toBeTruthy();
    shows({ doing: { ...own, phase: 'connected', talkingTo: priya } });
    press('Transfer now');
    expect(said()).toEqual({ type: 'sendOn' });
    press('Take back');
    expect(said()).toEqual({ type: 'hold', on: false });
  });

  it('takes the digits of the keyboard while its keys can be pressed, and not while something is typed', () => {
    shows({});
    const before = said();
    fireEvent.keyDown(window, { key: '5' });
    expect(said()).toEqual(before);
    shows({
      doing: { type: 'calling', callId: call.callId, held: null, phase: 'pinWaiting', talkingTo: null, take: null },
    });
    for (const key of ['4', '#']) {
      fireEvent.keyDown(window, { key });
      expect(said()).toEqual({ type: 'key', key });
    }
    fireEvent.keyDown(window, { key: '7', ctrlKey: true });
    expect(said()).toEqual({ type: 'key', key: '#' });
  });

  it('dials what is typed, of keys only, and is told what is no number', () => {
    shows({});
    const field = screen.getByLabelText('Extension, box or code to dial');
    fireEvent.change(field, { target: { value: '2a0 4*' } });
    expect((field as HTMLInputElement).value).toBe('204*');
    press('Dial');
    expect(said()).toEqual({ type: 'dial', digits: '204*' });
    expect((field as HTMLInputElement).value).toBe('');
    act(() => FakeSocket.latest().says({ type: 'noSuchNumber', digits: '204*' }));
    expect(screen.getByRole('alert').textContent).toBe('Nothing has the number 204*.');
    fireEvent.change(field, { target: { value: '203' } });
    press('Dial');
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it.each([
    ['pinAsking', 'Type the PIN of the box, then #.'],
    ['hearingMessages', 'You hear the messages: 1 next, 2 again, 3 delete, star to end.'],
    ['takeSpeaking', 'Wait for the tone.'],
    ['takeAsking', '1 keeps it, 2 plays it, 3 records again.'],
    ['ringing', 'It rings …'],
    ['saying', 'Calling …'],
  ])('says what a call of its own does: %s', (phase, words) => {
    shows({ doing: { type: 'calling', callId: call.callId, held: null, phase, talkingTo: null, take: null } });
    expect(screen.getByText(words)).toBeTruthy();
    press('Press 5');
    expect(said()).toEqual({ type: 'key', key: '5' });
  });

  it('shows what is to be recorded, and how long it has been', () => {
    const take = { name: 'Storm', words: 'We are closed.' };
    shows({ doing: { type: 'rungForTake', of: take, sinceMs: nowMs } });
    expect(screen.getByText('We are closed.')).toBeTruthy();
    shows({
      doing: { type: 'calling', callId: call.callId, held: null, phase: 'takeRecording', talkingTo: null, take },
    });
    act(() => jest.advanceTimersByTime(3000));
    expect(screen.getByRole('timer', { name: 'Length of the recording' }).textContent).toBe('0:03');
  });

  it('names who it talks to, whom it speaks to, and who speaks to it', () => {
    shows({
      doing: { type: 'calling', callId: call.callId, held: null, phase: 'connected', talkingTo: priya, take: null },
    });
    expect(screen.getByText(/Talking to Priya Castellanos\./)).toBeTruthy();
    shows({ doing: { type: 'speaking', groupId: desk, to: [priya], sinceMs: nowMs } });
    expect(screen.getByText(/You speak to 1 phone of/).textContent).toBe('You speak to 1 phone of Front desk: Priya.');
    shows({ hears: priya });
    expect(screen.getByText('Priya Castellanos speaks to your phone.')).toBeTruthy();
  });

  it('rests after a call, second by second', () => {
    shows({ doing: { type: 'nothing', restUntilMs: nowMs + 4000 } });
    expect(screen.getByText('Resting for 4 s.')).toBeTruthy();
    act(() => jest.advanceTimersByTime(3000));
    expect(screen.getByText('Resting for 1 s.')).toBeTruthy();
    act(() => jest.advanceTimersByTime(1500));
    expect(screen.getByText('Nothing rings.')).toBeTruthy();
  });

  it('picks a waiting call while it does nothing else', () => {
    const waiting = [{ ...call, waitsSinceMs: nowMs - 30_000 }];
    shows({ queues: [{ queueId: rush, waiting }] });
    const queue = within(screen.getByRole('region', { name: 'Queue Launch line' }));
    expect(queue.getByText('1 waiting')).toBeTruthy();
    expect(queue.getByText('0:30')).toBeTruthy();
    press('Pick +1 207 555 0178');
    expect(said()).toEqual({ type: 'pick', callId: call.callId });
    shows({
      queues: [{ queueId: rush, waiting }],
      doing: { type: 'talking', call, of: null, sinceMs: nowMs, isOnHold: false },
    });
    expect(screen.getByRole('button', { name: /^Pick/ }).hasAttribute('disabled')).toBe(true);
    expect(screen.getByText('You can pick a call once this phone does nothing else.')).toBeTruthy();
    shows({ queues: [{ queueId: rush, waiting: [] }] });
    expect(queue.getByText('nobody waits')).toBeTruthy();
  });

  it('tells the line that somebody is away, and shows what the line has', () => {
    shows({ presence: 'busy' });
    expect(screen.getByRole('button', { name: 'Busy' }).getAttribute('aria-pressed')).toBe('true');
    press('Away');
    expect(said()).toEqual({ type: 'presence', presence: 'away' });
    shows({ presence: 'away' });
    expect(screen.getByRole('button', { name: 'Away' }).getAttribute('aria-pressed')).toBe('true');
  });

  it('shows a colleague who calls by name, and a hidden number as such', () => {
    const rung = { type: 'rung', of: null, number: null, sinceMs: nowMs, isAccepting: false };
    shows({ doing: { ...rung, call: { ...call, staffCaller: priya, cameBy: null } } as DeskDoing });
    expect(screen.getByText('Priya Castellanos')).toBeTruthy();
    shows({ doing: { ...rung, call: { ...call, callerNumber: 'anonymous' } } as DeskDoing });
    expect(screen.getByText('Number not shown')).toBeTruthy();
  });
});
