import { Box, Button, Flex, Grid, Heading, Text } from '@chakra-ui/react';
import { clipIn, recordingsOf, type CallScript } from '@locutor/core/call';
import { describeSlot, pathSentence, pathsOf, type Language, type RecordedTake } from '@locutor/core/line';
import { sheetSentences } from '@locutor/core/speech';
import { Phone } from 'lucide-react';
import { Link, useParams } from 'react-router';
import { useVersion } from '../../api/resources';
import { useHandsetDock } from '../../app/handsetDock';
import { useDraftTools } from '../../draft/DraftProvider';
import { Lamp } from '../../parts/Lamp';
import { Listen } from '../../parts/Listen';
import { ScreenHead } from '../../parts/ScreenHead';
import { showWhen } from '../../parts/time';
import { useNow } from '../../parts/useNow';
import { useSpokenFacts } from '../../speech/useSpokenFacts';
import { SheetPage } from '../onAir/SheetPage';

/** A version as it was when it went on air, to be read and listened to. */
export default function OneVersion() {
  const { versionId } = useParams();
  const { line, names: namesNow } = useDraftTools();
  const version = useVersion(line.id, versionId);
  const now = useNow(60_000);
  const facts = useSpokenFacts();
  const dock = useHandsetDock();
  if (!version) return null;
  const { attendant, directory, takes, number } = version;
  const names = { ...namesNow, ...directory?.names };
  const takeOf = (id: RecordedTake['id']): RecordedTake | undefined => takes.find((take) => take.id === id);
  const ofTexts = directory?.recordings && recordingsOf(directory.recordings);
  const then = directory
    ? {
        ...facts,
        atMs: version.onAirAt,
        hours: directory.lineHours,
        hoursOf: (id: CallScript['hours'][number]['id']) => directory.hours.find((each) => each.id === id),
        personOf: (id: CallScript['people'][number]['id']) => directory.people.find((person) => person.id === id),
        takeOf,
        ...(ofTexts && {
          clipOf: (language: Language, words: string) => clipIn(ofTexts, takeOf, language, words),
        }),
      }
    : { ...facts, takeOf };
  const rules = pathsOf(attendant).filter(({ slot }) =>
    ['period', 'callers', 'special', 'otherwise'].includes(slot.type),
  );
  return (
    <Box pb="8">
      <ScreenHead title={`Version ${number}`}>
        <Flex align="center" gap="2" color="quiet">
          <Lamp isOn={version.onAir} />
          {version.onAir ? 'On air since' : 'Last put on air'} {showWhen(version.onAirAt, line.timeZone, now)}
        </Flex>
        <Button size="sm" variant="outline" bg="sheet" onClick={() => dock.openFor(version)}>
          <Phone size={15} aria-hidden /> Call it
        </Button>
        <Button asChild size="sm" variant="outline" bg="sheet">
          <Link to="/versions">All versions</Link>
        </Button>
      </ScreenHead>
      <Box px="6" maxW="980px">
        <Text color="quiet">As it was, with its voices and recordings as they were. It cannot be changed.</Text>
        <Heading as="h2" fontSize="15px" fontWeight="600" mt="4" mb="1">
          What answers when
        </Heading>
        {rules.map(({ slot, path }, index) => {
          const where = describeSlot(slot, attendant, names);
          return (
            <Text key={index} py="0.5">
              {where.charAt(0).toUpperCase() + where.slice(1)}: {pathSentence(path, attendant, names)}
            </Text>
          );
        })}
        <Grid templateColumns={{ base: '1fr', lg: '1fr 1fr' }} gap="5" mt="4">
          {attendant.sheets.map((sheet) => (
            <Box key={sheet.id} bg="sheet" borderWidth="1px" borderColor="hairline" borderRadius="md" p="3" minW="0">
              <SheetPage sheet={sheet} attendant={attendant} names={names}>
                <Listen sentences={sheetSentences(sheet, attendant.voice, then)} />
              </SheetPage>
            </Box>
          ))}
        </Grid>
      </Box>
    </Box>
  );
}
