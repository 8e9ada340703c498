import { outcomes, type Outcome } from '../call';
import { shareChange, type ShareChange } from './intervals';
import type { WhenSums } from './sums';
import { fateOf, type Fate } from './when';

/** What calls came to, in a span; of all but those that count in no figure. */
export interface CameTo {
  readonly calls: number;
  readonly byOutcome: readonly { readonly outcome: Outcome; readonly calls: number }[];
  readonly byFate: Readonly<Record<Exclude<Fate, 'aside'>, number>>;
}

export function cameTo({ byDay }: Pick<WhenSums, 'byDay'>): CameTo {
  const counted = outcomes
    .filter((outcome) => fateOf[outcome] !== 'aside')
    .map((outcome) => ({
      outcome,
      calls: byDay.reduce((sum, each) => sum + (each.outcome === outcome ? each.calls : 0), 0),
    }));
  const ofFate = (fate: Fate): number =>
    counted.reduce((sum, { outcome, calls }) => sum + (fateOf[outcome] === fate ? calls : 0), 0);
  return {
    calls: counted.reduce((sum, { calls }) => sum + calls, 0),
    byOutcome: counted,
    byFate: { reached: ofFate('reached'), message: ofFate('message'), served: ofFate('served'), lost: ofFate('lost') },
  };
}

/** How a share of all calls changed from one span to another. */
export interface FateChange extends ShareChange {
  readonly fate: 'reached' | 'message' | 'lost';
  readonly before: number;
  readonly after: number;
}

/** Each told by itself; whoever reads three at 95 % is wrong in one of seven about some. */
export function changesBetween(before: CameTo, after: CameTo): readonly FateChange[] {
  return (['reached', 'message', 'lost'] as const).map((fate) => {
    const [was, is] = [
      { hits: before.byFate[fate], all: before.calls },
      { hits: after.byFate[fate], all: after.calls },
    ];
    return {
      fate,
      before: was.all > 0 ? was.hits / was.all : 0,
      after: is.all > 0 ? is.hits / is.all : 0,
      ...shareChange(was, is),
    };
  });
}
