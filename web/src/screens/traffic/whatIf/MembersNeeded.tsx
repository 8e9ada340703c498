import { Box, Button, chakra, Flex, Text } from '@chakra-ui/react';
import type { CallScript } from '@locutor/core/call';
import type { GroupId, QueueId } from '@locutor/core/directory';
import type { DayNumber, DayRange } from '@locutor/core/hours';
import { said, saidWeekday, sayHourOf, waitingWith, type TableCell } from '@locutor/core/traffic';
import { membersNeeded, type LoggedCaller, type NeededHour } from '@locutor/core/whatIf';
import { useMemo, useState } from 'react';
import { InlineNumber } from '../../../parts/InlineNumber';
import { InlineSelect } from '../../../parts/InlineSelect';
import { hourCell, userDial } from '../../../parts/time';
import { usePlayedHour } from '../../../workers/useWhatIf';
import { SaveCsv } from '../SaveCsv';
import { useAddress } from '../useAddress';
import { WeekHours, type CellFocus } from '../WeekHours';

interface Props {
  readonly script: CallScript;
  readonly callers: readonly LoggedCaller[];
  readonly span: DayRange;
  readonly today: DayNumber;
}

const usualPercent = 80;
const usualWithinS = 20;

/** How many members a queue or group needs hour by hour, beside how many are at work. */
export function MembersNeeded({ script, callers, span, today }: Props) {
  const [address, change] = useAddress();
  const all = [...script.queues, ...script.groups];
  const busiest = useMemo(() => mostCalled(callers), [callers]);
  const chosen = all.find(({ id }) => id === address.get('for')) ?? all.find(({ id }) => id === busiest) ?? all[0];
  const percent = limited(address.get('share'), usualPercent, 1, 100);
  const withinS = limited(address.get('target'), usualWithinS, 1, 600);
  const days = useMemo(() => daysOf(callers, span, today), [callers, span, today]);
  const needed = useMemo(
    () => (chosen ? membersNeeded(script, chosen.id, callers, days, { share: percent / 100, withinS }) : []),
    [script, chosen, callers, days, percent, withinS],
  );
  const [at, setAt] = useState<number | null>(null);
  if (!chosen) return null;
  const isQueue = script.queues.some(({ id }) => id === chosen.id);
  const picked = needed.find((each) => hourOf(each) === at);
  return (
    <Box mt="4" borderTopWidth="1px" borderColor="hairline" pt="4">
      <Text asChild fontWeight="600" fontSize="16px" mb="1">
        <h2>How many members does each hour need?</h2>
      </Text>
      <Flex gap="1.5" align="center" wrap="wrap" mb="3">
        <Text>In</Text>
        <InlineSelect
          label="Group or queue"
          value={chosen.id}
          choices={all.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(id) => change({ for: id })}
        />
        <InlineNumber
          label="Percent of callers"
          value={percent}
          least={1}
          most={100}
          onChange={(value) => change({ share: String(value) })}
        />
        {isQueue ? (
          <>
            <Text>% are to be answered within</Text>
            <InlineNumber
              label="Within how many seconds of waiting"
              value={withinS}
              least={1}
              most={600}
              onChange={(value) => change({ target: String(value) })}
            />
            <Text>s of waiting.</Text>
          </>
        ) : (
          <Text>% are to find somebody free.</Text>
        )}
        {needed.length > 0 && <SaveCsv name={`members of ${chosen.name}`} rows={() => cellsOf(needed)} />}
      </Flex>
      {needed.length === 0 ? (
        <Text color="quiet">Nobody came to {chosen.name} on these days.</Text>
      ) : (
        <>
          <Text fontSize="18px" lineHeight="1.5" maxW="820px" mb="3" aria-live="polite">
            {sayNeeded(needed, chosen.name)}
          </Text>
          <WeekHours
            title={`Members that ${chosen.name} needs, and how many are at work`}
            first={Math.min(...needed.map(({ hour }) => hour))}
            last={Math.max(...needed.map(({ hour }) => hour))}
            start={hourOf(worstOf(needed) ?? needed[0])}
            cell={(hour, focus) => {
              const cell = needed.find((each) => hourOf(each) === hour);
              return cell && <Cell cell={cell} focus={focus} isPicked={hour === at} onPick={() => setAt(hour)} />;
            }}
          />
          <Text fontSize="12.5px" color="quiet" mt="1.5">
            The first number is how many are needed, the second how many are at work on average; hours that are short
            are dark. Open one to have it checked.
          </Text>
          {picked && (
            <Checked key={`${chosen.id} ${at}`} hour={picked} script={script} withinS={withinS} isQueue={isQueue} />
          )}
        </>
      )}
    </Box>
  );
}

interface CellProps {
  readonly cell: NeededHour;
  readonly focus: CellFocus;
  readonly isPicked: boolean;
  readonly onPick: () => void;
}

const Hour = chakra('button');

function Cell({ cell, focus, isPicked, onPick }: CellProps) {
  const { needed, there, isShort } = cell;
  const says = `${sayHourOf(cell, userDial)}: ${needed ?? 'more than can be'} needed, ${shown(there)} at work${isShort ? ', short' : ''}`;
  return (
    <Hour
      {...focus}
      type="button"
      title={says}
      aria-label={says}
      aria-pressed={isPicked}
      onClick={onPick}
      w="100%"
      h="36px"
      borderRadius="2px"
      fontFamily="mono"
      fontSize="12px"
      outlineOffset="-2px"
      bg={isShort ? 'petrol.solid' : 'sunk'}
      color={isShort ? 'petrol.contrast' : 'ink'}
      fontWeight={isShort ? 600 : 400}
    >
      {needed ?? '∞'}/{shown(there)}
    </Hour>
  );
}

