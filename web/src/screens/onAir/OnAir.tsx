import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import { brokenKey, describeExpectation } from '@locutor/core/rehearsals';
import { faultsIn } from '@locutor/core/proof';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../../api/client';
import { useGreetings, useOnAir, usePlanned } from '../../api/resources';
import { useDraft, useDraftTools } from '../../draft/DraftProvider';
import { useAirDifferences } from '../../draft/useAirDifferences';
import { useOpenFindings, useUnanswered } from '../../draft/useFindings';
import { AcceptFinding } from '../../parts/AcceptFinding';
import { tellDone, tellProblem } from '../../parts/notices';
import { ScreenHead } from '../../parts/ScreenHead';
import { showWhen } from '../../parts/time';
import { useNow } from '../../parts/useNow';
import { FindingRow } from '../proof/Proof';
import { TwoTraces } from '../rehearsals/TwoTraces';
import { useBroken, useRuns } from '../rehearsals/useRuns';
import { TwoVersions } from './TwoVersions';
import { WhenForm } from './WhenForm';

/** Putting on air in the order of thought: what changes for callers, the proof, the rehearsals, when and by whom. */
export default function OnAir() {
  const { line } = useDraftTools();
  const differences = useAirDifferences();
  const stops = useStops();
  return (
    <Box pb="8">
      <ScreenHead title="Put on air">
        {line.onAirVersionId && (
          <Button asChild size="sm" variant="outline" bg="sheet">
            <Link to={`/first-calls/${line.onAirVersionId}`}>First calls</Link>
          </Button>
        )}
        <Button asChild size="sm" variant="outline" bg="sheet">
          <Link to="/versions">Versions</Link>
        </Button>
      </ScreenHead>
      <Box px="6" maxW="980px">
        <PlannedNote />
        <Part number={1} title="What changes for callers">
          <Changes />
        </Part>
        <Part number={2} title="Proof" id="proof">
          <Findings />
        </Part>
        <Part number={3} title="Rehearsals">
          <RehearsalsSaid />
        </Part>
        <Part number={4} title="When">
          <WhenForm stops={stops} isSame={differences === 'same'} />
        </Part>
      </Box>
    </Box>
  );
}

function Part({
  number,
  title,
  id,
  children,
}: {
  readonly number: number;
  readonly title: string;
  readonly id?: string;
  readonly children: ReactNode;
}) {
  return (
    <Box as="section" aria-label={title} mt="5">
      <Heading as="h2" id={id} fontSize="15px" fontWeight="600" mb="1.5">
        <Text as="span" fontFamily="mono" color="quiet" fontWeight="400" mr="2">
          {number}
        </Text>
        {title}
      </Heading>
      {children}
    </Box>
  );
}

/** What stands in the way of going on air, in a sentence; null for nothing. */
function useStops(): string | null {
  const faults = faultsIn(useOpenFindings()).length;
  const cautions = useUnanswered().length;
  const broken = useBroken().filter(({ hasYes }) => !hasYes).length;
  if (faults > 0) return 'Mend the faults first; the draft is kept meanwhile.';
  if (cautions + broken === 0) return null;
  const what = [
    ...(cautions > 0 ? [cautions === 1 ? 'one caution' : `${cautions} cautions`] : []),
    ...(broken > 0 ? [broken === 1 ? 'one rehearsal' : `${broken} rehearsals`] : []),
  ];
  return `Say yes to ${what.join(' and ')} first, or mend them.`;
}

