import { answeredBy, outcomeOf, waitedMs, type TranscriptEntry } from '../call';
import { boxId, contactId, personId, queueId } from '../directory';
import { callId } from '../exchange';
import { lineId, sheetId, type Names } from '../line';
import { callWords, chanceFrom, exponential, searchedWords, writeCallsCsv, type CsvFacts } from '.';

type Untimed = TranscriptEntry extends infer Entry ? (Entry extends unknown ? Omit<Entry, 'atMs'> : never) : never;

const noor = personId.create('noor');
const rush = queueId.create('rush');
const main = lineId.create('main');
const startedAt = Date.UTC(2026, 10, 23, 15);
const ended = (reason: Extract<TranscriptEntry, { type: 'ended' }>['reason']): Untimed => ({ type: 'ended', reason });
const told = (...entries: Untimed[]): TranscriptEntry[] =>
  entries.map((entry, index) => ({ ...entry, atMs: startedAt + index * 1000 }) as TranscriptEntry);
const answers: Untimed = { type: 'answered', phone: { type: 'person', personId: noor, number: null } };
const left = (why: 'answered' | 'hungUp' | 'full', ms: number): Untimed => ({
  type: 'leftQueue',
  queueId: rush,
  why,
  waitedMs: ms,
});
const kept = (isKept: boolean): Untimed => ({
  type: 'message',
  boxId: boxId.create('office'),
  lengthMs: 9000,
  kept: isKept,
});

const phone = { type: 'person', personId: noor, number: null } as const;
const rings: Untimed = { type: 'ringing', phone, forMs: 20_000 };
const rang: Untimed = { type: 'rang', phone, forMs: 20_000, why: 'letRing' };
const missed: Untimed = { type: 'notAnswered', target: { type: 'person', personId: noor }, why: 'noAnswer' };
const queued: Untimed = { type: 'queued', queueId: rush };
const welcome = sheetId.create('welcome');
const sheet: Untimed = { type: 'sheet', sheetId: welcome };
const handingOver: Untimed = {
  type: 'handingOver',
  target: { type: 'outside', number: '+12075550190', contactId: null },
};
const said = (by: 'menu' | 'announcement' | 'box'): Untimed => ({
  type: 'said',
  text: 'Hello.',
  source:
    by === 'box'
      ? { type: 'box', boxId: boxId.create('office') }
      : { type: 'words', sheetId: welcome, part: by === 'menu' ? 'openingWords' : 'words' },
});

describe('what a call came to', () => {
  it.each([
    ['goes on', told(answers), null],
    ['answered', told(answers, ended('callerHungUp')), 'answered'],
    ['answered and cut off', told(answers, ended('cut')), 'cut'],
    ['left a message', told(kept(true), ended('messageTaken')), 'message'],
    ['left a message and hung up', told(kept(true), ended('callerHungUp')), 'message'],
    ['said too little', told(kept(false), ended('callerHungUp')), 'noMessage'],
    ['gave up waiting', told(queued, left('hungUp', 40_000), ended('callerHungUp')), 'gaveUpInQueue'],
    ['gave up while it rang', told(sheet, rings, ended('callerHungUp')), 'gaveUpRinging'],
    ['gave up while members rang', told(sheet, rings, rang, ended('callerHungUp')), 'gaveUpRinging'],
    ['gave up while it was handed over', told(sheet, handingOver, ended('callerHungUp')), 'gaveUpRinging'],
    ['hung up on the words after nobody answered', told(rings, missed, said('box'), ended('callerHungUp')), 'missed'],
    ['rang, and the line ended it', told(rings, missed, ended('pathRanOut')), 'missed'],
    ['found the queue full', told(queued, left('full', 0), ended('hungUp')), 'missed'],
    ['hung up on the greeting of a box', told(sheet, said('menu'), said('box'), ended('callerHungUp')), 'noMessage'],
    ['gave up in a menu', told(sheet, said('menu'), ended('callerHungUp')), 'gaveUpInMenu'],
    ['hung up before anything', told(ended('callerHungUp')), 'gaveUpInMenu'],
    ['heard an announcement', told(sheet, said('announcement'), ended('callerHungUp')), 'informed'],
    ['heard one to its end', told(sheet, said('announcement'), sheet, said('menu'), ended('hungUp')), 'informed'],
    ['heard one and rang then', told(said('announcement'), rings, missed, ended('hungUp')), 'missed'],
    ['was let go', told(sheet, said('menu'), ended('hungUp')), 'letGo'],
    ['blocked', told(ended('blocked')), 'blocked'],
    ['handed over', told(ended('handedOver')), 'handedOver'],
    ['heard a box', told(ended('boxHeard')), 'boxHeard'],
    ['went round in circles', told(ended('circle')), 'letGo'],
  ] as const)('%s', (_, transcript, outcome) => {
    expect(outcomeOf(transcript)).toBe(outcome);
  });

  it('is answered by whoever was last, and waited in all queues together', () => {
    const other = { type: 'outside', number: '+12075550190', contactId: contactId.create('tow') } as const;
    const transcript = told(left('full', 1000), answers, { type: 'answered', phone: other }, left('answered', 2500));
    expect(answeredBy(transcript)).toEqual(other);
    expect(waitedMs(transcript)).toBe(3500);
    expect(answeredBy(told(ended('hungUp')))).toBeNull();
  });
});

