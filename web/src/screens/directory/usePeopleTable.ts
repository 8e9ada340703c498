import type { Country } from '@locutor/core/directory';
import type { PeopleTable, TableChoice } from '@locutor/core/formats';
import { useEffect, useState } from 'react';
import { readAside } from '../../workers/reading';

const settledMs = 250;
const empty: PeopleTable = { people: [], columns: [], hasHeading: false, isHeadingKnown: true };

interface Read {
  readonly of: string;
  readonly table: PeopleTable;
  readonly problem: string | null;
}

interface Reading {
  /** What was read last; of another text nothing. */
  readonly table: PeopleTable;
  readonly isReading: boolean;
  /** Whether all of this text was read. */
  readonly isRead: boolean;
  readonly problem: string | null;
}

/** People in a text, read aside from the page once nobody types any more. */
export function usePeopleTable(text: string, country: Country | undefined, choice: TableChoice): Reading {
  const [read, setRead] = useState<Read>({ of: '', table: empty, problem: null });
  const [isReading, setReading] = useState(false);
  useEffect(() => {
    const asker = new AbortController();
    if (text === '') return undefined;
    const timer = setTimeout(() => {
      setReading(true);
      readAside('people', { text, country, choice }, asker.signal)
        .then((table) => setRead({ of: text, table, problem: null }))
        .catch((error: unknown) => {
          if (!asker.signal.aborted) setRead({ of: text, table: empty, problem: (error as Error).message });
        })
        .finally(() => {
          if (!asker.signal.aborted) setReading(false);
        });
    }, settledMs);
    return () => {
      clearTimeout(timer);
      asker.abort();
      setReading(false);
    };
  }, [text, country, choice]);
  const isOfText = text !== '' && read.of === text;
  return {
    table: isOfText ? read.table : empty,
    isReading,
    isRead: isOfText && !isReading,
    problem: isOfText ? read.problem : null,
  };
}
