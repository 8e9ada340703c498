import { Box } from '@chakra-ui/react';
import { membershipLimits, type GroupOrder, type Membership, type OfferOrder } from '@locutor/core/directory';
import type { HoursId } from '@locutor/core/hours';
import type { ReactNode } from 'react';
import { useAllHours, usePeople } from '../../api/resources';
import { InlineNumber } from '../../parts/InlineNumber';
import { InlineSelect } from '../../parts/InlineSelect';
import { Members } from './Members';

/** How a group or a queue rings its members. */
type AnyOrder = GroupOrder | OfferOrder;

/** How members are rung, as it is said everywhere. */
export const orderWords: Readonly<Record<AnyOrder, string>> = {
  allAtOnce: 'all at once',
  inOrder: 'in order',
  takingTurns: 'taking turns',
  longestFree: 'longest free first',
  tierByTier: 'tier by tier',
  onCall: 'whoever is on call',
  pick: 'nobody: they pick a call themselves',
};

const orderNotes: Readonly<Record<AnyOrder, string>> = {
  allAtOnce: 'Everybody’s phone rings; whoever answers first has the call.',
  inOrder: 'From the top, each after the one before did not answer.',
  takingTurns: 'Each call starts after the member with whom the last one began.',
  longestFree: 'Who has been longest without a call is rung first.',
  tierByTier: 'Tier 1 together, then tier 2, and so on.',
  onCall: 'The rota below says who is rung first.',
  pick: 'Members see who waits on their desk phones and take a call when they can.',
};

interface Props<Row extends Membership & { name: string; order: AnyOrder }> {
  readonly row: Row;
  readonly orders: readonly Row['order'][];
  readonly onChange: (changes: Partial<Membership & { order: Row['order'] }>) => void;
  /** What follows in the sentence about seconds. */
  readonly children?: ReactNode;
}

/** Who answers and how they are rung: the same for groups and queues. */
export function MembershipLines<Row extends Membership & { name: string; order: AnyOrder }>(props: Props<Row>) {
  const { row, orders, onChange, children } = props;
  const people = usePeople();
  const { name, order, memberSeconds, ringsOn } = row;
  const isTogether = order === 'allAtOnce' || order === 'tierByTier';
  return (
    <>
      <Box lineHeight="1.9">
        Ring{' '}
        <InlineSelect
          label={`How ${name} rings its members`}
          value={order}
          choices={orders.map((value) => ({ value, label: orderWords[value] }))}
          onChange={(value) => {
            const chosen = orders.find((each) => each === value);
            if (chosen) onChange({ order: chosen });
          }}
        />{' '}
        {order !== 'pick' && (
          <>
            on{' '}
            <InlineSelect
              label={`On which phones ${name} rings`}
              value={ringsOn}
              choices={[
                { value: 'desk', label: 'the phones on their desks' },
                { value: 'outside', label: 'their outside phones' },
                { value: 'onCall', label: 'their phones for when they are on call' },
              ]}
              onChange={(value) => onChange({ ringsOn: value as Membership['ringsOn'] })}
            />
            ,{' '}
            <InlineNumber
              label={`Seconds per member of ${name}`}
              value={memberSeconds}
              least={membershipLimits.memberSeconds.least}
              most={membershipLimits.memberSeconds.most}
              step={6}
              onChange={(seconds) => onChange({ memberSeconds: seconds })}
            />{' '}
            s {isTogether ? 'together' : 'each'}
            {children}.
          </>
        )}
        <Box color="quiet" fontSize="13px" lineHeight="1.4" mb="2">
          {orderNotes[order]}
        </Box>
      </Box>
      <Members
        of={name}
        members={row.members}
        people={people}
        ringsOn={ringsOn}
        hasTiers={order === 'tierByTier'}
        onChange={(members) => onChange({ members })}
      />
    </>
  );
}

/** When members and the whole are left alone. */
export function WorkingLines({
  row,
  onChange,
}: {
  readonly row: Membership & { name: string };
  readonly onChange: (changes: Partial<Membership>) => void;
}) {
  const { data: hours = [] } = useAllHours();
  const { name, restSeconds, workingOnly, hoursId } = row;
  return (
    <Box lineHeight="1.9" mt="3">
      Busy members are skipped, and those who are{' '}
      <InlineSelect
        label={`Whether ${name} rings members outside their hours`}
        value={workingOnly ? 'working' : 'always'}
        choices={[
          { value: 'working', label: 'not working' },
          { value: 'always', label: 'away; their hours do not count' },
        ]}
        onChange={(value) => onChange({ workingOnly: value === 'working' })}
      />
      . After a call a member rests for{' '}
      <InlineNumber
        label={`Rest after a call of ${name}, in seconds`}
        value={restSeconds}
        {...membershipLimits.restSeconds}
        step={5}
        onChange={(seconds) => onChange({ restSeconds: seconds })}
      />{' '}
      s. It can be reached{' '}
      <InlineSelect
        label={`Hours of ${name}`}
        value={hoursId ?? 'always'}
        choices={[
          { value: 'always', label: 'whenever the script leads to it' },
          ...hours.map((each) => ({ value: each.id, label: `only in the hours “${each.name}”` })),
        ]}
        onChange={(value) => onChange({ hoursId: value === 'always' ? null : (value as HoursId) })}
      />
      .
    </Box>
  );
}
