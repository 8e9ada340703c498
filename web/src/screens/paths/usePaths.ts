import { comparePaths, type EveryPath } from '@locutor/core/paths';
import { useMemo, useState } from 'react';
import { useOnAir } from '../../api/resources';
import { useDraftTools, useLateAttendant } from '../../draft/DraftProvider';
import { nothingKept, useCallScript } from '../../handset/useCallScript';
import { pathsWorker, useWorker } from '../../workers/useWorker';
import type { PathsAsked } from '../../workers/paths.worker';

/** Every path of the draft, and how they differ from those on air; undefined until they were found. */
export function usePaths() {
  const { line } = useDraftTools();
  const attendant = useLateAttendant();
  const onAir = useOnAir(line);
  const { make, isLoading } = useCallScript();
  const [fromMs] = useState(() => Math.floor(Date.now() / 60_000) * 60_000);
  const drafted = useMemo(
    () => (isLoading ? undefined : { script: make(attendant, nothingKept), fromMs }),
    [isLoading, make, attendant, fromMs],
  );
  const aired = useMemo(
    () => (isLoading || !onAir ? undefined : { script: make(onAir.attendant, onAir), fromMs }),
    [isLoading, make, onAir, fromMs],
  );
  const found = useWorker<PathsAsked, EveryPath>(pathsWorker, drafted);
  const before = useWorker<PathsAsked, EveryPath>(pathsWorker, aired);
  const differences = useMemo(
    () => (found && before ? comparePaths(before.paths, found.paths) : undefined),
    [found, before],
  );
  return { found, differences };
}
