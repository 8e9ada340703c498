import type { CallScript } from '../call';
import { runTrial, type CallerAct, type StaffAct } from '../exchange';
import { applyEdit } from '../line';
import {
  attendant,
  closedId,
  launchQueue,
  line,
  message,
  moorings,
  names,
  noor,
  openMoment,
  priya,
  ringFor,
  script,
  slipHolders,
  wendell,
  welcomeId,
  withAttendant,
} from '../testing/boatyard';
import { holidayHours, nightHours, thanksgiving } from '../testing/soundOffice';
import { onKey1, ringGroup } from '../testing/flaws';
import {
  comparePaths,
  describeChoices,
  describeEnd,
  describeMoment,
  everyPath,
  findWays,
  momentKinds,
  summaryOf,
  writePathsCsv,
} from '.';

const office = {
  ...script,
  people: [noor, priya, wendell],
  groups: [moorings],
  queues: [launchQueue],
  callerLists: [slipHolders],
};
const withHoliday = { ...office, lines: [{ ...line, hours: holidayHours }] };
const allNames = { ...names, [thanksgiving.id]: 'Thanksgiving' };
const pathsOf = (of: CallScript) => everyPath(of, openMoment).paths;
const find = (keys: string, staff: string, when = 'Open', of: CallScript = office) =>
  pathsOf(of).find(
    ({ turns, staff: does, moment }) =>
      describeChoices(turns) === keys && does === staff && describeMoment(moment, allNames) === when,
  );

describe('kinds of moment', () => {
  it('are each period, what answers otherwise, and every special date of a year', () => {
    const kinds = momentKinds(withHoliday, openMoment);
    expect(kinds.map((kind) => describeMoment(kind, allNames))).toEqual(['Open', 'All other times', 'Thanksgiving']);
    const special = kinds.at(-1)?.atMs ?? 0;
    expect(new Date(special).toISOString()).toBe('2026-11-26T15:00:00.000Z');
  });

  it('begin with the switch while it is on, and name lists of callers', () => {
    const rule = { type: 'callers', callerListId: slipHolders.id, path: message } as const;
    const switched = {
      to: { type: 'sheet' as const, sheetId: closedId },
      fromMs: openMoment - 1,
      untilMs: openMoment + 3_600_000,
      words: '',
      by: 'Tamsin',
    };
    const edited = { ...line, attendant: applyEdit(attendant, { type: 'addRule', rule }), switched };
    const kinds = momentKinds({ ...office, lines: [edited] }, openMoment);
    expect(kinds.map((kind) => describeMoment(kind, allNames))).toEqual([
      'While the switch is on',
      'Open',
      'All other times',
      'Slip holders, at any hour',
    ]);
  });
});

