import { Box, Text } from '@chakra-ui/react';
import { groupLimits, groupOrders, longestName, type E164, type Group } from '@locutor/core/directory';
import { dutyDay, keepToMembers, newRota } from '@locutor/core/rota';
import { wallTime } from '@locutor/core/hours';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useGroups, type KeptGroup } from '../../api/resources';
import { useDraftTools } from '../../draft/DraftProvider';
import { InlineNumber } from '../../parts/InlineNumber';
import { InlineSelect } from '../../parts/InlineSelect';
import { InlineWords } from '../../parts/InlineWords';
import { useRowDraft } from '../../saving/useRowDraft';
import { AddRow } from './AddRow';
import { ClosedLines } from './ClosedLines';
import { Fallback } from './Fallback';
import { MembershipHead } from './MembershipHead';
import { MembershipLines, orderWords, WorkingLines } from './MembershipLines';
import { NewField } from './NewField';
import { NumberField } from './NumberField';
import { RotaLines } from './RotaLines';
import { RowChoice } from './RowChoice';

const list = '/api/groups';
const to = '/directory/groups';

/** People who are rung for the same callers. */
export function Groups() {
  const groups = useGroups();
  const { rowId } = useParams();
  const chosen = groups.find(({ id }) => id === rowId) ?? groups[0];
  return (
    <>
      {groups.length === 0 && (
        <Text py="2">No groups yet. A group rings several people for the same callers, such as the front desk.</Text>
      )}
      <RowChoice
        label="Groups"
        to={to}
        rows={groups}
        chosen={chosen}
        add={<AddGroup />}
        about={({ members, order }) => `${members.length} · ${orderWords[order]}`}
      >
        {chosen && <GroupEditor key={chosen.id} group={chosen} />}
      </RowChoice>
    </>
  );
}

function GroupEditor({ group }: { readonly group: KeptGroup }) {
  const taken = useGroups().flatMap(({ id, name }) => (id === group.id ? [] : [name]));
  const { row, change: changeRow, ...saving } = useRowDraft(list, group);
  const { line } = useDraftTools();
  const change = (changes: Partial<Group>): void => changeRow(withRota(row, changes, line.timeZone));
  return (
    <Box role="region" aria-label={`Group ${group.name}`}>
      <MembershipHead list={list} taken={taken} kind="group" row={row} saving={saving} onChange={change} />
      <MembershipLines row={row} orders={groupOrders} onChange={change}>
        ,{' '}
        <InlineSelect
          label={`Whether ${row.name} rings on`}
          value={row.inAllSeconds === null ? 'once' : 'inAll'}
          choices={[
            { value: 'once', label: 'once' },
            { value: 'inAll', label: 'again and again, in all' },
          ]}
          onChange={(value) => change({ inAllSeconds: value === 'once' ? null : groupLimits.inAllSeconds.usual })}
        />
        {row.inAllSeconds !== null && (
          <>
            {' '}
            <InlineNumber
              label={`Seconds in all of ${row.name}`}
              value={row.inAllSeconds}
              least={groupLimits.inAllSeconds.least}
              most={groupLimits.inAllSeconds.most}
              step={6}
              onChange={(inAllSeconds) => change({ inAllSeconds })}
            />{' '}
            s
          </>
        )}
      </MembershipLines>
      {row.order === 'onCall' && row.rota && (
        <RotaLines
          of={row.name}
          rowId={row.id}
          rota={row.rota}
          members={row.members}
          onChange={(rota) => change({ rota })}
        />
      )}
      <WorkingLines row={row} onChange={change} />
      <ClosedLines
        row={row}
        slotFor={(reason) => ({ type: 'groupClosed', groupId: row.id, reason })}
        onChange={change}
      />
      <Box lineHeight="1.9">
        Its direct number is{' '}
        <NumberField
          label={`Direct number of ${row.name}`}
          value={row.directNumber}
          placeholder="none"
          onChange={(number) => change({ directNumber: number as E164 | '' })}
        />
        . Colleagues dial{' '}
        <InlineWords
          label={`Speaker code of ${row.name}`}
          placeholder="no code"
          value={row.speakerCode}
          most={7}
          fontFamily="mono"
          fontSize="13px"
          minW="60px"
          onChange={(speakerCode) => change({ speakerCode: speakerCode.trim() })}
        />{' '}
        to speak to all their phones at once.
      </Box>
      <Box mt="4">
        <Fallback slot={{ type: 'group', groupId: row.id }} when="If nobody answers" of={`${row.name} unanswered`} />
        <Text color="quiet" fontSize="13px">
          For callers who dial its extension or direct number, and where the step that rings it is the last one. It is
          part of this line’s script, and goes on air with it.
        </Text>
      </Box>
    </Box>
  );
}

/** A group that is rung by a rota has one, of its members only. */
function withRota(row: Group, changes: Partial<Group>, zone: string): Partial<Group> {
  const { members, order, rota } = { ...row, ...changes };
  if (order === 'onCall' && !rota) return { ...changes, rota: newRota(members, wallTime(zone, Date.now()).day) };
  if (!changes.members || !rota) return changes;
  return { ...changes, rota: keepToMembers(rota, members, dutyDay(rota, zone, Date.now())) };
}

function AddGroup() {
  const navigate = useNavigate();
  const [name, setName] = useState('');
  return (
    <AddRow
      list={list}
      label="Add group"
      isReady={name.trim() !== ''}
      body={() => ({ name })}
      onAdded={(id) => {
        setName('');
        void navigate(`${to}/${id}`);
      }}
    >
      <NewField
        label="Name of a new group"
        placeholder="Name of the group"
        value={name}
        most={longestName}
        onChange={setName}
      />
    </AddRow>
  );
}
