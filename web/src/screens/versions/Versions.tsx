import { Box, Button, chakra, Flex, Heading, Text } from '@chakra-ui/react';
import { useState } from 'react';
import { Link } from 'react-router';
import { useVersion, useVersions, type Airing, type Version, type WholeVersion } from '../../api/resources';
import { useDraft, useDraftTools } from '../../draft/DraftProvider';
import { InlineSelect } from '../../parts/InlineSelect';
import { Lamp } from '../../parts/Lamp';
import { ScreenHead } from '../../parts/ScreenHead';
import { showWhen } from '../../parts/time';
import { useNow } from '../../parts/useNow';
import { TwoVersions, type Side } from '../onAir/TwoVersions';

/** Everything that was ever on air: when, by whom and why; any two compared, any one looked at, put back or exported. */
export default function Versions() {
  const { line } = useDraftTools();
  const { data: versions = [] } = useVersions(line.id);
  return (
    <Box pb="8">
      <ScreenHead title="Versions">
        <Button asChild size="sm" variant="outline" bg="sheet">
          <Link to="/on-air">Put on air …</Link>
        </Button>
      </ScreenHead>
      <Box px="6" maxW="980px">
        {versions.length === 0 && (
          <Text color="quiet">None yet. Each time something goes on air, it is kept here as it was.</Text>
        )}
        <Box as="ul" listStyleType="none">
          {versions.map((version) => (
            <Row key={version.id} version={version} />
          ))}
        </Box>
        {versions.length > 0 && <Compare versions={versions} />}
      </Box>
    </Box>
  );
}

function Row({ version }: { readonly version: Version }) {
  const { line } = useDraftTools();
  const now = useNow(60_000);
  const { id, number, onAir, airings, onAirAt } = version;
  return (
    <Flex
      as="li"
      gap="3"
      py="2.5"
      align="flex-start"
      borderTopWidth="1px"
      borderColor="hairline"
      aria-label={`Version ${number}`}
    >
      <Flex pt="1.5">
        <Lamp isOn={onAir} />
      </Flex>
      <Box flex="1" minW="0">
        <Text fontWeight="500">
          Version <span style={{ fontVariantNumeric: 'tabular-nums' }}>{number}</span>
          <Text as="span" color="quiet" fontWeight="400">
            {onAir ? ', on air since ' : ', last put on air '}
            {showWhen(onAirAt, line.timeZone, now)}
          </Text>
        </Text>
        {airings.map((airing) => (
          <Text key={airing.at} fontSize="13px" color="quiet">
            {showWhen(airing.at, line.timeZone, now)}: {howWords[airing.how]}
            {airing.by && ` by ${airing.by}`}
            {airing.note && `, “${airing.note}”`}
          </Text>
        ))}
      </Box>
      <Flex gap="1" wrap="wrap" justify="flex-end">
        <Button asChild size="xs" variant="ghost">
          <Link to={`/versions/${id}`}>Look at it</Link>
        </Button>
        <Button asChild size="xs" variant="ghost">
          <Link to={`/first-calls/${id}`}>First calls</Link>
        </Button>
        <Button asChild size="xs" variant="ghost">
          <a href={`/api/lines/${line.id}/versions/${id}/export`} download>
            Export
          </a>
        </Button>
        {!onAir && (
          <Button asChild size="xs" variant="outline" bg="sheet">
            <Link to={`/versions/${id}/put-back`}>Put back on air …</Link>
          </Button>
        )}
      </Flex>
    </Flex>
  );
}

const howWords: Readonly<Record<Airing['how'], string>> = {
  now: 'put on air',
  planned: 'put on air as planned',
  putBack: 'put back on air',
  putBackPlanned: 'put back on air as planned',
};

const draftSide = 'draft';

/** What is not the same in any two versions, or in one and the draft. */
function Compare({ versions }: { readonly versions: readonly Version[] }) {
  const { line, attendant, names } = useDraft();
  const [latest, earlier] = versions;
  const [beforeId, setBefore] = useState(earlier?.id ?? latest?.id ?? '');
  const [afterId, setAfter] = useState(earlier ? (latest?.id ?? draftSide) : draftSide);
  const before = useVersion(line.id, beforeId === draftSide ? null : beforeId);
  const after = useVersion(line.id, afterId === draftSide ? null : afterId);
  const choices = [
    { value: draftSide, label: 'the draft' },
    ...versions.map(({ id, number }) => ({ value: id, label: `version ${number}` })),
  ];
  const draft: Side = { title: 'The draft', attendant, names };
  const sideOf = (id: string, version: WholeVersion | undefined): Side | undefined =>
    id === draftSide
      ? draft
      : version && {
          title: `Version ${version.number}`,
          attendant: version.attendant,
          names: { ...names, ...version.directory?.names },
        };
  const [was, is] = [sideOf(beforeId, before), sideOf(afterId, after)];
  return (
    <chakra.section aria-label="Compared" mt="8">
      <Heading as="h2" fontSize="15px" fontWeight="600" mb="1.5">
        What is not the same in{' '}
        <InlineSelect label="The one before" value={beforeId} choices={choices} onChange={setBefore} /> and{' '}
        <InlineSelect label="The one after" value={afterId} choices={choices} onChange={setAfter} />
      </Heading>
      {was && is && <TwoVersions before={was} after={is} />}
    </chakra.section>
  );
}
