import type { CallScript, PlayItem } from '@locutor/core/call';
import { boxDefaults, boxId, personDefaults, personId, usualOutgoing } from '@locutor/core/directory';
import { hoursId } from '@locutor/core/hours';
import { lineId, messageDefaults, newMenu, ringDefaults, schemaVersion, sheetId, type Menu } from '@locutor/core/line';
import { CallDriver } from './callDriver';
import type { RecordingWatch } from './microphone';
import type { SpeakerWatch } from './speaker';

/** What the driver makes audible, instead of a loudspeaker and a microphone. */
const mockAudible = {
  playing: null as { items: readonly PlayItem[]; watch: SpeakerWatch } | null,
  isRinging: false,
  tones: [] as string[],
  microphone: null as RecordingWatch | null,
  discarded: 0,
  isBusy: false,
};

jest.mock('./speaker', () => ({
  playItems: (items: readonly PlayItem[], watch: SpeakerWatch) => {
    mockAudible.playing = { items, watch };
    return () => (mockAudible.playing = null);
  },
}));
jest.mock('./sounds', () => ({
  playKeyTone: (key: string) => mockAudible.tones.push(key),
  playBusy: () => {
    mockAudible.isBusy = true;
    return () => (mockAudible.isBusy = false);
  },
  playRingback: () => {
    mockAudible.isRinging = true;
    return () => (mockAudible.isRinging = false);
  },
}));
jest.mock('./microphone', () => ({
  record: (watch: RecordingWatch) => {
    mockAudible.microphone = watch;
    return {
      finish: () => Promise.resolve(new Blob(['speech'])),
      discard: () => (mockAudible.discarded += 1),
    };
  },
}));

const priya = { ...personDefaults, id: personId.create('priya'), name: 'Priya Castellanos', extension: '204' };
const office = { ...boxDefaults, id: boxId.create('office'), name: 'Office', longestMessageSeconds: 30 };
const welcomeId = sheetId.create('welcome');
const message = [{ type: 'takeMessage' as const, boxId: office.id, ...messageDefaults }];
const welcome: Menu = {
  ...newMenu(welcomeId, 'Welcome'),
  openingWords: 'Welcome. Please choose.',
  options: [
    {
      key: '1',
      label: 'moorings',
      readOut: true,
      path: [{ ...ringDefaults, type: 'ring', personId: priya.id, seconds: 12 }, ...message],
    },
  ],
  silencePath: message,
  wrongKeyPath: message,
};
const main = lineId.create('main');
const script: CallScript = {
  lineId: main,
  lines: [
    {
      id: main,
      name: 'Boatyard',
      switched: null,
      operatorId: null,
      number: '+12075550140',
      attendant: {
        schemaVersion,
        voice: 'slt',
        sheets: [welcome],
        paths: [],
        fallbacks: [],
        answering: { rules: [], otherwise: [{ type: 'goTo', sheetId: welcomeId }] },
      },
      timeZone: 'UTC',
      hours: {
        id: hoursId.create('main'),
        name: 'Hours',
        periods: [],
        week: [],
        datedWeeks: [],
        seasons: [],
        special: [],
      },
    },
  ],
  people: [priya],
  groups: [],
  queues: [],
  boxes: [office],
  contacts: [],
  callerLists: [],
  greetings: [],
  takes: [],
  holdMusic: 'harbor',
  outgoing: usualOutgoing,
  hours: [],
};

const options = { script, startsAtMs: 0, callerNumber: 'x', leaveMessage: () => Promise.resolve() };
const busy = { type: 'unreached', why: 'busy' } as const;
const left: string[] = [];
let driver: CallDriver;

beforeEach(() => {
  jest.useFakeTimers();
  Object.assign(mockAudible, { playing: null, isRinging: false, tones: [], microphone: null, discarded: 0 });
  left.length = 0;
  driver = new CallDriver({
    script,
    startsAtMs: Date.UTC(2026, 10, 23, 10),
    callerNumber: 'anonymous',
    leaveMessage: (box) => {
      left.push(box);
      return Promise.resolve();
    },
  });
  driver.dial();
});
afterEach(() => jest.useRealTimers());

const phase = (): string => driver.getView().state.phase.type;
const finishPlaying = (): void => mockAudible.playing?.watch.onEnd();
const said = (): readonly string[] =>
  driver
    .getView()
    .transcript.flatMap((entry, index) =>
      entry.type === 'said' && !driver.getView().unheard.has(index) ? [entry.text] : [],
    );

