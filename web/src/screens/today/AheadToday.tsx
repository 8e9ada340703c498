import { Text } from '@chakra-ui/react';
import { Link } from 'react-router';
import { ChangesList } from '../ahead/ChangesList';
import { useChangesAhead } from '../ahead/useChangesAhead';

const near = { days: 42, most: 5 } as const;

/** What changes in the weeks ahead: as long as something can still be done about it. */
export function AheadToday() {
  const changes = useChangesAhead(near.days);
  return (
    <>
      {changes.length === 0 && <Text color="quiet">Nothing is known to change in the next six weeks.</Text>}
      <ChangesList changes={changes.slice(0, near.most)} />
      <Text asChild mt="2" display="inline-block" textDecoration="underline">
        <Link to="/hours/ahead">Everything ahead</Link>
      </Text>
    </>
  );
}
