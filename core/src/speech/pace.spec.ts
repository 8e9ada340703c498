import { estimateMs, paceBeside } from '.';

const text = 'For moorings and dock space, press 1.';
const at = (pace: number) => [{ text, lengthMs: (estimateMs(text) * 100) / pace }];

describe('the pace of a voice beside recordings', () => {
  it.each([
    [100, 120, 120],
    [100, 82, 80],
    [120, 120, null],
    [100, 104, null],
    [100, 300, 140],
    [100, 20, 70],
  ])('of a voice at %d %% beside recordings at %d %% is %s', (own, pace, wanted) => {
    expect(paceBeside(at(pace), own)).toBe(wanted);
  });

  it('is nothing where nothing is recorded', () => {
    expect(paceBeside([], 100)).toBeNull();
    expect(paceBeside([{ text: '', lengthMs: 500 }], 100)).toBeNull();
  });
});
