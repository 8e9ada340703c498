import { personId } from '../directory';
import { describeWork, workFigures, type RingSum } from '.';

const [noor, priya] = [personId.create('noor'), personId.create('priya')];
const tow = '+12075550190' as never;
const sum = (who: RingSum['who'], end: RingSum['end'], rings: number, talkMs = 0, holdMs = 0): RingSum => ({
  ...{ who, end, rings, talkMs, holdMs },
});

describe('who answers', () => {
  const work = workFigures(
    [
      sum(tow, 'answered', 1, 600_000),
      sum(priya, 'answered', 12, 1_800_000, 60_000),
      sum(priya, 'declined', 2),
      sum(noor, 'letRing', 3),
      sum(noor, 'stopped', 4),
    ],
    [noor, priya],
  );

  it('is counted by person, in the order of the directory, others after them', () => {
    expect(work.map(({ who }) => who)).toEqual([noor, priya, tow]);
    expect(work[0]).toMatchObject({ rung: 7, answered: 0, letRing: 3, stopped: 4, talkMs: 0, share: 0 });
    expect(work[1]).toMatchObject({ rung: 14, answered: 12, declined: 2, holdMs: 60_000, share: 0.75 });
    expect(work.reduce((all, { share }) => all + share, 0)).toBeCloseTo(1, 9);
  });

  it('is said without comparing anybody', () => {
    expect(describeWork(work)).toBe(
      '13 calls were answered by 2 people, who talked for 0.7 hours in all. 23% of all times that a phone rang it was let ring or declined.',
    );
    expect(describeWork([])).toBe('Nobody was rung.');
    expect(describeWork(workFigures([sum(noor, 'letRing', 3)], []))).toContain('0 calls were answered by 0 people');
    expect(workFigures([sum(noor, 'letRing', 3)], [])[0]?.share).toBe(0);
  });
});