/** What is planned, or why it did not go on air. */
function PlannedNote() {
  const { line } = useDraftTools();
  const planned = usePlanned(line.id);
  const now = useNow(15_000);
  const { mutate } = useSWRConfig();
  if (!planned) return null;
  const cancel = async (): Promise<void> => {
    try {
      await api(`/api/lines/${line.id}/planned`, { method: 'DELETE' });
      await mutate(`/api/lines/${line.id}/planned`);
      tellDone('Nothing is planned any more. The draft is as it was.');
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  return (
    <Flex bg="sunk" borderRadius="md" p="3" gap="3" align="baseline" wrap="wrap" role="region" aria-label="Planned">
      <Text flex="1 1 320px">
        {planned.problem ? (
          <>
            <b>It did not go on air</b> at {showWhen(planned.at, line.timeZone, now)}. {planned.problem}
          </>
        ) : (
          <>
            The draft of revision {planned.draftRevision} goes on air at{' '}
            <b>{showWhen(planned.at, line.timeZone, now)}</b>, planned by {planned.by}
            {planned.note && `: “${planned.note}”`}. It is checked again then. Edits made since are not in it unless you
            plan it again.
          </>
        )}
      </Text>
      <Button size="xs" variant="outline" bg="sheet" onClick={() => void cancel()}>
        {planned.problem ? 'Put it away' : 'Cancel it'}
      </Button>
    </Flex>
  );
}

function Changes() {
  const { line, attendant, names } = useDraft();
  const now = useNow(60_000);
  const onAir = useOnAir(line);
  const differences = useAirDifferences();
  const greetings = useGreetings();
  if (differences === 'first') return <Text>Callers hear nothing yet. This will be the first version.</Text>;
  if (!onAir) return null;
  if (differences === 'same') {
    const [last] = onAir.airings;
    return (
      <Text>
        Nothing: the draft is what is on air, version {onAir.number}.
        {last?.by && ` ${last.by} put it on air ${showWhen(last.at, line.timeZone, now)}.`}
      </Text>
    );
  }
  const more = onAir.greetings.flatMap((then) => {
    const now = greetings.find(({ id }) => id === then.id);
    return now && now.words !== then.words
      ? [{ sheetId: null, where: `The greeting ${now.name}`, was: `“${then.words}”`, is: `“${now.words}”` }]
      : [];
  });
  return (
    <TwoVersions
      before={{
        title: `On air, version ${onAir.number}`,
        attendant: onAir.attendant,
        names: { ...names, ...onAir.directory?.names },
      }}
      after={{ title: 'The draft', attendant, names }}
      more={more}
    />
  );
}

function Findings() {
  const findings = useOpenFindings();
  const faults = faultsIn(findings);
  const unanswered = useUnanswered();
  const tips = findings.length - faults.length - unanswered.length;
  if (faults.length + unanswered.length === 0) {
    return (
      <Text>
        No faults, and a yes to every caution.{' '}
        {tips > 0 && (
          <Text asChild color="petrol.fg" textDecoration="underline">
            <Link to="/proof">{tips === 1 ? 'One tip' : `${tips} tips`}</Link>
          </Text>
        )}
      </Text>
    );
  }
  return (
    <Box as="ul" listStyleType="none">
      {[...faults, ...unanswered].map((finding) => (
        <FindingRow key={finding.key} finding={finding} />
      ))}
    </Box>
  );
}

const mostBrokenShown = 5;

function RehearsalsSaid() {
  const { names } = useDraftTools();
  const { all } = useRuns();
  const broken = useBroken();
  const open = broken.filter(({ hasYes }) => !hasYes);
  if (all.length === 0) {
    return (
      <Text>
        There are none yet.{' '}
        <Text asChild color="petrol.fg" textDecoration="underline">
          <Link to="/rehearsals">Make a set from the paths</Link>
        </Text>
        , and they are run before anything goes on air.
      </Text>
    );
  }
  return (
    <>
      <Text>
        {open.length === 0
          ? `All ${all.length} were run${broken.length > 0 ? `; ${broken.length} do not hold, and somebody said yes to them` : ' and go as they should'}.`
          : `${open.length} of ${all.length} no longer hold.`}
      </Text>
      {open.slice(0, mostBrokenShown).map(({ rehearsal, run }) => (
        <Box key={rehearsal.id} py="2" borderTopWidth="1px" borderColor="hairline">
          <Text fontWeight="500">{rehearsal.name}</Text>
          <Text fontSize="13px">
            It no longer{' '}
            {run?.failed
              .flatMap((index) => rehearsal.expects[index] ?? [])
              .map((expected) => describeExpectation(expected, names))
              .join(', ')}
            .
          </Text>
          {run && <AcceptFinding accepts={brokenKey(run)} grade="caution" />}
          {run && <TwoTraces was={rehearsal.was} run={run} />}
        </Box>
      ))}
      {open.length > mostBrokenShown && (
        <Text asChild color="petrol.fg" textDecoration="underline">
          <Link to="/rehearsals">and {open.length - mostBrokenShown} more</Link>
        </Text>
      )}
    </>
  );
}
