import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import {
  adviseOn,
  consequences,
  consequenceWords,
  describeFinding,
  grades,
  whyItMatters,
  type Finding,
  type Grade,
} from '@locutor/core/proof';
import { useState } from 'react';
import { Link } from 'react-router';
import { useAccepted, useOnAir } from '../../api/resources';
import { useDraft } from '../../draft/DraftProvider';
import { useAirFindings, useFindings, useOpenFindings } from '../../draft/useFindings';
import { AcceptedWords, AcceptFinding } from '../../parts/AcceptFinding';
import { FixButton } from '../../parts/FixButton';
import { ScreenHead } from '../../parts/ScreenHead';
import { FindingLine } from './FindingLine';

/** What the proof finds, by what comes of it for callers; settled things at the end. */
export default function Proof() {
  const { line } = useDraft();
  const open = useOpenFindings();
  const all = useFindings();
  const accepted = useAccepted(line.id);
  const settled = all.flatMap((finding) => {
    const yes = accepted.find(({ key }) => key === finding.key);
    return yes && finding.grade !== 'fault' ? [{ finding, yes }] : [];
  });
  const [shown, setShown] = useState<Grade | 'all'>('all');
  const listed = open.filter(({ grade }) => shown === 'all' || grade === shown);
  const count = (grade: Grade): number => open.filter((finding) => finding.grade === grade).length;
  return (
    <Box pb="8">
      <ScreenHead title="Proof">
        <Flex gap="1" role="group" aria-label="Which findings are listed">
          <Choice name={`All ${open.length}`} isOn={shown === 'all'} onChoose={() => setShown('all')} />
          <Choice name={`Faults ${count('fault')}`} isOn={shown === 'fault'} onChoose={() => setShown('fault')} />
          <Choice
            name={`Cautions ${count('caution')}`}
            isOn={shown === 'caution'}
            onChoose={() => setShown('caution')}
          />
          <Choice name={`Tips ${count('tip')}`} isOn={shown === 'tip'} onChoose={() => setShown('tip')} />
        </Flex>
        <Button asChild size="sm" variant="outline" bg="sheet">
          <Link to="/on-air">Put on air …</Link>
        </Button>
      </ScreenHead>
      <Box px="6" maxW="900px">
        <Text color="quiet">
          The draft is read as you write. A fault stops it from going on air; a caution needs your yes; a tip can be
          silenced.
        </Text>
        <OnAir />
        {open.length === 0 && (
          <Text mt="6" fontSize="16px">
            Nothing to find: every path ends, somebody can be reached, and the words say what is so.
          </Text>
        )}
        {sectionsOf(listed).map(({ consequence, here }) => (
          <Box as="section" key={consequence} aria-label={consequenceWords[consequence]}>
            <Heading as="h2" fontSize="15px" fontWeight="600" mt="6" mb="1">
              {consequenceWords[consequence]}
            </Heading>
            <Box as="ul" listStyleType="none">
              {here.map((finding) => (
                <FindingRow key={finding.key} finding={finding} />
              ))}
            </Box>
          </Box>
        ))}
        {settled.length > 0 && <Settled settled={settled} />}
      </Box>
    </Box>
  );
}

/** Findings by what comes of them; what has the gravest comes first. */
function sectionsOf(findings: readonly Finding[]) {
  const gravest = (of: readonly Finding[]): number => Math.min(...of.map(({ grade }) => grades.indexOf(grade)));
  return consequences
    .map((consequence) => ({ consequence, here: findings.filter((each) => each.consequence === consequence) }))
    .filter(({ here }) => here.length > 0)
    .sort((one, other) => gravest(one.here) - gravest(other.here));
}

function Choice({
  name,
  isOn,
  onChoose,
}: {
  readonly name: string;
  readonly isOn: boolean;
  readonly onChoose: () => void;
}) {
  return (
    <Button
      size="xs"
      variant={isOn ? 'subtle' : 'ghost'}
      colorPalette={isOn ? 'petrol' : 'gray'}
      aria-pressed={isOn}
      onClick={onChoose}
    >
      {name}
    </Button>
  );
}

/** What callers hear now, read the same way: what was right when it went on air may not be any more. */
function OnAir() {
  const { line, names } = useDraft();
  const onAir = useOnAir(line);
  const findings = useAirFindings();
  if (!onAir || findings.length === 0) return null;
  return (
    <Box as="section" id="on-air" aria-label="What callers hear now">
      <Heading as="h2" fontSize="15px" fontWeight="600" mt="6" mb="1">
        What callers hear now
      </Heading>
      <Text color="quiet" fontSize="13px">
        This is on air, read with the directory, the hours and the switch as they are now. Mend it there, or in the
        draft and put that on air; until then{' '}
        <Text asChild textDecoration="underline">
          <Link to="/today">the switch</Link>
        </Text>{' '}
        can answer.
      </Text>
      <Box as="ul" listStyleType="none">
        {findings.map((finding) => (
          <FindingLine
            key={finding.key}
            grade={finding.grade}
            at={finding.at}
            says={describeFinding(finding, onAir.attendant, names)}
            why={`${whyItMatters(finding.rule)} ${adviseOn(finding)}`}
          >
            {finding.rowFix && <FixButton finding={{ rowFix: finding.rowFix }} />}
          </FindingLine>
        ))}
      </Box>
    </Box>
  );
}

/** What was found, why it matters, what to do, and the next click. */
export function FindingRow({ finding }: { readonly finding: Finding }) {
  const { attendant, names } = useDraft();
  const { grade, rule, key } = finding;
  return (
    <FindingLine
      grade={grade}
      at={finding.at}
      says={describeFinding(finding, attendant, names)}
      why={whyItMatters(rule)}
    >
      {adviseOn(finding)} <FixButton finding={finding} />
      {grade !== 'fault' && <AcceptFinding accepts={key} grade={grade} />}
    </FindingLine>
  );
}

function Settled({
  settled,
}: {
  readonly settled: readonly { readonly finding: Finding; readonly yes: { key: string; reason: string; by: string } }[];
}) {
  const { attendant, names } = useDraft();
  return (
    <Box as="section" aria-label="Settled">
      <Heading as="h2" fontSize="15px" fontWeight="600" mt="8" mb="1">
        Settled
      </Heading>
      <Box as="ul" listStyleType="none">
        {settled.map(({ finding, yes }) => (
          <Box as="li" key={finding.key} py="2" borderTopWidth="1px" borderColor="hairline">
            <Text>{describeFinding(finding, attendant, names)}</Text>
            <AcceptedWords accepted={yes} />
          </Box>
        ))}
      </Box>
    </Box>
  );
}
