import type { PersonId } from '@locutor/core/directory';
import { useState } from 'react';

const place = 'locutor.desk';

interface Desk {
  readonly id: PersonId;
}

/** Whose desk phone was used last in this browser; nobody's until one was chosen. */
export function useDeskAtHand<Person extends Desk>(people: readonly Person[]) {
  const [kept, setKept] = useState(() => localStorage.getItem(place));
  const choose = (id: string): void => {
    localStorage.setItem(place, id);
    setKept(id);
  };
  return { desk: people.find(({ id }) => id === kept) ?? null, choose };
}
