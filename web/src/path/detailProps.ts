import type { Step } from '@locutor/core/line';

/** What each kind of step's details are given: the step, of what the path is, and how to change it. */
export interface DetailProps<Kind extends Step = Step> {
  readonly step: Kind;
  readonly of: string;
  readonly onChange: (step: Step) => void;
}
