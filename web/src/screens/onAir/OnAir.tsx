import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { Link } from 'react-router';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../../api/client';
import { useOnAir, useVersions, type Version } from '../../api/resources';
import { useDraftTools } from '../../draft/DraftProvider';
import { useAirDifferences } from '../../draft/useAirDifferences';
import { useFaults, useFindings } from '../../draft/useFindings';
import { Lamp } from '../../parts/Lamp';
import { tellDone, tellProblem } from '../../parts/notices';
import { ScreenHead } from '../../parts/ScreenHead';
import { showWhen } from '../../parts/time';
import { useNow } from '../../parts/useNow';
import { FindingWords } from '../../parts/FindingWords';
import { findingLink } from '../script/findingSheet';
import { describeDifference } from './describeDifference';

/** What would change for callers, what is wrong with it, putting it on air, and the versions before. */
export default function OnAir() {
  return (
    <Box pb="8">
      <ScreenHead title="On air" />
      <Box px="6" maxW="760px">
        <Changes />
        <Faults />
        <PutOnAir />
        <Versions />
      </Box>
    </Box>
  );
}

function Title({ children, id }: { readonly children: string; readonly id?: string }) {
  return (
    <Heading as="h2" id={id} fontSize="15px" fontWeight="600" mt="6" mb="1">
      {children}
    </Heading>
  );
}

function Changes() {
  const { line } = useDraftTools();
  const onAir = useOnAir(line);
  const differences = useAirDifferences();
  return (
    <>
      <Title>What changes for callers</Title>
      {differences === 'first' && <Text>Callers hear nothing yet. This will be the first version.</Text>}
      {differences === 'same' && (
        <Text>Nothing: the draft is what is on air{onAir && `, version ${onAir.number}`}.</Text>
      )}
      {Array.isArray(differences) && (
        <Box as="ul" pl="5" listStyleType="disc">
          {differences.map((difference) => {
            const words = describeDifference(difference);
            return <li key={words}>{words}</li>;
          })}
        </Box>
      )}
    </>
  );
}

function Faults() {
  const findings = useFindings();
  const faults = useFaults();
  return (
    <>
      <Title id="proof">Proof</Title>
      {faults.length === 0 && (
        <Text>No faults: every path ends, every sheet has words, nobody is left in silence.</Text>
      )}
      <Box as="ul" listStyleType="none">
        {findings.map((finding, index) => (
          <Flex as="li" key={index} gap="3" py="1.5" borderTopWidth="1px" borderColor="hairline" align="baseline">
            <Box flex="1">
              <FindingWords finding={finding} />
            </Box>
            <Text asChild color="petrol.fg" fontWeight="500">
              <Link to={findingLink(finding)}>Open it</Link>
            </Text>
          </Flex>
        ))}
      </Box>
    </>
  );
}

function PutOnAir() {
  const { line, store } = useDraftTools();
  const { mutate } = useSWRConfig();
  const faults = useFaults().length;
  const differences = useAirDifferences();
  const [isBusy, setBusy] = useState(false);
  if (differences === 'same') return null;
  const putOnAir = async (): Promise<void> => {
    setBusy(true);
    try {
      const draftRevision = await store.saveNow();
      const version = await api<Version>(`/api/lines/${line.id}/versions`, { method: 'POST', body: { draftRevision } });
      await Promise.all([mutate('/api/lines'), mutate(`/api/lines/${line.id}/versions`)]);
      tellDone(`Version ${version.number} is on air. Callers hear it from now on.`);
    } catch (error) {
      tellProblem(wordsOf(error));
    } finally {
      setBusy(false);
    }
  };
  return (
    <Flex mt="5" gap="3" align="center">
      <Button
        colorPalette="petrol"
        disabled={faults > 0}
        loading={isBusy}
        loadingText="Putting it on air"
        onClick={() => void putOnAir()}
      >
        Put on air now
      </Button>
      {faults > 0 && <Text color="quiet">Mend the faults first; the draft is kept meanwhile.</Text>}
    </Flex>
  );
}

function Versions() {
  const { line } = useDraftTools();
  const { data: versions = [] } = useVersions(line.id);
  const { mutate } = useSWRConfig();
  const now = useNow(60_000);
  const putBack = async ({ id, number }: Version): Promise<void> => {
    try {
      await api(`/api/lines/${line.id}/versions/${id}/put-back`, { method: 'POST' });
      await Promise.all([mutate('/api/lines'), mutate(`/api/lines/${line.id}/versions`)]);
      tellDone(`Version ${number} is back on air. The draft stays as it is.`);
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  return (
    <>
      <Title>Versions</Title>
      {versions.length === 0 && <Text color="quiet">None yet. Each time something goes on air, it is kept here.</Text>}
      <Box as="ul" listStyleType="none">
        {versions.map((version) => (
          <Flex
            as="li"
            key={version.id}
            gap="3"
            py="2"
            minH="11"
            align="center"
            borderTopWidth="1px"
            borderColor="hairline"
          >
            <Lamp isOn={version.onAir} />
            <Text>
              Version <span style={{ fontVariantNumeric: 'tabular-nums' }}>{version.number}</span>
            </Text>
            <Text color="quiet">
              {version.onAir ? 'on air since ' : 'last put on air '}
              {showWhen(version.onAirAt, line.timeZone, now)}
            </Text>
            {!version.onAir && (
              <Button size="xs" variant="outline" ml="auto" onClick={() => void putBack(version)}>
                Put back on air
              </Button>
            )}
          </Flex>
        ))}
      </Box>
    </>
  );
}
