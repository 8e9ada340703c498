import fc from 'fast-check';
import { answersAt, type Hours } from '../hours';
import {
  attendant,
  hours,
  line,
  lunch,
  open,
  script,
  slipHolders,
  welcomeId,
  withAttendant,
} from '../testing/boatyard';
import { applyEdit, type Attendant } from '../line';
import { answerFor, readyOf, saidItems, type ReadyLine } from './ready';
import type { CallScript } from './script';
import { idleCall } from './state';
import { step } from './step';
import { transcriptOf } from './transcriptOf';
import { cases } from '../testing/cases';

const periods: Hours = {
  ...hours,
  periods: [open, lunch],
  week: [
    ...hours.week,
    { periodId: lunch.id, day: 1, startMin: 720, endMin: 750 },
    { periodId: lunch.id, day: 5, startMin: 1320, endMin: 1560 },
  ],
};
const ordered: Attendant = {
  ...attendant,
  answering: {
    rules: [
      { type: 'callers', callerListId: slipHolders.id, path: [] },
      { type: 'period', periodId: lunch.id, path: [] },
      ...attendant.answering.rules,
    ],
    otherwise: [],
  },
};
const by: CallScript = {
  ...withAttendant(ordered),
  lines: [{ ...line, hours: periods, attendant: ordered }],
  callerLists: [slipHolders],
};
const lineOf = (of: CallScript): ReadyLine => readyOf(of).lines.get(of.lineId) as ReadyLine;

describe('a script made ready', () => {
  it('answers at every instant as the hours say, in whatever order the instants come', () => {
    const from = Date.UTC(2026, 2, 1);
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 60 * 24 * 3600 }), { maxLength: 40 }), (seconds) => {
        for (const each of seconds) {
          const atMs = from + each * 1000;
          const { rules } = ordered.answering;
          expect(answerFor(lineOf(by), by, 'anonymous', atMs)).toEqual(answersAt(rules, periods, line.timeZone, atMs));
          expect(answerFor(lineOf(by), by, '+12075550171', atMs)).toEqual({
            type: 'callers',
            callerListId: slipHolders.id,
          });
        }
      }),
      cases(60),
    );
  });

  it('says the new words after an edit, and makes only the sheet ready that was changed', () => {
    const before = lineOf(script);
    const words = 'Ahoy from the boatyard.';
    const edited = applyEdit(attendant, { type: 'setWords', sheetId: welcomeId, part: 'openingWords', words });
    const after = lineOf(withAttendant(edited));
    const said = (ready: ReadyLine): string[] =>
      (ready.sheets.get(welcomeId)?.items ?? []).flatMap((item) =>
        item.type === 'sentence' ? [item.sentence.text] : [],
      );
    expect(said(before)[0]).toBe('Thank you for calling the boatyard.');
    expect(said(after)[0]).toBe(words);
    for (const { id } of attendant.sheets) {
      expect(after.sheets.get(id) === before.sheets.get(id)).toBe(id !== welcomeId);
    }
  });

  it('speaks another language as soon as the attendant’s voice is another', () => {
    const french = lineOf(withAttendant(applyEdit(attendant, { type: 'setVoice', voice: 'frMan' })));
    const items = french.sheets.get(welcomeId)?.items ?? [];
    expect(items.every((item) => item.type !== 'sentence' || item.sentence.voice === 'frMan')).toBe(true);
    expect(JSON.stringify(items)).toContain('Pour moorings, appuyez sur 1.');
  });
});

describe('words with live parts', () => {
  const words = 'Today {today}. We open {opens}. {special}';
  const [first] = attendant.sheets;
  const live = applyEdit(attendant, { type: 'setWords', sheetId: welcomeId, part: 'openingWords', words });
  const office = { ...withAttendant(live), lines: [{ ...line, hours: periods, attendant: live }] };
  const heard = (of: CallScript, atMs: number): string =>
    transcriptOf(step(of, idleCall, { type: 'dialled', atMs, callerNumber: '+12075550100' }).effects, atMs)
      .flatMap((entry) => (entry.type === 'said' ? [entry.text] : []))
      .join(' ');

  it('say what is so at every instant, in whatever order the instants come', () => {
    expect(first).toBeDefined();
    const from = Date.UTC(2026, 9, 26);
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 30 * 24 * 60 }), { maxLength: 20 }), (minutes) => {
        for (const minute of minutes) {
          const atMs = from + minute * 60_000;
          // A script that nobody has called yet remembers nothing.
          expect(heard(office, atMs)).toBe(heard({ ...office }, atMs));
        }
      }),
      cases(40),
    );
  });
});

describe('words that were said before', () => {
  const facts = (): never => {
    throw new Error('nothing live is said');
  };
  const said = (voice: 'slt' | 'deWoman', stepIndex = 0) =>
    saidItems(
      readyOf(script),
      'Am 1. Mai. Danke.',
      voice,
      { type: 'step', slot: { type: 'otherwise' }, stepIndex },
      facts,
    ).map((item) => (item.type === 'sentence' ? item.sentence : undefined));

  it('are cut as each language is, whoever said them first', () => {
    expect(said('slt').map((each) => each?.text)).toEqual(['Am 1.', 'Mai.', 'Danke.']);
    expect(said('deWoman').map((each) => each?.text)).toEqual(['Am 1. Mai.', 'Danke.']);
  });

  it('are known to be said where they are', () => {
    expect([said('slt', 1)[0], said('slt', 2)[0]].map((each) => each?.source)).toMatchObject([
      { stepIndex: 1 },
      { stepIndex: 2 },
    ]);
  });
});
