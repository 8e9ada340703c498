import { applyEdit, type Attendant, type Edit, type Menu, type TakePart } from '../line';
import { attendant, fuelId, hours, noor, welcomeId, zone } from '../testing/boatyard';
import {
  adviceOnMenu,
  describeAdvice,
  describeOutOfStep,
  outOfStep,
  saysOfSheet,
  saysOfWords,
  sheetSentences,
  type SpokenFacts,
} from '.';
import { takeId } from '../line';

const facts: SpokenFacts = {
  business: 'Larkspur Cove Boatyard',
  atMs: Date.UTC(2026, 10, 23, 15),
  zone,
  hours,
  hoursOf: () => undefined,
  personOf: (id) => (id === noor.id ? noor : undefined),
  takeOf: (id) => ({ id, audioId: `sound of ${id}`, lengthMs: 9000, text: 'As it was recorded.' }),
};
const sheetOf = (of: Attendant, id = welcomeId) => of.sheets.find((sheet) => sheet.id === id) as Menu;
const says = (of: Attendant, part: TakePart = { type: 'whole' }) => saysOfSheet(sheetOf(of), part, 'slt', facts);
/** What a recording of the welcome says wrong after these edits. */
const after = (edits: readonly Edit[], part?: TakePart): string[] => {
  const now = edits.reduce(applyEdit, attendant);
  return outOfStep(says(attendant, part), says(now, part)).map(describeOutOfStep);
};
const sheetId = welcomeId;

describe('a recording', () => {
  it('is in step while keys, words and facts are what they were', () => {
    expect(after([])).toEqual([]);
    expect(after([{ type: 'setMenuSettings', sheetId, settings: { waitSeconds: 9 } }])).toEqual([]);
    const words = 'Thank you, for calling the boatyard!  {pause 1 s}';
    expect(after([{ type: 'setWords', sheetId, part: 'openingWords', words }])).toEqual([]);
  });

  it('is in step however the line would tell the same times by itself, and out of step with others', () => {
    const told = (clock: 'amPm' | 'halfPast', from: number) => {
      const week = hours.week.map((span) => ({ ...span, startMin: from, endMin: 1005 }));
      return saysOfWords('Open {week}.', 'slt', {
        ...facts,
        clock,
        hours: { ...hours, periods: hours.periods.slice(0, 1), week },
      });
    };
    for (const startMin of [450, 465, 480, 495]) {
      expect(outOfStep(told('halfPast', startMin), told('amPm', startMin))).toEqual([]);
      expect(outOfStep(told('amPm', startMin), told('halfPast', startMin))).toEqual([]);
      expect(outOfStep(told('halfPast', startMin), told('amPm', startMin + 15))).toHaveLength(1);
    }
    expect(outOfStep(told('amPm', 480), told('amPm', 540))).toHaveLength(1);
  });

  it('says a key for what is now something else, or nothing, and misses new ones', () => {
    expect(after([{ type: 'setOption', sheetId, key: '1', option: { label: 'Accounts' } }])).toEqual([
      'Says press 1 for moorings; 1 is now Accounts.',
    ]);
    expect(after([{ type: 'removeKey', sheetId, key: '2' }])).toEqual([
      'Says press 2 for the fuel dock; 2 has no use now.',
    ]);
    expect(after([{ type: 'moveKey', sheetId, from: '1', to: '4' }])).toEqual([
      'Says press 1 for moorings; 1 has no use now.',
      'Does not say press 4 for moorings.',
    ]);
    expect(after([{ type: 'setOption', sheetId, key: '9', option: { readOut: false } }])).toHaveLength(1);
    expect(after([{ type: 'reorderKey', sheetId, key: '2', toIndex: 0 }])).toEqual([
      'Reads the options in another order than they stand.',
    ]);
  });

  it('is out of step when its own words are others, each part by itself', () => {
    const edit: Edit = { type: 'setWords', sheetId, part: 'closingWords', words: 'Or hold on.' };
    expect(after([edit])).toEqual(['Its words were changed since it was recorded.']);
    expect(after([edit], { type: 'openingWords' })).toEqual([]);
    expect(after([edit], { type: 'option', key: '1' })).toEqual([]);
    expect(after([{ type: 'moveKey', sheetId, from: '1', to: '2' }], { type: 'option', key: '1' })).toEqual([
      'Says press 1 for moorings; 1 is now the fuel dock.',
    ]);
  });

  it('is out of step when hours or names that it says are others', () => {
    const words = 'We are open {week}. Ask for {name person:noor} of {business}.';
    const then = saysOfWords(words, 'slt', facts);
    const saturdays = { ...hours, week: hours.week.map((span) => ({ ...span, day: 6 as const })) };
    const now = saysOfWords(words, 'slt', {
      ...facts,
      hours: saturdays,
      personOf: () => ({ ...noor, saidAs: 'Nora' }),
    });
    expect(outOfStep(then, saysOfWords(words, 'slt', facts))).toEqual([]);
    expect(outOfStep(then, now).map(describeOutOfStep)).toEqual([
      'Says the hours “Monday to Friday, eight to half past five”; now it is “Saturday, eight to half past five”.',
      'Says the name “Noor Haldane”; now it is “Nora”.',
    ]);
  });
});

