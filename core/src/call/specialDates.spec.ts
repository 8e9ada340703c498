import { closedAllDay, instantOf, specialDateId, type Hours, type SpecialDate } from '../hours';
import { lineId, type AnsweringRule } from '../line';
import { attendant, hours, message, open, script, slipHolders, zone } from '../testing/boatyard';
import { runTrial } from '../exchange';
import type { CallScript } from './script';

const storm: SpecialDate = {
  id: specialDateId.create('storm'),
  name: 'Storm',
  when: { type: 'once', from: '2026-11-24', to: '2026-11-24' },
  moved: 'stays',
  hours: { ...closedAllDay, startMin: 720 },
  words: 'We closed early because of the storm.',
};
const say = (words: string): AnsweringRule['path'] => [{ type: 'say', spoken: { type: 'typed', words } }, ...message];

function scriptWith(rules: readonly AnsweringRule[], special: readonly SpecialDate[] = [storm]): CallScript {
  const kept: Hours = { ...hours, special };
  const answering = { rules, otherwise: say('Otherwise.') };
  return {
    ...script,
    callerLists: [slipHolders],
    lines: script.lines.map((line) => ({ ...line, hours: kept, attendant: { ...attendant, answering } })),
  };
}

const heard = (of: CallScript, reading: string, callerNumber = '+12075550199'): readonly string[] => {
  const trial = {
    atMs: instantOf(reading, zone),
    callerNumber,
    caller: [],
    staff: () => ({ type: 'noAnswer' as const }),
  };
  return runTrial(of, trial).transcript.flatMap((entry) => (entry.type === 'said' ? [entry.text] : []));
};

const anySpecial: AnsweringRule = { type: 'special', specialId: null, path: say('On special dates.') };
const ofStorm: AnsweringRule = { type: 'special', specialId: storm.id, path: say('On the day of the storm.') };
const whileOpen: AnsweringRule = { type: 'period', periodId: open.id, path: say('While open.') };

describe('a call on a special date', () => {
  it('hears the words of the date, then what answers: the date while it closes, the period before', () => {
    const of = scriptWith([anySpecial, whileOpen]);
    expect(heard(of, '2026-11-24T13:00').slice(0, 2)).toEqual([storm.words, 'On special dates.']);
    expect(heard(of, '2026-11-24T10:00').slice(0, 2)).toEqual([storm.words, 'While open.']);
    expect(heard(of, '2026-11-25T13:00')[0]).toBe('While open.');
  });

  it('is answered by the rule of that very date where there is one, and by "otherwise" where there is none', () => {
    expect(heard(scriptWith([ofStorm, anySpecial, whileOpen]), '2026-11-24T13:00')[1]).toBe('On the day of the storm.');
    expect(heard(scriptWith([whileOpen]), '2026-11-24T13:00')[1]).toBe('Otherwise.');
  });

  it('goes to callers of a list first, who hear nothing of the date, unless the list stands below it', () => {
    const ofFriends: AnsweringRule = { type: 'callers', callerListId: slipHolders.id, path: say('Hello, friend.') };
    expect(heard(scriptWith([ofFriends, anySpecial]), '2026-11-24T13:00', '+12075550171')[0]).toBe('Hello, friend.');
    expect(heard(scriptWith([anySpecial, ofFriends]), '2026-11-24T13:00', '+12075550171')[1]).toBe('On special dates.');
    expect(heard(scriptWith([ofFriends, anySpecial]), '2026-11-24T13:00')[1]).toBe('On special dates.');
  });

  it('has a word of the date only where that has some', () => {
    const of = scriptWith([anySpecial], [{ ...storm, words: '' }]);
    expect(heard(of, '2026-11-24T13:00')[0]).toBe('On special dates.');
  });
});

describe('a line that is handed over to', () => {
  const shed = lineId.create('shed');
  const handingOver = (of: CallScript): CallScript => {
    const [main] = of.lines;
    if (!main) throw new Error('There is no line');
    const away: AnsweringRule['path'] = [{ type: 'toLine', lineId: shed }];
    const first = { ...main, hours, attendant: { ...attendant, answering: { rules: [], otherwise: away } } };
    return { ...of, lines: [first, { ...main, id: shed, number: '+12075550155' }] };
  };

  it('says the words of its special date, as if it had been dialled', () => {
    const of = handingOver(scriptWith([whileOpen]));
    expect(heard(of, '2026-11-24T10:00').slice(0, 2)).toEqual([storm.words, 'While open.']);
    expect(heard(of, '2026-11-25T10:00')[0]).toBe('While open.');
  });

  it('says the words of its switch', () => {
    const of = handingOver(scriptWith([whileOpen]));
    const fromMs = instantOf('2026-11-25T09:00', zone);
    const switched = {
      to: { type: 'closed' },
      fromMs,
      untilMs: fromMs + 36_000_000,
      words: 'Closed for a funeral.',
      by: '',
    };
    const lines = of.lines.map((line) => (line.id === shed ? { ...line, switched: switched as never } : line));
    expect(heard({ ...of, lines }, '2026-11-25T10:00')[0]).toBe('Closed for a funeral.');
  });
});