describe('every path', () => {
  it('tells where it ends, whatever the staff does', () => {
    const ends = (staff: string) => {
      const path = find('1', staff);
      return path && describeEnd(path.end, attendant, allNames);
    };
    expect(ends('answers')).toBe('talks to Priya Castellanos');
    expect(ends('noAnswer')).toBe('message');
    expect(ends('busy')).toBe('message');
    expect(find('1', 'busy')?.personMs).toBeNull();
    expect((find('1', 'noAnswer')?.endMs ?? 0) - (find('1', 'busy')?.endMs ?? 0)).toBe(24_000);
  });

  it('lists a way on which nobody is rung once', () => {
    expect(find('nothing', 'noAnswer', 'All other times')).toBeUndefined();
    expect(find('no key', 'noAnswer', 'All other times')).toBeDefined();
    expect(find('no key', 'answers', 'All other times')).toBeUndefined();
  });

  it('passes over a group of which nobody works, as the call does', () => {
    const grouped = withAttendant(applyEdit(attendant, onKey1(ringGroup(moorings.id), ...message)), {
      ...office,
      people: [noor, { ...priya, hoursId: nightHours.id }, { ...wendell, hoursId: nightHours.id }],
      hours: [nightHours],
    });
    expect(find('1', 'noAnswer', 'Open', grouped)?.personMs).toBeNull();
    const trial = runTrial(grouped, {
      atMs: openMoment,
      callerNumber: '+12075550178',
      caller: [{ type: 'press', key: '1', afterMs: 1000 }],
      staff: () => ({ type: 'noAnswer' }),
    });
    expect(trial.transcript.some(({ type }) => type === 'ringing')).toBe(false);
  });

  it('goes on from a queue that is left by its key, or that is full', () => {
    const waits = withAttendant(
      applyEdit(attendant, onKey1({ type: 'waitInQueue', queueId: launchQueue.id }, ...message)),
      office,
    );
    const ends = pathsOf(waits)
      .filter(({ turns, moment }) => turns[0]?.type === 'key' && turns[0].key === '1' && moment.slot.type === 'period')
      .map(({ turns, staff, end }) => [describeChoices(turns), staff, end.type]);
    expect(ends).toEqual([
      ['1', 'noAnswer', 'message'],
      ['1, then * while waiting', 'noAnswer', 'message'],
      ['1 (queue full)', 'noAnswer', 'message'],
      ['1', 'answers', 'talks'],
      ['1', 'busy', 'message'],
    ]);
  });

  it('reaches a person who could have picked up before a further menu', () => {
    const ringsFirst = withAttendant(
      applyEdit(attendant, {
        type: 'setPath',
        slot: { type: 'otherwise' },
        path: [ringFor(noor.id, 20), { type: 'goTo', sheetId: closedId }],
      }),
      office,
    );
    const after = (staff: string) => find('no key', staff, 'All other times', ringsFirst);
    expect(after('noAnswer')).toMatchObject({ personMs: 0, quickPersonMs: 0, end: { type: 'message' } });
    expect(after('answers')).toBeUndefined();
    expect(summaryOf(findWays(ringsFirst, { atMs: openMoment, answer: { type: 'otherwise' } }).ways)).toMatchObject({
      withoutPerson: 0,
    });
  });

  it('ends as a call with the same keys ends', () => {
    const acts: Record<string, StaffAct> = {
      answers: { type: 'answer', afterMs: 1000, talkMs: 5000 },
      busy: { type: 'busy' },
      noAnswer: { type: 'noAnswer' },
    };
    for (const { turns, staff, end, moment } of pathsOf(office)) {
      if (turns.some(({ type }) => type !== 'key') || end.type === 'again') continue;
      const caller = turns.map((turn, index): CallerAct => ({
        type: 'press',
        key: turn.type === 'key' ? turn.key : '1',
        afterMs: 1000 + index * 30_000,
      }));
      const { transcript } = runTrial(office, {
        atMs: moment.atMs,
        callerNumber: '+12075550178',
        caller,
        staff: () => acts[staff] ?? { type: 'noAnswer' },
      });
      const isTalk = transcript.some(({ type }) => type === 'answered');
      expect([describeChoices(turns), staff, isTalk]).toEqual([describeChoices(turns), staff, end.type === 'talks']);
    }
  });

  it('compares two versions by where they end and how long they take', () => {
    const before = pathsOf(office);
    expect(comparePaths(before, pathsOf(office)).size).toBe(0);
    const edited = [
      onKey1(...message),
      { type: 'removeKey' as const, sheetId: welcomeId, key: '#' as const },
      {
        type: 'setWords' as const,
        sheetId: closedId,
        part: 'openingWords' as const,
        words: 'We are closed. '.repeat(5),
      },
    ].reduce(applyEdit, attendant);
    const differences = comparePaths(before, pathsOf(withAttendant(edited, office)));
    const is = (keys: string) =>
      [...differences.values()].filter(({ path }) => describeChoices(path.turns) === keys).map((each) => each.is);
    expect(is('1')).toEqual(expect.arrayContaining(['noPerson', 'gone']));
    expect(is('#')).toEqual(['gone']);
    expect(is('no key')).toContain('slower');
  });

  it('is written as a spreadsheet, a path a row', () => {
    const rows = writePathsCsv(pathsOf(office), attendant, allNames).trim().split('\r\n');
    expect(rows).toHaveLength(pathsOf(office).length + 1);
    expect(rows.find((row) => row.includes(',1,somebody answers'))).toMatch(
      /^Open,2026-11-23T.*talks to Priya Castellanos/,
    );
  });
});
