import { sheetId } from '../line';
import { describePressed, pressedFigures, type PressedSum } from '.';

const welcome = sheetId.create('welcome');
const repairs = sheetId.create('repairs');
const sum = (choice: PressedSum['choice'], second: number | null, visits: number, of = welcome): PressedSum => ({
  sheetId: of,
  choice,
  second,
  visits,
});
const sums = [
  sum('1', 6, 10),
  sum('1', 9, 20),
  sum('1', null, 5),
  sum('2', 14, 8),
  sum('hungUp', 3, 4),
  sum('nothing', 30, 2),
  sum('digits', 500, 1),
  sum('heard', 12, 3, repairs),
];

describe('what callers press', () => {
  const [first, second] = pressedFigures(sums);

  it('is told sheet by sheet, the most visited first, each choice with how often and by when', () => {
    expect([first?.sheetId, second?.sheetId]).toEqual([welcome, repairs]);
    expect(first?.visits).toBe(50);
    expect(first?.choices).toEqual([
      { choice: '1', visits: 35, medianS: 9 },
      { choice: '2', visits: 8, medianS: 14 },
      { choice: 'hungUp', visits: 4, medianS: 3 },
      { choice: 'nothing', visits: 2, medianS: 30 },
      { choice: 'digits', visits: 1, medianS: 500 },
    ]);
  });

  it('is told second by second of the words as they are said first, and never grows beyond two minutes', () => {
    expect(first?.seconds[3]).toEqual({ chose: 0, hungUp: 4 });
    expect(first?.seconds[9]).toEqual({ chose: 20, hungUp: 0 });
    expect(first?.seconds).toHaveLength(121);
    expect(first?.seconds.reduce((all, { chose, hungUp }) => all + chose + hungUp, 0)).toBe(43);
    expect(second?.seconds).toEqual([]);
  });

  it('is said in a sentence, with the keys that nobody pressed', () => {
    const labels: Readonly<Record<string, string>> = { 1: 'moorings', 7: 'sail loft' };
    expect(describePressed(first!, (key) => labels[key], ['7', '8', '9'])).toBe(
      'The key pressed most is 1 (moorings), by 70%, then 2, by 16%. 8% hung up here, and 4% pressed nothing. Nobody pressed 7 (sail loft), 8 or 9.',
    );
    expect(describePressed(second!, () => undefined, [])).toBe('3 visits: too few to tell what callers want.');
    const [silent] = pressedFigures([sum('hungUp', 2, 40)]);
    expect(describePressed(silent!, () => undefined, [])).toBe('Nobody pressed a key. 100% hung up here.');
  });

  it('is nothing of an empty log', () => {
    expect(pressedFigures([])).toEqual([]);
  });
});
