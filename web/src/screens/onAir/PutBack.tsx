import { Box, Button, Text } from '@chakra-ui/react';
import { Link, useParams } from 'react-router';
import { useOnAir, useStanding, useVersion, type Standing, type WholeVersion } from '../../api/resources';
import { useDraftTools } from '../../draft/DraftProvider';
import { AcceptFinding } from '../../parts/AcceptFinding';
import { NotLoaded } from '../../parts/NotLoaded';
import { ScreenHead } from '../../parts/ScreenHead';
import { FindingLine } from '../proof/FindingLine';
import { BrokenRehearsal } from './BrokenRehearsal';
import { Part } from './Part';
import { PlannedNote } from './PlannedNote';
import { stopsInWords } from './stopsInWords';
import { TwoVersions, type Side } from './TwoVersions';
import { WhenForm } from './WhenForm';

/** Putting an earlier version back on air, in the order in which a draft goes there. */
export default function PutBack() {
  const { versionId } = useParams();
  const { line } = useDraftTools();
  const version = useVersion(line.id, versionId);
  const { data: standing, error, mutate } = useStanding(line.id, versionId);
  if (error) return <NotLoaded error={error} again={() => void mutate()} />;
  if (!version) return null;
  return (
    <Box pb="8">
      <ScreenHead title={`Put version ${version.number} back on air`}>
        <Button asChild size="sm" variant="outline" bg="sheet">
          <Link to={`/versions/${version.id}`}>Look at it</Link>
        </Button>
        <Button asChild size="sm" variant="outline" bg="sheet">
          <Link to="/versions">All versions</Link>
        </Button>
      </ScreenHead>
      <Box px="6" maxW="980px">
        <PlannedNote />
        <Part number={1} title="What changes for callers">
          <Changes version={version} />
        </Part>
        <Part number={2} title="Proof">
          <Findings standing={standing} />
        </Part>
        <Part number={3} title="Rehearsals">
          <RehearsalsSaid standing={standing} />
        </Part>
        <Part number={4} title="When">
          <WhenForm stops={standing ? stopsOf(standing) : reading} isSame={version.onAir} version={version} />
        </Part>
      </Box>
    </Box>
  );
}

const reading = 'It is being read with the directory, the hours and the switch as they are now.';

function stopsOf({ findings, broken }: Standing): string | null {
  const faults = findings.filter(({ grade }) => grade === 'fault').length;
  return stopsInWords({ faults, cautions: findings.length - faults, broken: broken.length });
}

function Changes({ version }: { readonly version: WholeVersion }) {
  const { line, names } = useDraftTools();
  const onAir = useOnAir(line);
  const sideOf = (title: string, { attendant, directory }: WholeVersion): Side => ({
    title,
    attendant,
    names: { ...names, ...directory?.names },
  });
  if (!onAir) return null;
  return (
    <>
      <TwoVersions
        before={sideOf(`On air, version ${onAir.number}`, onAir)}
        after={sideOf(`Version ${version.number}`, version)}
      />
      <Text mt="2" color="quiet" fontSize="13px">
        It says what it said then, with its recordings. The directory, the hours and the switch are as they are now, and
        the draft stays as it is.
      </Text>
    </>
  );
}

function Findings({ standing }: { readonly standing: Standing | undefined }) {
  if (!standing) return <Text color="quiet">{reading}</Text>;
  const { findings } = standing;
  if (findings.length === 0) return <Text>No faults, and a yes to every caution.</Text>;
  return (
    <Box as="ul" listStyleType="none">
      {findings.map(({ key, grade, says, why, advice }) => (
        <FindingLine key={key} grade={grade} says={says} why={why}>
          {advice} {grade === 'caution' && <AcceptFinding accepts={key} grade={grade} />}
        </FindingLine>
      ))}
    </Box>
  );
}

function RehearsalsSaid({ standing }: { readonly standing: Standing | undefined }) {
  if (!standing) return <Text color="quiet">They are being run on it.</Text>;
  const { rehearsals, broken } = standing;
  if (rehearsals === 0) return <Text>There are none.</Text>;
  return (
    <>
      <Text>
        {broken.length === 0
          ? `All ${rehearsals} were run on it, and go as they should or have a yes.`
          : `${broken.length} of ${rehearsals} do not hold on it.`}
      </Text>
      {broken.map(({ rehearsal, run }) => (
        <BrokenRehearsal key={rehearsal.id} rehearsal={rehearsal} run={run} />
      ))}
    </>
  );
}
