import { countryOf, exampleNumber } from '@locutor/core/directory';
import { Box, Button, Flex, Heading, IconButton, Input, Text } from '@chakra-ui/react';
import { describeTimeProblem, readTime, weekdayName, weekdays, zoneNamed, type Weekday } from '@locutor/core/hours';
import { starterIds, starters, type StarterId } from '@locutor/core/line';
import { Plus, X } from 'lucide-react';
import { useState, type FormEvent, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../../api/client';
import { InlineSelect } from '../../parts/InlineSelect';

interface PersonFacts {
  readonly name: string;
  readonly extension: string;
}

const mostPeople = 8;

/** The first run: a few sentences to fill in, from which a first attendant is written. */
export default function Start() {
  const { mutate } = useSWRConfig();
  const navigate = useNavigate();
  const [name, setName] = useState('');
  const [number, setNumber] = useState('');
  const [timeZone, setTimeZone] = useState(() => Intl.DateTimeFormat().resolvedOptions().timeZone);
  const [address, setAddress] = useState('');
  const [openDays, setOpenDays] = useState<readonly Weekday[]>([1, 2, 3, 4, 5]);
  const [opens, setOpens] = useState('8:00');
  const [closes, setCloses] = useState('17:30');
  const [people, setPeople] = useState<readonly PersonFacts[]>([
    { name: '', extension: '201' },
    { name: '', extension: '202' },
  ]);
  const [operator, setOperator] = useState(0);
  const [starter, setStarter] = useState<StarterId>('people');
  const [problem, setProblem] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);

  const start = async (event: FormEvent): Promise<void> => {
    event.preventDefault();
    const [opensAt, closesAt] = [readTime(opens), readTime(closes)];
    for (const time of [opensAt, closesAt]) {
      if (!time.ok) return setProblem(time.problems.map(describeTimeProblem).join(' '));
    }
    if (!opensAt.ok || !closesAt.ok) return;
    setBusy(true);
    try {
      const named = people.filter((person) => person.name.trim() !== '');
      const body = {
        name,
        number,
        timeZone: zoneNamed(timeZone, zones) ?? timeZone,
        emergencyAddress: address,
        openDays,
        opensMin: opensAt.value,
        closesMin: closesAt.value,
        people: named,
        operator: Math.max(0, people[operator] ? named.indexOf(people[operator]) : 0),
        starter,
      };
      await api('/api/start', { method: 'POST', body });
      await mutate('/api/lines');
      await navigate('/script');
    } catch (error) {
      setProblem(wordsOf(error));
      setBusy(false);
    }
  };
  const setPerson = (index: number, changes: Partial<PersonFacts>): void =>
    setPeople(people.map((person, each) => (each === index ? { ...person, ...changes } : person)));

  const leaveOut = (index: number): void => {
    setPeople(people.filter((_, each) => each !== index));
    if (operator === index) setOperator(0);
    else if (operator > index) setOperator(operator - 1);
  };

  return (
    <Box as="main" maxW="720px" mx="auto" px="6" py="10">
      <Heading as="h1" fontSize="24px" fontWeight="600">
        Welcome to Locutor
      </Heading>
      <Text mt="1" color="quiet">
        Finish these sentences. They become a first attendant that you can call at once, and change in every word.
      </Text>
      <form onSubmit={(event) => void start(event)} onChange={() => setProblem(null)}>
        <Sentence>
          We are{' '}
          <Blank
            label="Name of the business"
            value={name}
            onChange={setName}
            width="280px"
            placeholder="name of the business"
          />
          , on the number{' '}
          <Blank
            label="Telephone number"
            value={number}
            onChange={setNumber}
            width="190px"
            placeholder={exampleNumber(countryOf({ number: '', timeZone }))}
            mono
          />
          .
        </Sentence>
        <Sentence>
          The attendant begins as{' '}
          <InlineSelect
            label="Kind of business"
            value={starter}
            choices={starterIds.map((id) => ({ value: id, label: starters[id].name.toLowerCase() }))}
            onChange={(value) => setStarter(value as StarterId)}
          />
          .{' '}
          <Text as="span" display="block" fontSize="14px" lineHeight="1.4" color="quiet">
            {starters[starter].about}
          </Text>
        </Sentence>
        <Sentence>
          We are in the time zone{' '}
          <Blank
            label="Time zone"
            value={timeZone}
            onChange={setTimeZone}
            onLeave={() => setTimeZone(zoneNamed(timeZone, zones) ?? timeZone)}
            width="210px"
            options={zones}
          />
          . Emergency services find us at{' '}
          <Blank
            label="Emergency address"
            value={address}
            onChange={setAddress}
            width="300px"
            placeholder="street and place (can wait)"
          />
          .
        </Sentence>
        <Sentence>
          We are open on <Days chosen={openDays} onChange={setOpenDays} /> from{' '}
          <Blank label="Opening time" value={opens} onChange={setOpens} width="90px" mono /> to{' '}
          <Blank label="Closing time" value={closes} onChange={setCloses} width="90px" mono />.
        </Sentence>
        <Sentence>Calls are answered by</Sentence>
        {people.map((person, index) => (
          <Flex key={index} gap="2" align="center" mt="1.5" fontSize="17px">
            <Blank
              label={`Name of person ${index + 1}`}
              value={person.name}
              onChange={(next) => setPerson(index, { name: next })}
              width="260px"
              placeholder="name"
            />
            <span>on extension</span>
            <Blank
              label={`Extension of person ${index + 1}`}
              value={person.extension}
              onChange={(extension) => setPerson(index, { extension })}
              width="80px"
              mono
            />
            {people.length > 1 && (
              <IconButton
                size="xs"
                variant="ghost"
                aria-label={`Leave out person ${index + 1}`}
                onClick={() => leaveOut(index)}
              >
                <X size={14} />
              </IconButton>
            )}
          </Flex>
        ))}
        {people.length < mostPeople && (
          <Button
            size="sm"
            variant="ghost"
            mt="1.5"
            ml="-2"
            onClick={() => setPeople([...people, { name: '', extension: String(201 + people.length) }])}
          >
            <Plus size={14} aria-hidden /> and somebody else
          </Button>
        )}
        <Sentence>
          Callers who want somebody, whoever it is, reach{' '}
          <InlineSelect
            label="Who operates the line"
            value={String(operator)}
            choices={people.map(({ name: each }, index) => ({
              value: String(index),
              label: each.trim() || `person ${index + 1}`,
            }))}
            onChange={(value) => setOperator(Number(value))}
          />
          .
        </Sentence>
        {problem && (
          <Text role="alert" mt="4" fontWeight="500">
            {problem}
          </Text>
        )}
        <Flex mt="6" align="center" gap="4">
          <Button type="submit" size="lg" colorPalette="petrol" loading={isBusy} loadingText="Writing it">
            Write my attendant
          </Button>
          <Text color="quiet">Nothing goes on air yet: you listen first.</Text>
        </Flex>
      </form>
    </Box>
  );
}