describe('the handset', () => {
  it('shows each sentence only once it is heard, and marks the one being said', () => {
    expect(said()).toEqual([]);
    mockAudible.playing?.watch.onItem(0, 0);
    expect(said()).toEqual(['Welcome.']);
    mockAudible.playing?.watch.onItem(1, 0);
    const { transcript, speaking } = driver.getView();
    expect(transcript[speaking?.index ?? -1]).toMatchObject({ text: 'Please choose.' });
    finishPlaying();
    expect(driver.getView().speaking).toBeNull();
    expect(phase()).toBe('menuWaiting');
  });

  it('never shows what a key cut short', () => {
    mockAudible.playing?.watch.onItem(0, 0);
    driver.press('1');
    expect(mockAudible.tones).toEqual(['1']);
    expect(mockAudible.playing).toBeNull();
    expect(said()).toEqual(['Welcome.']);
  });

  it('rings until somebody answers, or until the time is up', () => {
    driver.press('1');
    expect(mockAudible.isRinging).toBe(true);
    driver.act(driver.getView().rung[0], { type: 'answered' });
    expect(mockAudible.isRinging).toBe(false);
    expect(phase()).toBe('connected');
    driver.staffHangsUp();
    expect(phase()).toBe('ended');
  });

  it('hands the call over when that is taken, and goes on when it is not', () => {
    const to = { type: 'number' as const, number: '+12075550190' };
    const handOver = [{ type: 'handOver' as const, to, before: '' }, ...message];
    const [line] = script.lines;
    const lines = [{ ...line!, attendant: { ...line!.attendant, answering: { rules: [], otherwise: handOver } } }];
    const calls = (): CallDriver => {
      const made = new CallDriver({ ...options, script: { ...script, lines } });
      made.dial();
      return made;
    };
    mockAudible.isBusy = false;
    const taken = calls();
    expect([mockAudible.isRinging, taken.getView().rung.map(({ does }) => does)]).toEqual([true, ['takesOver']]);
    taken.act(taken.getView().rung[0], { type: 'answered' });
    expect(taken.getView().state.phase).toMatchObject({ type: 'ended', reason: 'handedOver' });
    expect([mockAudible.isRinging, mockAudible.isBusy]).toEqual([false, false]);
    const failed = calls();
    failed.act(failed.getView().rung[0], { type: 'unreached', why: 'noSuchNumber' });
    expect([mockAudible.isRinging, failed.getView().state.phase.type]).toEqual([false, 'boxGreeting']);
    failed.hangUp();
  });

  it('says that the call is over by the busy tone, unless the caller has hung up', () => {
    driver.press('1');
    driver.act(driver.getView().rung[0], { type: 'answered' });
    driver.staffHangsUp();
    expect(mockAudible.isBusy).toBe(true);
    const other = new CallDriver(options);
    other.dial();
    mockAudible.isBusy = false;
    other.hangUp();
    expect(mockAudible.isBusy).toBe(false);
  });

  it('goes on to the message when it rings out, and when the person is busy', () => {
    driver.press('1');
    jest.advanceTimersByTime(12_000);
    expect(mockAudible.isRinging).toBe(false);
    expect(phase()).toBe('boxGreeting');
    driver.hangUp();
    const other = new CallDriver({ script, startsAtMs: 0, callerNumber: 'x', leaveMessage: () => Promise.resolve() });
    other.dial();
    other.press('1');
    other.act(other.getView().rung[0], busy);
    expect(other.getView().state.phase.type).toBe('boxGreeting');
    other.hangUp();
  });

  it('records after the beep and hands the message over', async () => {
    driver.press('1');
    driver.act(driver.getView().rung[0], busy);
    expect(mockAudible.playing?.items.at(-1)).toEqual({ type: 'beep' });
    finishPlaying();
    expect(phase()).toBe('recording');
    mockAudible.microphone?.onLevel(-23);
    expect(driver.getView().levelDb).toBe(-23);
    jest.advanceTimersByTime(4000);
    driver.press('#');
    expect(driver.getView().messageLeft).toBe('sending');
    await jest.advanceTimersByTimeAsync(0);
    expect(left).toEqual([office.id]);
    expect(driver.getView().messageLeft).toBe('sent');
    finishPlaying();
    expect(phase()).toBe('ended');
  });

  it('throws away a recording that is too short to be a message', () => {
    driver.press('1');
    driver.act(driver.getView().rung[0], busy);
    finishPlaying();
    jest.advanceTimersByTime(300);
    driver.hangUp();
    expect(mockAudible.discarded).toBe(1);
    expect(driver.getView().messageLeft).toBe('none');
  });

  it('says when the microphone is refused and when a message could not be kept', async () => {
    const failing = new CallDriver({
      script,
      startsAtMs: 0,
      callerNumber: 'x',
      leaveMessage: () => Promise.reject(new Error('The box is gone.')),
    });
    failing.dial();
    failing.press('1');
    failing.act(failing.getView().rung[0], busy);
    finishPlaying();
    mockAudible.microphone?.onProblem('refused');
    expect(failing.getView().microphone).toBe('refused');
    jest.advanceTimersByTime(2000);
    failing.hangUp();
    await jest.advanceTimersByTimeAsync(0);
    expect(failing.getView().messageLeft).toEqual({ problem: 'The box is gone.' });
  });

  it('takes the silence path when nothing is pressed', () => {
    finishPlaying();
    jest.advanceTimersByTime(5000);
    expect(mockAudible.playing?.items[0]).toMatchObject({ sentence: { text: 'Are you still there?' } });
    finishPlaying();
    finishPlaying();
    jest.advanceTimersByTime(5000);
    expect(phase()).toBe('boxGreeting');
  });

  it('keeps the pretended clock', () => {
    jest.advanceTimersByTime(90_000);
    expect(driver.now()).toBe(Date.UTC(2026, 10, 23, 10, 1, 30));
  });
});
