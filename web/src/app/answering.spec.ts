import {
  closedAllDay,
  hoursId,
  instantOf,
  periodId,
  specialDateId,
  weekdays,
  type Hours,
  type SpecialDate,
  type WeekSpan,
} from '@locutor/core/hours';
import {
  messageDefaults,
  newMenu,
  ringDefaults,
  schemaVersion,
  sheetId,
  type Attendant,
  type Path,
} from '@locutor/core/line';
import { boxId, personId } from '@locutor/core/directory';
import { callMoments, momentMs } from '../handset/callMoments';
import { whyWords } from '../screens/today/whyWords';
import { answeringNow, answerName } from './answering';

const zone = 'America/New_York';
const [open, lunch] = [
  { id: periodId.create('open'), name: 'Open' },
  { id: periodId.create('lunch'), name: 'Lunch' },
];
const noor = personId.create('noor');
const office = boxId.create('office');
const [welcome, closed] = [sheetId.create('welcome'), sheetId.create('closed')];
const names = { [open.id]: 'Open', [lunch.id]: 'Lunch', [noor]: 'Noor Haldane', [office]: 'Office' };
const goTo = (id: typeof welcome): Path => [{ type: 'goTo', sheetId: id }];

const hours: Hours = {
  id: hoursId.create('main'),
  name: 'Hours',
  periods: [open, lunch],
  datedWeeks: [],
  seasons: [],
  special: [],
  week: weekdays.slice(0, 5).flatMap((day) => [
    { periodId: open.id, day, startMin: 480, endMin: 1020 },
    { periodId: lunch.id, day, startMin: 720, endMin: 750 },
  ]),
};
const words: Path = [{ type: 'say', spoken: { type: 'typed', words: 'At lunch.' } }];
const attendant: Attendant = {
  schemaVersion,
  voice: 'slt',
  sheets: [newMenu(welcome, 'Welcome'), newMenu(closed, 'After hours')],
  paths: [],
  fallbacks: [],
  answering: {
    rules: [
      { type: 'period', periodId: lunch.id, path: [...words, ...goTo(welcome)] },
      { type: 'period', periodId: open.id, path: goTo(welcome) },
    ],
    otherwise: goTo(closed),
  },
};
const at = (reading: string): number => instantOf(reading, zone);
const now = (reading: string) => answeringNow(attendant, hours, zone, names, at(reading));

describe('what answers now', () => {
  it('is named after the sheet that is reached, and tells what follows', () => {
    expect(now('2026-11-23T16:00')).toMatchObject({
      name: 'Welcome',
      next: { name: 'After hours', atMs: at('2026-11-23T17:00') },
    });
    expect(now('2026-11-21T16:00')).toMatchObject({ name: 'After hours', next: { atMs: at('2026-11-23T08:00') } });
  });

  it('tells two periods apart in which the same sheet answers', () => {
    expect(now('2026-11-23T09:00').next).toEqual({ name: 'Welcome (Lunch)', atMs: at('2026-11-23T12:00') });
    expect(now('2026-11-23T12:10').next?.name).toBe('Welcome (Open)');
  });

  it.each<[Path, string]>([
    [[{ ...ringDefaults, type: 'ring', personId: noor }], 'Noor Haldane'],
    [[...words, { ...messageDefaults, type: 'takeMessage', boxId: office }], 'the box Office'],
    [[{ type: 'hangUp', words: '' }], 'a goodbye'],
    [[], 'nothing'],
    [words, 'nothing'],
    [goTo(sheetId.create('gone')), 'something deleted'],
  ])('is named after what a path reaches: %o', (otherwise, name) => {
    const other = { ...attendant, answering: { rules: [], otherwise } };
    expect(answerName({ type: 'otherwise' }, other, names)).toBe(name);
  });

  it('says why', () => {
    const why = (reading: string, of: Hours = hours): string =>
      whyWords(now(reading).answer, names, { hours: of, timeZone: zone, atMs: instantOf(reading, zone) });
    expect(why('2026-11-23T16:00')).toBe('Because Open runs on Monday from 8:00 AM to 5:00 PM.');
    expect(why('2026-11-22T16:00')).toBe('Because no period runs then.');
    const thanksgiving: SpecialDate = {
      id: specialDateId.create('thanksgiving'),
      name: 'Thanksgiving',
      when: { type: 'once', from: '2026-11-22', to: '2026-11-22' },
      moved: 'stays',
      hours: closedAllDay,
      words: '',
    };
    const holiday = { ...hours, special: [thanksgiving] };
    expect(why('2026-11-22T16:00', holiday)).toBe('Because it is Thanksgiving, which has no answer of its own.');
    const unanswered: WeekSpan = { periodId: lunch.id, day: 7, startMin: 900, endMin: 1020 };
    expect(why('2026-11-22T16:00', { ...hours, week: [...hours.week, unanswered] })).toBe(
      'Because Lunch runs and has no answer of its own.',
    );
    const late = {
      type: 'period',
      periodId: open.id,
      span: { periodId: open.id, day: 1, startMin: 1320, endMin: 1560, from: null },
    } as const;
    const at = { hours, timeZone: zone, atMs: 0 };
    expect(whyWords(late, names, at)).toBe('Because Open runs on Friday from 10:00 PM to 2:00 AM the next day.');
  });
});

describe('moments worth calling at', () => {
  it('are now, and the next at which each other thing answers', () => {
    const moments = callMoments(attendant, hours, zone, names, at('2026-11-23T09:00'));
    expect(moments).toEqual([
      { name: 'Now: Open, Welcome', reading: null },
      { name: 'Lunch, Welcome', reading: '2026-11-23T12:15' },
      { name: 'After hours', reading: '2026-11-23T17:30' },
    ]);
  });

  it('are only now when nothing ever changes', () => {
    const always = { ...attendant, answering: { rules: [], otherwise: goTo(welcome) } };
    expect(callMoments(always, hours, zone, names, at('2026-11-23T09:00'))).toEqual([
      { name: 'Now: Welcome', reading: null },
    ]);
  });

  it('are read by the line’s clock, wherever the browser is', () => {
    expect(momentMs('2026-11-23T09:00', zone, 0)).toBe(Date.UTC(2026, 10, 23, 14));
    expect(momentMs(null, zone, 42)).toBe(42);
  });
});