describe('the call log as a spreadsheet', () => {
  const call = {
    id: callId.create('a'),
    lineId: main,
    versionId: 'version:1',
    callerNumber: '+12075550162',
    startedAt,
    endedAt: startedAt + 65_400,
    pretended: false,
    answeredBy: noor,
    transcript: told(
      { type: 'called', callerNumber: '+12075550162', lineId: main, answer: { type: 'otherwise' } },
      sheet,
      { type: 'key', key: '2', use: 'option' },
      { type: 'key', key: '5', use: 'ignored' },
      { type: 'key', key: '1', use: 'option' },
      left('answered', 31_000),
      answers,
      ended('staffHungUp'),
    ),
  };

  const facts = (names: Names): CsvFacts => ({
    names,
    zoneOf: () => 'America/New_York',
    sheetOf: (versionId, sheetId) =>
      versionId === 'version:1' && sheetId === welcome
        ? { name: 'Welcome', labelOf: (key) => ({ 1: 'moorings', 2: 'repairs' })[key as '1' | '2'] }
        : undefined,
    costOf: () => '0.028000',
    language: 'en',
    currency: 'USD',
  });

  it('has a row a call, with names, keys and waits', () => {
    const [head, row] = writeCallsCsv(
      [call],
      facts({ [main]: 'Larkspur Cove Boatyard', [noor]: 'Noor Haldane' }),
    ).split('\r\n');
    expect(head).toBe(
      'date,time,time zone,seconds,line,caller,menu,keys,chosen,until answered (s),waited (s),rung,answered by,outcome,cost (USD),pretended',
    );
    expect(row).toBe(
      '2026-11-23,10:00,America/New_York,65,Larkspur Cove Boatyard,+1 207 555 0162,Welcome,2 1,repairs; moorings,6,31,Noor Haldane,Noor Haldane,Answered,0.028000,',
    );
  });

  it('lets no name become a formula, and tells of calls that go on', () => {
    const names = { [main]: '=HYPERLINK("http://x")', [noor]: 'Noor' };
    const going = {
      ...call,
      pretended: true,
      endedAt: null,
      answeredBy: null,
      transcript: [],
      callerNumber: 'anonymous',
    };
    const [, row] = writeCallsCsv([going], { ...facts(names), costOf: () => undefined }).split('\r\n');
    expect(row).toContain('"\'=HYPERLINK(""http://x"")"');
    expect(row?.endsWith(',anonymous,,,,,0,,,,,yes')).toBe(true);
  });
});

describe('the words by which a call is found', () => {
  const words = (...entries: Untimed[]) =>
    callWords({ callerNumber: '+12075550162', versionId: 'v', transcript: told(...entries) }, (_, sheetId) =>
      sheetId === welcome ? { name: 'Welcome', labelOf: (key) => (key === '2' ? 'repairs' : undefined) } : undefined,
    ).split('\n');

  it('are who called, what they chose, said and dialled, each once, and no more than is needed', () => {
    expect(
      words(
        sheet,
        { type: 'key', key: '2', use: 'option' },
        { type: 'key', key: '9', use: 'wrong' },
        { type: 'spoke', words: 'my mooring', understood: true },
        { type: 'dialledExtension', digits: '204', to: null },
        said('menu'),
        sheet,
      ),
    ).toEqual(['+12075550162', 'repairs', 'Welcome', 'my mooring', '204']);
    const long = words({ type: 'spoke', words: 'x'.repeat(5000), understood: false });
    expect(long.join('\n').length).toBeLessThanOrEqual(400);
  });

  it('are looked for however a number is typed', () => {
    expect(['+1 (207) 555-0162', '555 0162', ' fuel dock '].map(searchedWords)).toEqual([
      '+12075550162',
      '5550162',
      'fuel dock',
    ]);
  });
});

describe('chance', () => {
  it('is the same for the same seed, and even', () => {
    const draw = (seed: number) => {
      const chance = chanceFrom(seed);
      return Array.from({ length: 4000 }, chance);
    };
    expect(draw(7)).toEqual(draw(7));
    expect(draw(7)).not.toEqual(draw(8));
    const drawn = draw(7);
    expect(drawn.every((each) => each >= 0 && each < 1)).toBe(true);
    for (const part of [0.25, 0.5, 0.75]) {
      expect(drawn.filter((each) => each < part).length / drawn.length).toBeCloseTo(part, 1);
    }
  });

  it('spreads what may happen at any moment about its mean', () => {
    const chance = chanceFrom(3);
    const waits = Array.from({ length: 20_000 }, () => exponential(chance, 60));
    expect(waits.reduce((sum, each) => sum + each, 0) / waits.length).toBeCloseTo(60, -1);
    expect(Math.min(...waits)).toBeGreaterThanOrEqual(0);
  });
});