const zones = Intl.supportedValuesOf('timeZone');

function Sentence({ children }: { readonly children: ReactNode }) {
  return (
    <Box fontSize="17px" lineHeight="2.3" mt="4">
      {children}
    </Box>
  );
}

interface BlankProps {
  readonly label: string;
  readonly value: string;
  readonly width: string;
  readonly placeholder?: string;
  readonly mono?: boolean;
  readonly options?: readonly string[];
  readonly onChange: (value: string) => void;
  readonly onLeave?: () => void;
}

/** A gap in a sentence, to be filled in. */
function Blank({ label, value, width, placeholder, mono = false, options, onChange, onLeave }: BlankProps) {
  const listId = options && `choices-${label.replaceAll(' ', '-')}`;
  return (
    <>
      <Input
        aria-label={label}
        value={value}
        placeholder={placeholder}
        list={listId}
        maxLength={200}
        w={width}
        maxW="100%"
        h="9"
        px="2"
        fontSize="16px"
        fontFamily={mono ? 'mono' : undefined}
        bg="sheet"
        onChange={(event) => onChange(event.currentTarget.value)}
        onBlur={onLeave}
      />
      {options && (
        <datalist id={listId}>
          {options.map((option) => (
            <option key={option} value={option} />
          ))}
        </datalist>
      )}
    </>
  );
}

function Days({
  chosen,
  onChange,
}: {
  readonly chosen: readonly Weekday[];
  readonly onChange: (days: readonly Weekday[]) => void;
}) {
  const toggle = (day: Weekday): void =>
    onChange(chosen.includes(day) ? chosen.filter((each) => each !== day) : [...chosen, day].sort());
  return (
    <Flex display="inline-flex" gap="1" role="group" aria-label="Open days" verticalAlign="middle">
      {weekdays.map((day) => {
        const isOpen = chosen.includes(day);
        return (
          <Button
            key={day}
            size="sm"
            minW="0"
            px="2"
            variant={isOpen ? 'solid' : 'outline'}
            colorPalette="petrol"
            aria-pressed={isOpen}
            title={weekdayName(day)}
            onClick={() => toggle(day)}
          >
            {weekdayName(day).slice(0, 3)}
          </Button>
        );
      })}
    </Flex>
  );
}
