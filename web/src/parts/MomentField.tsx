import { Flex, Input, Text } from '@chakra-ui/react';
import { readDate, readTime } from '@locutor/core/hours';
import { useState } from 'react';
import { DateField } from './DateField';
import { showLongDay, showMinutes } from './time';

interface Props {
  readonly label: string;
  /** As in 2026-11-24T10:00, by the line's clock; empty where there is none. */
  readonly value: string;
  readonly onChange: (value: string) => void;
}

/** A moment by the line's clock: a day and a time, each typed as people write it. It is none until both are there. */
export function MomentField({ label, value, onChange }: Props) {
  /** What there is of it while it is none. */
  const [half, setHalf] = useState<Parts>(none);
  const [typed, setTyped] = useState<string | null>(null);
  const { day, minutes } = value === '' ? half : partsOf(value);
  const settle = (next: Parts): void => {
    const whole = next.day !== '' && next.minutes !== null ? readingOf(next.day, next.minutes) : '';
    setHalf(whole === '' ? next : none);
    onChange(whole);
  };
  const read = typed === null ? undefined : readTime(typed);
  const leave = (): void => {
    if (typed !== null && typed.trim() === '') settle({ day, minutes: null });
    setTyped(null);
  };
  const dayNumber = readDate(day);
  return (
    <Flex role="group" aria-label={label} display="inline-flex" gap="1.5" align="center" wrap="wrap">
      <DateField
        label={`${label}: date`}
        value={day}
        canBeNone
        none="date"
        inWords={false}
        onChange={(next) => settle({ day: next, minutes })}
      />
      <Input
        size="sm"
        w="84px"
        h="28px"
        bg="paper"
        placeholder="time"
        aria-label={`${label}: time`}
        aria-invalid={(read && !read.ok && typed?.trim() !== '') || undefined}
        value={typed ?? (minutes === null ? '' : showMinutes(minutes))}
        onChange={({ currentTarget }) => {
          setTyped(currentTarget.value);
          const time = readTime(currentTarget.value);
          if (time.ok) settle({ day, minutes: time.value });
        }}
        onBlur={leave}
      />
      {dayNumber !== undefined && (
        <Text as="span" color="quiet" fontSize="13px">
          {showLongDay(dayNumber)}
        </Text>
      )}
    </Flex>
  );
}

interface Parts {
  readonly day: string;
  /** After midnight. */
  readonly minutes: number | null;
}

function partsOf(reading: string): Parts {
  const [hours, minutes] = reading.slice(11).split(':').map(Number);
  return { day: reading.slice(0, 10), minutes: (hours ?? 0) * 60 + (minutes ?? 0) };
}

function readingOf(day: string, minutes: number): string {
  const two = (value: number): string => String(value).padStart(2, '0');
  return `${day}T${two(Math.floor(minutes / 60) % 24)}:${two(minutes % 60)}`;
}

const none: Parts = { day: '', minutes: null };
