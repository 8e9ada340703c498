import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { rotaLimits, type Member, type PersonId, type Rota } from '@locutor/core/directory';
import { weekdayName, weekdays, type Weekday } from '@locutor/core/hours';
import { changeTurns, dutiesBetween, dutyDay, withoutOldSwaps, writeRotaCalendar } from '@locutor/core/rota';
import { CalendarPlus, ChevronDown, ChevronUp, X } from 'lucide-react';
import { usePeople } from '../../api/resources';
import { useDraftTools } from '../../draft/DraftProvider';
import { DateField } from '../../parts/DateField';
import { InlineSelect } from '../../parts/InlineSelect';
import { saveFile } from '../../parts/saveFile';
import { SmallButton } from '../../parts/SmallButton';
import { TimeField } from '../../parts/TimeField';
import { useNow } from '../../parts/useNow';
import { DutyList } from './DutyList';

interface Props {
  /** What the group is called. */
  readonly of: string;
  readonly rowId: string;
  readonly rota: Rota;
  readonly members: readonly Member[];
  readonly onChange: (rota: Rota) => void;
}

const daysShown = 92;
const daysSaved = 400;

/** Whose turn it is when: the turns in their order, when the next begins, and what comes of it. */
export function RotaLines({ of, rowId, rota, members, onChange }: Props) {
  const { line } = useDraftTools();
  const people = usePeople();
  const nameOf = (personId: PersonId): string => people.find(({ id }) => id === personId)?.name ?? 'Somebody deleted';
  const zone = line.timeZone;
  const today = dutyDay(rota, zone, useNow(60_000));
  const change = (changes: Parameters<typeof changeTurns>[1]): void =>
    onChange(withoutOldSwaps(changeTurns(rota, changes, today), today));
  const save = (): void => {
    const days = { from: today, to: today + daysSaved };
    const text = writeRotaCalendar(rota, { zone, days, key: rowId }, of, nameOf, Date.now());
    saveFile(`${of.toLowerCase().replaceAll(' ', '-')}-rota.ics`, 'text/calendar', text);
  };
  return (
    <Box role="group" aria-label={`Rota of ${of}`} mt="4" pt="2" borderTopWidth="1px" borderColor="hairline">
      <Text fontWeight="600">Whose turn it is</Text>
      <Turns of={of} rota={rota} members={members} nameOf={nameOf} onChange={(turns) => change({ turns })} />
      <Box lineHeight="2" mt="1">
        The next turn begins on <Handovers of={of} rota={rota} onChange={(handoverOn) => change({ handoverOn })} /> at{' '}
        <TimeField
          label={`When turns of ${of} begin`}
          value={rota.handoverMin}
          onChange={(handoverMin) => change({ handoverMin })}
        />
        ; the first one began on{' '}
        <DateField
          label={`First day of the rota of ${of}`}
          value={rota.from}
          onChange={(from) => onChange({ ...rota, from })}
        />
        . If whoever is on call does not answer,{' '}
        <InlineSelect
          label={`Whether ${of} rings the others too`}
          value={rota.thenOthers ? 'others' : 'nobody'}
          choices={[
            { value: 'others', label: 'the others are rung, the next turn first' },
            { value: 'nobody', label: 'nobody else is rung' },
          ]}
          onChange={(value) => onChange({ ...rota, thenOthers: value === 'others' })}
        />
        .
      </Box>
      <Flex mt="3" align="center" gap="3" wrap="wrap">
        <Text fontWeight="600">On call from now on</Text>
        <Button size="xs" variant="outline" bg="sheet" onClick={save}>
          <CalendarPlus size={14} aria-hidden /> Save as a calendar
        </Button>
      </Flex>
      <DutyList
        of={of}
        rota={rota}
        members={members}
        duties={dutiesBetween(rota, today, today + daysShown)}
        today={today}
        nameOf={nameOf}
        onChange={(next) => onChange(withoutOldSwaps(next, today))}
      />
    </Box>
  );
}

interface TurnsProps extends Pick<Props, 'of' | 'rota' | 'members'> {
  readonly nameOf: (id: PersonId) => string;
  readonly onChange: (turns: readonly PersonId[]) => void;
}

function Turns({ of, rota: { turns }, members, nameOf, onChange }: TurnsProps) {
  const move = (index: number, by: number): void => {
    const next = [...turns];
    next.splice(index + by, 0, ...next.splice(index, 1));
    onChange(next);
  };
  return (
    <>
      <Box as="ol" aria-label={`Turns of ${of}`}>
        {turns.map((personId, index) => (
          <Flex as="li" key={`${personId} ${index}`} align="center" gap="1" minH="30px">
            <Text as="span" fontFamily="mono" fontSize="12.5px" color="quiet" w="20px">
              {index + 1}
            </Text>
            <Text as="span" minW="180px">
              {nameOf(personId)}
            </Text>
            <SmallButton
              label={`Move turn ${index + 1} of ${of} up`}
              icon={<ChevronUp size={13} />}
              isOff={index === 0}
              onClick={() => move(index, -1)}
            />
            <SmallButton
              label={`Move turn ${index + 1} of ${of} down`}
              icon={<ChevronDown size={13} />}
              isOff={index === turns.length - 1}
              onClick={() => move(index, 1)}
            />
            <SmallButton
              label={`Remove turn ${index + 1} of ${of}`}
              icon={<X size={13} />}
              onClick={() => onChange(turns.filter((_, at) => at !== index))}
            />
          </Flex>
        ))}
      </Box>
      {turns.length === 0 && <Text py="1">Nobody takes turns yet: members are rung in their order.</Text>}
      {members.length > 0 && turns.length < rotaLimits.turns && (
        <InlineSelect
          label={`Add a turn to ${of}`}
          value=""
          toChoose="Add a turn for…"
          choices={members.map(({ personId }) => ({ value: personId, label: nameOf(personId) }))}
          onChange={(personId) => onChange([...turns, personId as PersonId])}
        />
      )}
    </>
  );
}

interface HandoversProps extends Pick<Props, 'of' | 'rota'> {
  readonly onChange: (days: readonly number[]) => void;
}

function Handovers({ of, rota: { handoverOn }, onChange }: HandoversProps) {
  const turn = (day: Weekday): void => {
    const next = handoverOn.includes(day) ? handoverOn.filter((each) => each !== day) : [...handoverOn, day];
    if (next.length > 0) onChange([...next].sort((one, other) => one - other));
  };
  return (
    <Flex as="span" display="inline-flex" gap="1" role="group" aria-label={`Weekdays on which turns of ${of} begin`}>
      {weekdays.map((day) => (
        <Button
          key={day}
          size="2xs"
          minW="36px"
          h="26px"
          variant={handoverOn.includes(day) ? 'solid' : 'outline'}
          colorPalette={handoverOn.includes(day) ? 'petrol' : undefined}
          aria-pressed={handoverOn.includes(day)}
          aria-label={weekdayName(day)}
          onClick={() => turn(day)}
        >
          {weekdayName(day).slice(0, 3)}
        </Button>
      ))}
    </Flex>
  );
}
