import { Box, Flex, Text } from '@chakra-ui/react';
import { Link, useParams } from 'react-router';
import { useNames, usePeople } from '../api/resources';
import { DeskPanel } from './DeskPanel';
import { OwnHours } from './OwnHours';
import { PhonePage } from './PhonePage';
import { useSheetNames } from './useSheetNames';

/** Somebody's desk phone, for a window or a phone of its own; without a name, the choice of whose. */
export default function DeskPage() {
  const { personId } = useParams();
  const people = usePeople();
  const names = { ...useNames(undefined), ...useSheetNames() };
  const person = people.find(({ id }) => id === personId);
  return (
    <PhonePage title={person ? `${person.name}, ${person.extension}` : 'Desk phones'}>
      <Box px="4" py="2" overflow="auto" flex="1">
        {person ? (
          <>
            <DeskPanel personId={person.id} names={names} rings />
            {person.setsOwnHours && person.hoursId && <OwnHours person={person} hoursId={person.hoursId} />}
            <Text asChild mt="6" display="block" fontSize="13px" color="quiet" textDecoration="underline">
              <Link to="/desk">Another desk phone</Link>
            </Text>
          </>
        ) : (
          <>
            <Text color="quiet" mb="2">
              Whose phone is this?
            </Text>
            {people.map(({ id, name, extension }) => (
              <Flex key={id} asChild align="center" minH="10" borderBottomWidth="1px" borderColor="hairline">
                <Link to={`/desk/${id}`}>
                  <Text flex="1">{name}</Text>
                  <Text fontFamily="mono" fontSize="13px" color="quiet">
                    {extension}
                  </Text>
                </Link>
              </Flex>
            ))}
          </>
        )}
      </Box>
    </PhonePage>
  );
}
