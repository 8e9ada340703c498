import { Box, Flex } from '@chakra-ui/react';
import { NavLink, useParams } from 'react-router';
import { ScreenHead } from '../../parts/ScreenHead';
import { Boxes } from './Boxes';
import { CallerLists } from './CallerLists';
import { Contacts } from './Contacts';
import { Extensions } from './Extensions';
import { Groups } from './Groups';
import { People } from './People';
import { Queues } from './Queues';
import { TakeIn } from './TakeIn';

const lists = [
  { list: 'people', name: 'People', Body: People },
  { list: 'groups', name: 'Groups', Body: Groups },
  { list: 'queues', name: 'Queues', Body: Queues },
  { list: 'extensions', name: 'Extensions', Body: Extensions },
  { list: 'contacts', name: 'Outside contacts', Body: Contacts },
  { list: 'boxes', name: 'Boxes', Body: Boxes },
  { list: 'callers', name: 'Lists of callers', Body: CallerLists },
] as const;

/** Who and what a call can reach. */
export default function Directory() {
  const { list } = useParams();
  const Body = list === 'take-in' ? TakeIn : (lists.find((each) => each.list === list)?.Body ?? People);
  return (
    <Box pb="8">
      <ScreenHead title="Directory" />
      <Box px="6" maxW="1080px">
        <Flex
          as="nav"
          aria-label="Lists of the directory"
          gap="1"
          borderBottomWidth="1px"
          borderColor="hairline"
          mb="3"
          wrap="wrap"
        >
          {lists.map((each) => (
            <Box
              key={each.list}
              asChild
              px="3"
              py="1.5"
              mb="-1px"
              borderBottomWidth="2px"
              borderColor={each.list === list ? 'petrol.solid' : 'transparent'}
              fontWeight={each.list === list ? 600 : 400}
            >
              <NavLink to={`/directory/${each.list}`}>{each.name}</NavLink>
            </Box>
          ))}
        </Flex>
        <Body />
      </Box>
    </Box>
  );
}
