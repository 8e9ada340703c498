import { Box, Text } from '@chakra-ui/react';
import { describeFinding } from '@locutor/core/proof';
import { describeOutOfStep } from '@locutor/core/speech';
import { useMessages, usePlanned, useStorage } from '../../api/resources';
import { useHandsetDock } from '../../app/handsetDock';
import { useDraft } from '../../draft/DraftProvider';
import { useAirDifferences } from '../../draft/useAirDifferences';
import { useAirFindings, useFaults, useOpenFindings } from '../../draft/useFindings';
import { showBytes } from '../../parts/bytes';
import { showWhen } from '../../parts/time';
import { useSpokenThings } from '../greetings/spokenThings';
import { useNow } from '../../parts/useNow';
import { Needs, type Need } from './Needs';
import { useOverBudget } from './useOverBudget';
import { useBroken } from '../rehearsals/useRuns';
import { findingLink } from '../script/findingSheet';

const mostFaultsListed = 4;

/** What waits for the manager, each with the next click. */
export function NeedsYou() {
  const needs = useNeeds();
  const isAmiss = useAirFindings().length > 0;
  const dock = useHandsetDock();
  if (needs.length === 0) {
    return (
      <Text>
        {isAmiss
          ? 'Nothing besides what is not right on air, above.'
          : 'Nothing. The draft is on air, it has no faults, and every message was heard.'}{' '}
        {!dock.isOpen && (
          <Box asChild color="petrol.fg" textDecoration="underline" cursor="pointer">
            <button type="button" onClick={() => dock.setOpen(true)}>
              Call it on the handset
            </button>
          </Box>
        )}
      </Text>
    );
  }
  return <Needs needs={needs} />;
}

function useNeeds(): readonly Need[] {
  const { attendant, names, line } = useDraft();
  const faults = useFaults();
  const now = useNow(60_000);
  const open = useOpenFindings();
  const planned = usePlanned(line.id);
  const broken = useBroken().filter(({ hasYes }) => !hasYes);
  const differences = useAirDifferences();
  const unheard = useMessages().data?.filter((message) => !message.heard).length ?? 0;
  const things = useSpokenThings();
  const storage = useStorage().data;
  const overBudget = useOverBudget();
  const amiss = useAirFindings();
  const needs: Need[] = [];
  if (storage?.isLow) {
    const says = `Little room is left on the disk: ${showBytes(storage.freeBytes)}. Messages and recordings need it.`;
    needs.push({ says, does: 'See what is kept', to: '/settings' });
  }
  if (overBudget) needs.push({ says: overBudget, does: 'See the cost', to: '/traffic/cost?span=thisMonth' });
  if (unheard > 0) {
    const says = unheard === 1 ? 'One message was not heard yet.' : `${unheard} messages were not heard yet.`;
    needs.push({ says, does: 'Listen', to: '/messages' });
  }
  if (planned?.problem) {
    needs.push({ says: `What was planned did not go on air. ${planned.problem}`, does: 'See why', to: '/on-air' });
  } else if (planned) {
    const when = showWhen(planned.at, line.timeZone, now);
    needs.push({
      says: `${planned.versionId ? 'An earlier version goes back' : 'A new version goes'} on air at ${when}, planned by ${planned.by}.`,
      does: 'Look at it',
      to: '/on-air',
    });
  }
  const known = new Set(amiss.map(({ key }) => key));
  for (const finding of faults.filter(({ key }) => !known.has(key)).slice(0, mostFaultsListed)) {
    needs.push({ says: describeFinding(finding, attendant, names), does: 'Mend it', to: findingLink(finding) });
  }
  for (const { rehearsal } of broken.slice(0, mostFaultsListed)) {
    needs.push({ says: `The rehearsal “${rehearsal.name}” no longer holds.`, does: 'See where', to: '/rehearsals' });
  }
  if (open.some(({ rule }) => rule === 'noHolidays')) {
    const says = 'No holiday is entered for the next three months.';
    needs.push({ says, does: 'Enter them', to: '/hours' });
  }
  const cautions = open.filter(({ grade }) => grade === 'caution').length;
  if (cautions > 0) {
    const says = cautions === 1 ? 'The proof has one caution.' : `The proof has ${cautions} cautions.`;
    needs.push({ says, does: 'Read them', to: '/proof' });
  }
  for (const { id, name, kind, differences: untrue, byVoice } of things) {
    const [first] = untrue;
    if (!first || byVoice) continue;
    const to = kind === 'greeting' ? `/greetings/${id}` : `/script/${id}`;
    needs.push({ says: `The recording of ${name}: ${describeOutOfStep(first)}`, does: 'Put it right', to });
  }
  if (differences === 'first') needs.push({ says: 'Nothing is on air yet.', does: 'Put it on air', to: '/on-air' });
  else if (differences !== 'same') {
    needs.push({ says: 'The draft is not the same as what callers hear.', does: 'See the differences', to: '/on-air' });
  }
  return needs;
}