interface CheckedProps {
  readonly hour: NeededHour;
  readonly script: CallScript;
  readonly withinS: number;
  readonly isQueue: boolean;
}

/** More members than this are not played through. */
const mostPlayed = 60;

/** One hour by the formula and, for a queue, by playing it through. */
function Checked({ hour, script, withinS, isQueue }: CheckedProps) {
  const { demand, needed, there } = hour;
  const [members, setMembers] = useState(Math.max(1, Math.min(mostPlayed, needed ?? Math.ceil(there))));
  const [wanted, setWanted] = useState(true);
  const asked = useMemo(
    () => (isQueue && wanted ? ({ type: 'hour', script, demand, members, withinS } as const) : undefined),
    [isQueue, wanted, script, demand, members, withinS],
  );
  const played = usePlayedHour(asked);
  const formula = waitingWith(demand, members);
  const share = (value: number): string => `${Math.round(100 * value)}%`;
  return (
    <Box mt="3" maxW="820px" aria-live="polite">
      <Text>
        {sayHourOf(hour, userDial)}: {demand.callsPerHour.toFixed(1)} calls in such an hour, each taking somebody up for{' '}
        {Math.round(demand.servedS)} s
        {demand.patienceS !== null &&
          `; callers wait for ${Math.round(demand.patienceS)} s on average before they give up`}
        .
      </Text>
      {isQueue && (
        <Flex gap="1.5" align="center" wrap="wrap" mt="1">
          <Text>With</Text>
          <InlineNumber
            label="Members in this hour"
            value={members}
            least={1}
            most={mostPlayed}
            onChange={(count) => {
              setMembers(count);
              setWanted(true);
            }}
          />
          <Text>
            {members === 1 ? 'member' : 'members'}, {share(formula.within(withinS))} are answered within {withinS} s by
            Erlang {demand.patienceS === null ? 'C' : 'A'};{' '}
            {played
              ? `played through 200 times it was ${share(played.within.mean)} (${share(Math.max(0, played.within.between.low))}–${share(Math.min(1, played.within.between.high))}).`
              : 'playing it through …'}
          </Text>
          {!played && wanted && (
            <Button size="xs" variant="ghost" onClick={() => setWanted(false)}>
              Cancel
            </Button>
          )}
        </Flex>
      )}
    </Box>
  );
}

function hourOf(cell: Pick<NeededHour, 'weekday' | 'hour'> | undefined): number {
  return cell ? (cell.weekday - 1) * 24 + cell.hour : 0;
}

function worstOf(needed: readonly NeededHour[]): NeededHour | undefined {
  const missing = ({ needed: count, there }: NeededHour): number => (count ?? 1000) - there;
  return needed.reduce<NeededHour | undefined>(
    (worst, each) => (each.isShort && (!worst || missing(each) > missing(worst)) ? each : worst),
    undefined,
  );
}

function sayNeeded(needed: readonly NeededHour[], name: string): string {
  const short = needed.filter(({ isShort }) => isShort);
  const worst = worstOf(needed);
  if (!worst) return `${name} has members enough in every hour in which somebody called.`;
  const hours = short.length === 1 ? 'One hour of the week is' : `${short.length} hours of the week are`;
  const most =
    worst.needed === null
      ? 'no number of members is enough'
      : `${worst.needed} are needed and ${shown(worst.there)} at work`;
  return `${hours} short, most of all ${sayHourOf(worst, userDial)}: ${most}.`;
}

function shown(there: number): string {
  return Number.isInteger(there) ? String(there) : there.toFixed(1);
}

function mostCalled(callers: readonly LoggedCaller[]): GroupId | QueueId | undefined {
  const count = new Map<GroupId | QueueId, number>();
  for (const { waits, rings } of callers) {
    const to = new Set([...waits.map(({ queueId }) => queueId), ...rings.flatMap(({ through }) => through ?? [])]);
    for (const id of to) count.set(id, (count.get(id) ?? 0) + 1);
  }
  return [...count].sort(([, one], [, other]) => other - one)[0]?.[0];
}

/** From the first day with a call to the last one of the span that has been. */
function daysOf(callers: readonly LoggedCaller[], { from, to }: DayRange, today: DayNumber): readonly DayNumber[] {
  const first = Math.max(from, callers[0]?.day ?? from);
  const last = Math.min(to, today);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, index) => first + index);
}

function limited(text: string | null, usual: number, least: number, most: number): number {
  return Math.min(most, Math.max(least, Math.round(Number(text) || usual)));
}

function cellsOf(needed: readonly NeededHour[]): readonly (readonly TableCell[])[] {
  return [
    [
      ...[said('weekday'), said('hour'), said('calls in such an hour'), said('taken up for (s)')],
      ...[said('members needed'), said('members at work'), said('short')],
    ],
    ...needed.map(({ weekday, hour, demand, needed: count, there, isShort }) => [
      saidWeekday(weekday),
      hourCell(hour),
      demand.callsPerHour.toFixed(2),
      demand.servedS.toFixed(0),
      count === null ? said('no number is enough') : String(count),
      there.toFixed(1),
      isShort ? said('yes') : '',
    ]),
  ];
}
