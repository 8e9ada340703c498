import { Box, Button, Text } from '@chakra-ui/react';
import { faultsIn } from '@locutor/core/proof';
import { Link } from 'react-router';
import { useGreetings, useOnAir } from '../../api/resources';
import { useDraft, useDraftTools } from '../../draft/DraftProvider';
import { useAirDifferences } from '../../draft/useAirDifferences';
import { useOpenFindings, useUnanswered } from '../../draft/useFindings';
import { ScreenHead } from '../../parts/ScreenHead';
import { showWhen } from '../../parts/time';
import { useNow } from '../../parts/useNow';
import { FindingRow } from '../proof/Proof';
import { useBroken, useRuns } from '../rehearsals/useRuns';
import { BrokenRehearsal } from './BrokenRehearsal';
import { Part } from './Part';
import { PlannedNote } from './PlannedNote';
import { stopsInWords } from './stopsInWords';
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

function useStops(): string | null {
  const faults = faultsIn(useOpenFindings()).length;
  const cautions = useUnanswered().length;
  const broken = useBroken().filter(({ hasYes }) => !hasYes).length;
  return stopsInWords({ faults, cautions, broken });
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
        <BrokenRehearsal key={rehearsal.id} rehearsal={rehearsal} run={run} />
      ))}
      {open.length > mostBrokenShown && (
        <Text asChild color="petrol.fg" textDecoration="underline">
          <Link to="/rehearsals">and {open.length - mostBrokenShown} more</Link>
        </Text>
      )}
    </>
  );
}
