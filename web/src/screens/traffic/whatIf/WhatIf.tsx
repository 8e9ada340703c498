import { Button, Flex, Text } from '@chakra-ui/react';
import {
  describePlan,
  describeTried,
  isWhole,
  mostRuns,
  readChanges,
  usualRuns,
  type Change,
} from '@locutor/core/whatIf';
import type { Weekday } from '@locutor/core/hours';
import { useCallers, useOnAir, useSettings } from '../../../api/resources';
import { useDraftTools, useLateAttendant } from '../../../draft/DraftProvider';
import { nothingKept, useCallScript } from '../../../handset/useCallScript';
import { InlineNumber } from '../../../parts/InlineNumber';
import { InlineSelect } from '../../../parts/InlineSelect';
import { useTrial } from '../../../workers/useWhatIf';
import { SpanBar } from '../SpanBar';
import { TrafficPage } from '../TrafficPage';
import { useAddress } from '../useAddress';
import { useNamesThen } from '../useNamesThen';
import { spanAsked, useSpan } from '../useSpan';
import { Changes } from './Changes';
import { MembersNeeded } from './MembersNeeded';
import { TriedFigures } from './TriedFigures';

const usualWithinS = 20;
const seed = 1;

/** The trial of another plan on the callers of the log, before and after; and how many members each hour needs. */
export function WhatIf() {
  const looked = useSpan();
  const { line } = useDraftTools();
  const [address, setAddress] = useAddress();
  const names = useNamesThen();
  const { make, isLoading } = useCallScript();
  const attendant = useLateAttendant();
  const onAir = useOnAir(line);
  const { data: settings } = useSettings();
  const { trying, begin, cancel } = useTrial();
  // A trial is of the line that is looked at: each has an attendant of its own.
  const span = { ...looked, lineId: line.id };
  const { data: callers, error } = useCallers(spanAsked(span));
  const changes = readChanges(address.get('plan'));
  const isDraft = address.get('of') === 'draft';
  const withinS = wholeOf(address.get('within'), usualWithinS, 600);
  const runs = wholeOf(address.get('runs'), usualRuns, mostRuns);
  const drafted = isLoading ? null : make(attendant, nothingKept);
  const aired = isLoading || (line.onAirVersionId && !onAir) ? null : onAir ? make(onAir.attendant, onAir) : drafted;
  const setTo = (asked: Record<string, string | null>): void => {
    cancel();
    setAddress(asked);
  };
  const isSaid = changes.every(isWhole);
  const isPlan = (isDraft || changes.length > 0) && isSaid;
  const canTry =
    settings !== undefined &&
    callers !== undefined &&
    callers.length > 0 &&
    drafted !== null &&
    aired !== null &&
    isPlan;
  const start = (): void => {
    if (!callers || !drafted || !aired || !settings) return;
    const { rates } = settings;
    const charges = rates.cards.length > 0 ? { rates, lines: [] } : null;
    const other = isDraft ? drafted : aired;
    begin({ script: aired, other, changes, callers, span: looked.span, withinS, charges, runs, seed });
  };
  const plan = describePlan(isDraft, changes, names);
  return (
    <TrafficPage>
      <SpanBar {...looked} oneLine />
      {error && <Text role="alert">The calls could not be read. {String(error.message)}</Text>}
      {callers?.length === 0 && (
        <Text maxW="620px" mb="3">
          Nobody called on these days, so there is nothing to try a plan on. Choose days with calls.
        </Text>
      )}
      <Text color="quiet" maxW="820px" mb="2">
        Tries another plan on the same callers: when they called, what they pressed, how long they talked and how soon
        they gave up is taken from the log, and the line answers them as it would.
      </Text>
      <Flex gap="1.5" align="center" wrap="wrap">
        <Text>What if it were</Text>
        <InlineSelect
          label="What is tried"
          value={isDraft ? 'draft' : 'air'}
          choices={[
            { value: 'air', label: 'as it is on air' },
            { value: 'draft', label: 'the draft' },
          ]}
          onChange={(value) => setTo({ of: value === 'draft' ? 'draft' : null })}
        />
        <Text>, but with</Text>
      </Flex>
      <Changes changes={changes} onEdit={(edit) => setTo({ plan: planText(edit(readChanges(planInAddress()))) })} />
      <Flex gap="1.5" align="center" wrap="wrap" mt="1" mb="3">
        <Text>Callers are to be answered within</Text>
        <InlineNumber
          label="Within how many seconds"
          value={withinS}
          least={1}
          most={600}
          onChange={(seconds) => setTo({ within: String(seconds) })}
        />
        <Text>s. Four weeks are tried</Text>
        <InlineNumber
          label="How many runs"
          value={runs}
          least={1}
          most={mostRuns}
          step={10}
          onChange={(count) => setTo({ runs: String(count) })}
        />
        <Text>times.</Text>
      </Flex>
      <Flex gap="3" align="center" mb="5" className="notPrinted">
        {trying.type === 'running' ? (
          <>
            <progress value={trying.done} max={trying.of} aria-label="How far the trial is" />
            <Text>
              {trying.done} of {trying.of}
            </Text>
            <Button size="sm" variant="outline" bg="sheet" onClick={cancel}>
              Cancel
            </Button>
          </>
        ) : (
          <Button size="sm" colorPalette="petrol" disabled={!canTry} onClick={start}>
            Try it
          </Button>
        )}
        {!isPlan && trying.type === 'nothing' && (
          <Text color="quiet">
            {isSaid ? 'Change something first, or choose the draft.' : 'Say first of whom or of which each change is.'}
          </Text>
        )}
      </Flex>
      {trying.type === 'failed' && <Text role="alert">The trial did not come to its end. {trying.message}</Text>}
      {trying.type === 'tried' && (
        <>
          <Text fontSize="18px" lineHeight="1.5" maxW="820px" mb="5" aria-live="polite">
            {describeTried(trying.tried, plan, onlyDay(changes), settings?.rates.currency ?? null)}
          </Text>
          <TriedFigures
            tried={trying.tried}
            only={onlyDay(changes)}
            names={names}
            currency={settings?.rates.currency ?? ''}
          />
        </>
      )}
      {aired && callers && callers.length > 0 && (
        <MembersNeeded script={aired} callers={callers} span={looked.span} today={looked.today} />
      )}
    </TrafficPage>
  );
}

/** The weekday that a plan is about; null where it is about several. */
function onlyDay(changes: readonly Change[]): Weekday | null {
  const [first] = changes[0]?.on ?? [];
  const isOnly = changes.every(({ on }) => on.length === 1 && on[0] === first);
  return first !== undefined && isOnly ? first : null;
}

/** The address itself, not what was last drawn of it: another change may just have been made. */
function planInAddress(): string | null {
  return new URLSearchParams(window.location.search).get('plan');
}

function planText(changes: readonly Change[]): string | null {
  return changes.length > 0 ? JSON.stringify(changes) : null;
}

function wholeOf(text: string | null, usual: number, most: number): number {
  return Math.min(most, Math.max(1, Math.round(Number(text) || usual)));
}
