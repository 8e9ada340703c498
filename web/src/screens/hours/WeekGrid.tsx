import { Box, Button, Flex, Heading, IconButton, Input, Text } from '@chakra-ui/react';
import {
  addPeriod,
  longestPeriodName,
  periodId as periodIds,
  removePeriod,
  renamePeriod,
  setAlways,
  weekdays,
  type Hours,
  type Period,
  type PeriodId,
} from '@locutor/core/hours';
import { Clock, Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { tellDone } from '../../parts/notices';
import { newId } from '../../parts/newId';
import { textureOf } from '../../parts/textures';
import { DayRow, hourMarks } from './DayRow';

interface Props {
  /** Whose week it is. */
  readonly title: string;
  readonly hours: Hours;
  readonly periodId: PeriodId | undefined;
  readonly onChoose: (periodId: PeriodId) => void;
  readonly onChange: (next: Hours) => Promise<boolean>;
}

/** The regular week: a bar a day to paint the chosen period on, and its exact times to type. */
export function WeekGrid({ title, hours, periodId, onChoose, onChange }: Props) {
  const chosen = hours.periods.find((period) => period.id === periodId);
  const add = (): void => {
    const id = newId(periodIds);
    const names = new Set(hours.periods.map((period) => period.name));
    const name = ['Open', 'Lunch', 'Evening'].find((each) => !names.has(each)) ?? `Period ${hours.periods.length + 1}`;
    onChoose(id);
    void onChange(addPeriod(hours, { id, name }));
  };
  const always = async ({ id, name }: Period): Promise<void> => {
    const before = hours;
    if (await onChange(setAlways(hours, id))) {
      tellDone(`${name} runs around the clock, every day.`, () => void onChange(before));
    }
  };
  const remove = async (): Promise<void> => {
    if (!chosen) return;
    const before = hours;
    if (await onChange(removePeriod(hours, chosen.id))) {
      tellDone(`${chosen.name} was removed.`, () => void onChange(before));
    }
  };
  return (
    <Box mt="5">
      <Heading as="h2" fontSize="15px" fontWeight="600">
        {title}
      </Heading>
      <Flex gap="1.5" mt="2" wrap="wrap" align="center" role="group" aria-label="Periods">
        {hours.periods.map((period) => (
          <Button
            key={period.id}
            size="sm"
            variant="outline"
            borderColor={period.id === periodId ? 'petrol.solid' : 'hairline'}
            borderWidth={period.id === periodId ? '2px' : '1px'}
            aria-pressed={period.id === periodId}
            onClick={() => onChoose(period.id)}
          >
            <Box w="18px" h="14px" borderRadius="3px" {...textureOf(hours.periods, period.id)} aria-hidden />
            {period.name}
          </Button>
        ))}
        <Button size="sm" variant="ghost" onClick={add}>
          <Plus size={14} aria-hidden /> Period
        </Button>
        {chosen && (
          <Button size="sm" variant="ghost" onClick={() => void always(chosen)}>
            <Clock size={14} aria-hidden /> Always {chosen.name}
          </Button>
        )}
        {chosen && (
          <Flex ml="auto" gap="1" align="center">
            <Text color="quiet" fontSize="13px">
              Name
            </Text>
            <PeriodName
              key={chosen.id}
              name={chosen.name}
              onRename={(name) => onChange(renamePeriod(hours, chosen.id, name))}
            />
            <IconButton
              size="sm"
              variant="ghost"
              aria-label={`Remove ${chosen.name}`}
              title={`Remove ${chosen.name}`}
              onClick={() => void remove()}
            >
              <Trash2 size={15} />
            </IconButton>
          </Flex>
        )}
      </Flex>
      {chosen ? (
        <>
          <Flex mt="3" gap="3" fontSize="11px" color="quiet" fontFamily="mono" aria-hidden>
            <Box w="84px" flexShrink="0" />
            <Box flex="1" position="relative" h="16px">
              {hourMarks.map((hour) => (
                <Box key={hour} position="absolute" left={`${(hour / 24) * 100}%`} transform="translateX(-50%)">
                  {hour}
                </Box>
              ))}
            </Box>
            <Box w="200px" flexShrink="0" fontFamily="body">
              {chosen.name}, exactly
            </Box>
            <Box w="24px" flexShrink="0" />
          </Flex>
          {weekdays.map((day) => (
            <DayRow key={day} day={day} hours={hours} period={chosen} onChange={onChange} />
          ))}
          <Text fontSize="13px" color="quiet" mt="2">
            Drag along a day to paint {chosen.name}; drag over painted time to clear it. Or type times, like “8-12,
            1pm-5:30” or “22:00-2:00” past midnight.
          </Text>
        </>
      ) : (
        <Text mt="3">No periods yet: the line answers the same way at all times. Add one, such as Open.</Text>
      )}
    </Box>
  );
}

function PeriodName({
  name,
  onRename,
}: {
  readonly name: string;
  readonly onRename: (name: string) => Promise<boolean>;
}) {
  const [typed, setTyped] = useState(name);
  const keep = async (): Promise<void> => {
    const wanted = typed.trim();
    if (wanted === name) return;
    if (!wanted || !(await onRename(wanted))) setTyped(name);
  };
  return (
    <Input
      size="sm"
      w="150px"
      aria-label="Name of the period"
      value={typed}
      maxLength={longestPeriodName}
      onChange={(event) => setTyped(event.currentTarget.value)}
      onBlur={() => void keep()}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
}