describe('what is heard from recordings', () => {
  const take = { takeId: takeId.create('one'), byVoice: false };
  const heard = (edits: readonly Edit[], id = welcomeId) => {
    const now = edits.reduce(applyEdit, attendant);
    return sheetSentences(sheetOf(now, id), 'slt', facts).map(({ text, recorded }) => (recorded ? `[${text}]` : text));
  };

  it('is the whole sheet, or single parts joined with what the voice says', () => {
    expect(heard([{ type: 'setTake', sheetId, part: { type: 'whole' }, take }])).toEqual(['[As it was recorded.]']);
    expect(heard([{ type: 'setTake', sheetId: fuelId, part: { type: 'whole' }, take }], fuelId)).toHaveLength(1);
    expect(
      heard([
        { type: 'setTake', sheetId, part: { type: 'openingWords' }, take },
        { type: 'setTake', sheetId, part: { type: 'option', key: '2' }, take },
      ]),
    ).toEqual([
      '[As it was recorded.]',
      'For moorings, press 1.',
      '[As it was recorded.]',
      'To hear this again, press 9.',
      'Or stay on the line.',
    ]);
  });

  it('is the voice while that stands in, and once the recording is taken off', () => {
    const parts: readonly TakePart[] = [{ type: 'whole' }, { type: 'option', key: '1' }];
    const spoken = heard([]);
    for (const part of parts) {
      expect(heard([{ type: 'setTake', sheetId, part, take: { ...take, byVoice: true } }])).toEqual(spoken);
      expect(
        heard([
          { type: 'setTake', sheetId, part, take },
          { type: 'setTake', sheetId, part, take: null },
        ]),
      ).toEqual(spoken);
    }
  });

  it('reads the options where the words place them', () => {
    const words = 'Press a key. {options} Now, please.';
    expect(heard([{ type: 'setWords', sheetId, part: 'openingWords', words }])).toEqual([
      'Press a key.',
      'For moorings, press 1.',
      'For the fuel dock, press 2.',
      'To hear this again, press 9.',
      'Now, please.',
      'Or stay on the line.',
    ]);
  });
});

describe('advice on a menu', () => {
  const adviceAfter = (edits: readonly Edit[], ms = 9000): string[] =>
    adviceOnMenu(sheetOf(edits.reduce(applyEdit, attendant)), 'slt', ms).map((advice) =>
      describeAdvice(advice).slice(0, 24),
    );
  const typed = (words: string): Edit => ({ type: 'setWords', sheetId, part: 'openingWords', words });

  it('has nothing to say of a short one whose options are made from its keys', () => {
    expect(adviceAfter([])).toEqual([]);
    expect(adviceAfter([typed('The express line. Impress 2 people.')])).toEqual([]);
  });

  it('tells of length, many options, keys named first and keys written out', () => {
    expect(adviceAfter([], 31_000)).toEqual(['31 s to listen to; most ']);
    const more = (['3', '4', '5'] as const).map((key): Edit => ({
      type: 'addKey',
      sheetId,
      option: { key, label: `more ${key}`, readOut: true, path: [] },
    }));
    expect(adviceAfter(more)).toEqual(['6 options; people keep a']);
    expect(adviceAfter([typed('Press 1 for moorings.')])).toEqual(['“Press 1 for moorings” n']);
    expect(adviceAfter([typed('For sails, press three.')])).toEqual(['“press three” is written']);
    expect(
      adviceAfter([{ type: 'setOption', sheetId, key: '1', option: { label: 'press 1 for moorings' } }]),
    ).toHaveLength(1);
  });
});
