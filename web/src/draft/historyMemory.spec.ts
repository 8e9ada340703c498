/** @jest-environment jsdom */
import {
  applyEdit,
  doEdit,
  newMenu,
  redo,
  schemaVersion,
  sheetId,
  startHistory,
  undo,
  type Attendant,
  type Edit,
  type History,
} from '@locutor/core/line';
import { recallHistory, rememberHistory } from './historyMemory';

const menuId = sheetId.create('welcome');
const start: Attendant = {
  schemaVersion,
  voice: 'slt',
  sheets: [newMenu(menuId, 'Welcome')],
  paths: [],
  fallbacks: [],
  answering: { rules: [], otherwise: [{ type: 'goTo', sheetId: menuId }] },
};
const type = (words: string, part: 'openingWords' | 'closingWords' = 'openingWords'): Edit => ({
  type: 'setWords',
  sheetId: menuId,
  part,
  words,
});
const edited = (): History =>
  [type('Ahoy.'), type('Bye.', 'closingWords'), type('Ahoy there.')].reduce(doEdit, startHistory(start));
const words = ({ present }: History) => {
  const { openingWords, closingWords } = present.sheets[0] as unknown as Record<string, string>;
  return [openingWords, closingWords];
};
const reloaded = (history: History, present = history.present): History => {
  rememberHistory('a', history);
  return recallHistory('a', JSON.parse(JSON.stringify(present)) as Attendant);
};

beforeEach(() => sessionStorage.clear());

describe('what was done to a draft', () => {
  it('can still be undone after the page was loaded again, and done again', () => {
    const back = reloaded(edited());
    expect(words(back)).toEqual(['Ahoy there.', 'Bye.']);
    expect(words(undo(back))).toEqual(['Ahoy.', 'Bye.']);
    const all = undo(undo(undo(back)));
    expect([words(all), all.done]).toEqual([['', ''], []]);
    expect(words(redo(all))).toEqual(['Ahoy.', '']);
  });

  it('keeps what was undone before', () => {
    const back = reloaded(undo(undo(edited())));
    expect(words(redo(redo(back)))).toEqual(['Ahoy there.', 'Bye.']);
  });

  it('is put on top of what another window saved meanwhile', () => {
    const back = reloaded(edited(), applyEdit(edited().present, { type: 'setVoice', voice: 'rms' }));
    const undone = undo(undo(back));
    expect([words(undone), undone.present.voice]).toEqual([['Ahoy.', ''], 'rms']);
  });

  it('is not that of another line, and none where nothing was done', () => {
    rememberHistory('a', edited());
    expect(recallHistory('b', start).done).toEqual([]);
    expect(reloaded(startHistory(start)).done).toEqual([]);
  });

  it('is let go where it cannot be read or comes to something else', () => {
    for (const text of [
      '{"start":',
      'null',
      '{}',
      JSON.stringify({ start, done: [type('A')], undone: [], present: start }),
    ]) {
      sessionStorage.setItem('locutor.history.a', text);
      expect(recallHistory('a', start)).toEqual(startHistory(start));
      expect(sessionStorage.getItem('locutor.history.a')).toBeNull();
    }
  });

  it('lets go of the oldest where there is too much of it', () => {
    const big = (at: number): Attendant => ({
      ...start,
      sheets: Array.from({ length: 10 }, (_, sheet) => ({
        ...newMenu(sheetId.create(`s${sheet}`), `Sheet ${sheet}`),
        openingWords: `${at} ${'ahoy '.repeat(500)}`,
      })),
    });
    const history = Array.from({ length: 200 }, (_, at): Edit => ({
      type: 'replace',
      attendant: big(at),
      why: '',
    })).reduce(doEdit, startHistory(start));
    const back = reloaded(history);
    expect(back.present).toEqual(history.present);
    expect(back.done.length).toBeGreaterThan(10);
    expect(back.done.length).toBeLessThan(200);
    expect(undo(back).present).toEqual(undo(history).present);
  });

  it('stops nobody where the browser has no room', () => {
    const full = {
      setItem: () => {
        throw new DOMException('full', 'QuotaExceededError');
      },
      removeItem: jest.fn(),
    };
    expect(() => rememberHistory('a', edited(), full as unknown as Storage)).not.toThrow();
    expect(full.removeItem).toHaveBeenCalled();
  });
});
