import { Box, Text } from '@chakra-ui/react';
import type { Group, PersonId } from '@locutor/core/directory';
import { dutiesBetween, dutyDay } from '@locutor/core/rota';
import { Link } from 'react-router';
import { useGroups, usePeople } from '../../api/resources';
import { useDraftTools } from '../../draft/DraftProvider';
import { showMinutes } from '../../parts/time';
import { useNow } from '../../parts/useNow';
import { showDay } from '../hours/specialWords';

/** The groups that ring whoever is on call. */
export function useOnCallGroups(): readonly Group[] {
  return useGroups().filter(({ order, rota }) => order === 'onCall' && rota);
}

/** Who is on call in each such group, until when, and who is next. */
export function OnCallToday({ groups }: { readonly groups: readonly Group[] }) {
  return (
    <Box as="ul" listStyleType="none" aria-label="On call">
      {groups.map((group) => (
        <Box as="li" key={group.id} py="1">
          <Text asChild _hover={{ textDecoration: 'underline' }}>
            <Link to={`/directory/groups/${group.id}`}>
              <OnCallNow group={group} />
            </Link>
          </Text>
        </Box>
      ))}
    </Box>
  );
}

const farthestDays = 62;

function OnCallNow({ group: { name, rota } }: { readonly group: Group }) {
  const { line } = useDraftTools();
  const people = usePeople();
  const now = useNow(60_000);
  const nameOf = (personId: PersonId): string => people.find(({ id }) => id === personId)?.name ?? 'Somebody deleted';
  if (!rota) return null;
  const today = dutyDay(rota, line.timeZone, now);
  const [first, next] = dutiesBetween(rota, today, today + farthestDays);
  if (!first || first.from > today) return <>{name}: nobody yet.</>;
  const until = first.until === null ? '' : ` until ${showDay(first.until)}, ${showMinutes(rota.handoverMin)}`;
  return (
    <>
      {name}: <b>{nameOf(first.personId)}</b>
      {first.insteadOf && ` instead of ${nameOf(first.insteadOf)}`}
      {until}
      {next && `, then ${nameOf(next.personId)}`}.
    </>
  );
}
