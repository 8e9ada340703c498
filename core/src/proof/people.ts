import type { Person } from '../directory';
import { remember } from './remember';

/** People by their ids. */
export const peopleById = remember(
  (people: readonly Person[]): ReadonlyMap<string, Person> => new Map(people.map((person) => [person.id, person])),
);
