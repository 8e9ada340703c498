import type { KeptTake } from '../../../takes/useTakes';
import type { Recordable } from '../useRecordables';
import { progressOf } from './progress';

const take = (id: string, madeAt: number) => ({ id, madeAt }) as unknown as KeptTake;
const text = (place: string, takeId?: string) =>
  ({ place, use: takeId ? { takeId, byVoice: false } : null }) as unknown as Recordable;
const session = { id: 'session:one', name: 'Welcome', places: ['a', 'b', 'c', 'gone'], madeAt: 1000 };

describe('how far a session is', () => {
  it('follows from the recordings that are heard and were made since it began', () => {
    const texts = [text('a', 'take:new'), text('b', 'take:old'), text('c'), text('elsewhere', 'take:new')];
    const progress = progressOf(session, texts, [take('take:new', 2000), take('take:old', 500)]);
    expect(progress.map(({ of, take: made }) => [of.place, made?.id ?? null])).toEqual([
      ['a', 'take:new'],
      ['b', null],
      ['c', null],
    ]);
  });

  it('keeps the order in which the texts were chosen, and leaves out what is no longer said', () => {
    const texts = [text('c'), text('a')];
    expect(progressOf(session, texts, []).map(({ of }) => of.place)).toEqual(['a', 'c']);
  });
});
