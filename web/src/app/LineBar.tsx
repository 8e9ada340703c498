import { Box, Button, Flex, Menu, Portal, Text } from '@chakra-ui/react';
import { showPhoneNumber } from '@locutor/core/directory';
import { faultsIn } from '@locutor/core/proof';
import { ChevronDown, Moon, Phone, Sun, SunMoon, TriangleAlert } from 'lucide-react';
import { useTheme } from 'next-themes';
import { Link } from 'react-router';
import { useLines, useOnAir } from '../api/resources';
import { useDraftTools } from '../draft/DraftProvider';
import { useAirFindings, useOpenFindings } from '../draft/useFindings';
import { useAirDifferences } from '../draft/useAirDifferences';
import { Lamp } from '../parts/Lamp';
import { showWhen } from '../parts/time';
import { useNow } from '../parts/useNow';
import { useSavingState } from '../saving/savers';
import { answeringNow } from './answering';
import { useHandsetDock } from './handsetDock';
import { baseOf } from './lineAt';

/** The band on top: which line, what is on air, what answers now and next. */
export function LineBar() {
  return (
    <Flex
      as="header"
      minH="14"
      px="4"
      py="1.5"
      gap={{ base: '2', lg: '6' }}
      align="center"
      wrap={{ base: 'wrap', md: 'nowrap' }}
      borderBottomWidth="1px"
      borderColor="hairline"
      bg="sheet"
      flexShrink="0"
    >
      <LineMenu />
      <OnAirSentence />
      <AirProof />
      <Flex
        ml="auto"
        gap="1.5"
        align="center"
        justify="flex-end"
        flexShrink={{ base: '1', md: '0' }}
        wrap={{ base: 'wrap', md: 'nowrap' }}
      >
        <SaveMark />
        <ProofButton />
        <HandsetButton />
        <PutOnAirButton />
        <ColourButton />
      </Flex>
    </Flex>
  );
}

