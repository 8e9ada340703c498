import { Box, Button, Flex, Text } from '@chakra-ui/react';
import type { Member, PersonId, Rota } from '@locutor/core/directory';
import { readDate, showDate, type DayNumber } from '@locutor/core/hours';
import { swapDays, withoutSwaps, type Duty } from '@locutor/core/rota';
import { ArrowLeftRight, Undo2 } from 'lucide-react';
import { useState } from 'react';
import { DateField } from '../../parts/DateField';
import { InlineSelect } from '../../parts/InlineSelect';
import { showMinutes } from '../../parts/time';
import { showDay } from '../hours/specialWords';

interface Props {
  readonly of: string;
  readonly rota: Rota;
  readonly members: readonly Member[];
  readonly duties: readonly Duty[];
  /** The day whose duty runs now. */
  readonly today: DayNumber;
  readonly nameOf: (id: PersonId) => string;
  readonly onChange: (rota: Rota) => void;
}

const shownFirst = 6;

/** Who is on call from when until when, each with a way to let somebody else stand in. */
export function DutyList({ of, rota, members, duties, today, nameOf, onChange }: Props) {
  const [swapped, setSwapped] = useState<DayNumber | null>(null);
  const [isWhole, setWhole] = useState(false);
  const time = showMinutes(rota.handoverMin);
  if (duties.length === 0) return <Text color="quiet">Nobody yet.</Text>;
  return (
    <Box as="ol" aria-label={`On call in ${of}`} listStyleType="none">
      {(isWhole ? duties : duties.slice(0, shownFirst)).map((duty) => (
        <Box as="li" key={duty.from} borderBottomWidth="1px" borderColor="hairline" py="1">
          <Flex gap="3" align="center" wrap="wrap">
            <Text w={{ md: '260px' }} flexShrink="0" color="quiet">
              {whenOf(duty, today, time)}
            </Text>
            <Text flex="1" minW="0" fontWeight={duty.from <= today ? 600 : undefined}>
              {nameOf(duty.personId)}
              {duty.insteadOf && (
                <Text as="span" color="quiet" fontWeight="400">
                  , instead of {nameOf(duty.insteadOf)}
                </Text>
              )}
            </Text>
            {duty.insteadOf ? (
              <Button
                size="2xs"
                variant="ghost"
                colorPalette="petrol"
                aria-label={`Take the swap from ${showDay(duty.from)} back`}
                onClick={() => onChange(withoutSwaps(rota, daysOf(duty)))}
              >
                <Undo2 size={12} aria-hidden /> Take the swap back
              </Button>
            ) : (
              <Button
                size="2xs"
                variant="ghost"
                colorPalette="petrol"
                aria-label={`Swap from ${showDay(duty.from)}`}
                aria-expanded={swapped === duty.from}
                onClick={() => setSwapped(swapped === duty.from ? null : duty.from)}
              >
                <ArrowLeftRight size={12} aria-hidden /> Swap
              </Button>
            )}
          </Flex>
          {swapped === duty.from && (
            <SwapForm
              of={of}
              duty={duty}
              today={today}
              time={time}
              members={members.filter(({ personId }) => personId !== duty.personId)}
              nameOf={nameOf}
              onSwap={(days, personId) => {
                onChange(swapDays(rota, days, personId));
                setSwapped(null);
              }}
            />
          )}
        </Box>
      ))}
      {duties.length > shownFirst && !isWhole && (
        <Button size="xs" variant="ghost" colorPalette="petrol" mt="1" onClick={() => setWhole(true)}>
          Show three months
        </Button>
      )}
    </Box>
  );
}

/** The end of each is where the next begins. */
function whenOf({ from, until }: Duty, today: DayNumber, time: string): string {
  if (from > today) return `From ${showDay(from)}, ${time}`;
  return until === null ? 'From now on' : `Now, until ${showDay(until)}, ${time}`;
}

/** A duty that nothing ends is swapped for a week at first. */
const usualDays = 7;

function daysOf({ from, until }: Duty): { from: DayNumber; to: DayNumber } {
  return { from, to: (until ?? from + usualDays) - 1 };
}

interface SwapProps extends Pick<Props, 'of' | 'members' | 'nameOf' | 'today'> {
  readonly duty: Duty;
  /** When each day of it begins and the one before ends. */
  readonly time: string;
  readonly onSwap: (days: { from: DayNumber; to: DayNumber }, personId: PersonId) => void;
}

const mostDays = 92;

function SwapForm({ of, duty, time, today, members, nameOf, onSwap }: SwapProps) {
  const usual = daysOf(duty);
  const [personId, setPersonId] = useState('');
  const [from, setFrom] = useState(() => showDate(Math.max(usual.from, today)));
  const [to, setTo] = useState(() => showDate(usual.to));
  const days = { from: readDate(from) ?? NaN, to: readDate(to) ?? NaN };
  const isRight = days.to >= days.from && days.to - days.from < mostDays;
  if (members.length === 0) return <Text fontSize="13px">Nobody else is in {of}. Add a member first.</Text>;
  return (
    <Box lineHeight="2.2" ps="3" borderInlineStartWidth="2px" borderColor="petrol.emphasized" my="1">
      <InlineSelect
        label="Who is on call instead"
        value={personId}
        toChoose="whom?"
        choices={members.map((member) => ({ value: member.personId, label: nameOf(member.personId) }))}
        onChange={setPersonId}
      />{' '}
      is on call instead, from <DateField label="First day of the swap" value={from} onChange={setFrom} /> to{' '}
      <DateField label="Last day of the swap" value={to} onChange={setTo} />, until {time} of the day after.{' '}
      <Button
        size="xs"
        colorPalette="petrol"
        disabled={!isRight || personId === ''}
        onClick={() => onSwap(days, personId as PersonId)}
      >
        Swap
      </Button>
      {!isRight && (
        <Text role="alert" fontSize="13px" lineHeight="1.5">
          The last day must not be before the first, nor more than three months after it.
        </Text>
      )}
    </Box>
  );
}
