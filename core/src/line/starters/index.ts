import { clinic } from './clinic';
import { office } from './office';
import { onePerson } from './onePerson';
import { people } from './people';
import { shop } from './shop';
import type { Starter } from './starter';
import { workshop } from './workshop';

/** The ready attendants, by id. The first is what a new line begins with unless another is chosen. */
export const starters = { people, onePerson, workshop, shop, clinic, office } as const satisfies Record<
  string,
  Starter
>;

export type StarterId = keyof typeof starters;

export const starterIds = Object.keys(starters) as StarterId[];