/** The line being worked on; opens the list of all of them. */
function LineMenu() {
  const { line, store } = useDraftTools();
  const { data: lines = [] } = useLines();
  // Another line is another page: what is typed here is saved before it is left.
  const go = (to: string): void => void store.saveNow().finally(() => window.location.assign(to));
  return (
    <Menu.Root>
      <Menu.Trigger asChild>
        <Button
          variant="ghost"
          h="auto"
          px="2"
          py="1"
          ml="-2"
          flexShrink="0"
          justifyContent="flex-start"
          aria-label={`Line ${line.name}; other lines`}
        >
          <Box textAlign="left">
            <Text fontWeight="600" lineHeight="1.2">
              {line.name}
            </Text>
            <Text fontFamily="mono" fontSize="12px" color="quiet" fontWeight="400">
              {showPhoneNumber(line.number)}
            </Text>
          </Box>
          <ChevronDown size={14} aria-hidden />
        </Button>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content minW="260px">
            {lines.map((each) => (
              <Menu.Item
                key={each.id}
                value={each.id}
                onSelect={() => each.id !== line.id && go(`${baseOf(each, lines)}/today`)}
              >
                <Lamp isOn={Boolean(each.onAirVersionId)} /> {each.name}
                <Menu.ItemCommand fontFamily="mono">{showPhoneNumber(each.number)}</Menu.ItemCommand>
              </Menu.Item>
            ))}
            <Menu.Separator />
            <Menu.Item value="lines" asChild>
              <Link to="/lines">Lines: names, numbers, add one</Link>
            </Menu.Item>
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}

function OnAirSentence() {
  const { line, hours, names, switched } = useDraftTools();
  const onAir = useOnAir(line);
  const now = useNow(15_000, switched?.fromMs);
  const answering = onAir && answeringNow(onAir.attendant, hours, line.timeZone, names, now, switched);
  return (
    <Flex asChild align="center" gap="2" minW="0" borderRadius="md" px="2" py="1" _hover={{ bg: 'sunk' }}>
      <Link to="/on-air" title="What is on air, and earlier versions">
        <Lamp isOn={Boolean(answering)} />
        <Text as="span" lineClamp="2">
          {!answering && (line.onAirVersionId ? 'On air' : 'Nothing is on air yet')}
          {answering && (
            <>
              On air: <b>{answering.name}</b>
              {answering.answer.type === 'switch' && ', by the switch'}
              {answering.next
                ? `, until ${showWhen(answering.next.atMs, line.timeZone, now)}, then ${answering.next.name}`
                : ', at all times'}
            </>
          )}
        </Text>
      </Link>
    </Flex>
  );
}

/** What is not right any more in what callers hear now; nothing where all is. */
function AirProof() {
  const count = useAirFindings().length;
  if (count === 0) return null;
  return (
    <Flex
      asChild
      align="center"
      gap="1.5"
      fontWeight="600"
      flexShrink="0"
      px="2"
      py="1"
      borderRadius="md"
      _hover={{ bg: 'sunk' }}
    >
      <Link to="/proof#on-air">
        <TriangleAlert size={14} aria-hidden /> {count === 1 ? 'One thing on air' : `${count} things on air`} to look at
      </Link>
    </Flex>
  );
}

const savingWords = {
  saved: 'Saved',
  saving: 'Saving …',
  unreachable: 'Not saved yet',
  refused: 'Not saved',
  clash: 'Not saved',
} as const;

function SaveMark() {
  const { worst } = useSavingState();
  return (
    <Text role="status" color="quiet" fontSize="13px" minW="60px" textAlign="right">
      {savingWords[worst]}
    </Text>
  );
}

function ProofButton() {
  const findings = useOpenFindings();
  const faults = faultsIn(findings).length;
  const cautions = findings.filter(({ grade }) => grade === 'caution').length;
  const tips = findings.length - faults - cautions;
  return (
    <Button asChild size="sm" variant="ghost">
      <Link to="/proof">
        Proof{' '}
        <Box as="span" fontFamily="mono" color={faults > 0 ? 'ink' : 'quiet'}>
          {proofWords(faults, cautions, tips)}
        </Box>
      </Link>
    </Button>
  );
}

/** How much is still to be looked at, the gravest of it. */
function proofWords(faults: number, cautions: number, tips: number): string {
  const count = (of: number, word: string): string => `${of} ${of === 1 ? word : `${word}s`}`;
  if (faults > 0) return count(faults, 'fault');
  if (cautions > 0) return count(cautions, 'caution');
  return tips > 0 ? count(tips, 'tip') : 'clean';
}

function HandsetButton() {
  const { isOpen, setOpen } = useHandsetDock();
  return (
    <Button size="sm" variant={isOpen ? 'subtle' : 'outline'} aria-pressed={isOpen} onClick={() => setOpen(!isOpen)}>
      <Phone size={15} aria-hidden /> Handset
    </Button>
  );
}

function PutOnAirButton() {
  const differences = useAirDifferences();
  if (differences === 'same') return null;
  return (
    <Button asChild size="sm" colorPalette="petrol">
      <Link to="/on-air">Put on air</Link>
    </Button>
  );
}

const nextTheme = { system: 'light', light: 'dark', dark: 'system' } as const;
const themeIcons = { system: SunMoon, light: Sun, dark: Moon } as const;

function ColourButton() {
  const { theme = 'system', setTheme } = useTheme();
  const now = theme as keyof typeof nextTheme;
  const Icon = themeIcons[now];
  const label = `Colours: ${now === 'system' ? 'as the computer’s' : now}. Change to ${nextTheme[now]}`;
  return (
    <Button size="sm" variant="ghost" px="2" aria-label={label} title={label} onClick={() => setTheme(nextTheme[now])}>
      <Icon size={16} aria-hidden />
    </Button>
  );
}
