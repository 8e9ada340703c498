import { instantOf, type Switch } from '../hours';
import { runTrial } from '../exchange';
import { attendant, closedId, message, open, script, slipHolders, welcomeId, zone } from '../testing/boatyard';
import type { CallScript } from './script';

const storm: Switch = {
  to: { type: 'closed' },
  fromMs: instantOf('2026-11-23T10:00', zone),
  untilMs: instantOf('2026-11-24T12:00', zone),
  words: 'Closed early because of the storm. We open again {opens}.',
  by: 'Noor Haldane',
};

function entriesOf(switched: Switch, reading: string, more: Partial<CallScript> = {}, callerNumber = '+12075550199') {
  const of = { ...script, lines: script.lines.map((line) => ({ ...line, switched })), ...more };
  const trial = {
    atMs: instantOf(reading, zone),
    callerNumber,
    caller: [],
    staff: () => ({ type: 'noAnswer' as const }),
  };
  return runTrial(of, trial).transcript;
}

type Entries = ReturnType<typeof entriesOf>;
const firstSheet = (entries: Entries) => entries.find((entry) => entry.type === 'sheet')?.sheetId;
const said = (entries: Entries) => entries.flatMap((entry) => (entry.type === 'said' ? [entry.text] : []));

describe('a call while the switch is on', () => {
  it('hears the words of the switch, then what answers when closed', () => {
    const entries = entriesOf(storm, '2026-11-23T10:30');
    expect(said(entries).slice(0, 2)).toEqual([
      'Closed early because of the storm.',
      'We open again tomorrow at noon.',
    ]);
    expect(firstSheet(entries)).toBe(closedId);
  });

  it('hears nothing of it once it has ended, and nothing before it began', () => {
    for (const reading of ['2026-11-23T09:30', '2026-11-24T12:00']) {
      const entries = entriesOf(storm, reading);
      expect(said(entries)).not.toContain('Closed early because of the storm.');
      expect(firstSheet(entries)).toBe(welcomeId);
    }
  });

  it('is answered as while open, or by another sheet, whatever the hour', () => {
    const night = '2026-11-23T23:00';
    expect(firstSheet(entriesOf({ ...storm, to: { type: 'open', periodId: open.id } }, night))).toBe(welcomeId);
    expect(firstSheet(entriesOf({ ...storm, to: { type: 'sheet', sheetId: welcomeId } }, night))).toBe(welcomeId);
  });

  it('is as the hours say where the switch leads to a sheet that is not on air', () => {
    const lost: Switch = { ...storm, to: { type: 'sheet', sheetId: 'sheet:gone' as never } };
    const entries = entriesOf(lost, '2026-11-23T10:30');
    expect(firstSheet(entries)).toBe(welcomeId);
    expect(said(entries)).not.toContain('Closed early because of the storm.');
  });

  it('goes before lists with an answer of their own, but not before blocked callers', () => {
    const rules = [{ type: 'callers' as const, callerListId: slipHolders.id, path: message }];
    const lines = script.lines.map((line) => ({
      ...line,
      switched: storm,
      attendant: { ...attendant, answering: { ...attendant.answering, rules } },
    }));
    const friend = '+12075550171';
    const of = { lines, callerLists: [slipHolders] };
    expect(firstSheet(entriesOf(storm, '2026-11-23T10:30', of, friend))).toBe(closedId);
    const blocked = { ...of, callerLists: [{ ...slipHolders, kind: 'blocked' as const }] };
    expect(said(entriesOf(storm, '2026-11-23T10:30', blocked, friend))).toEqual([]);
  });
});
