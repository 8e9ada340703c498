import { Box, Flex } from '@chakra-ui/react';
import { NavLink, useParams } from 'react-router';
import { ScreenHead } from '../../parts/ScreenHead';
import { Boxes } from './Boxes';
import { People } from './People';

const lists = [
  { list: 'people', name: 'People' },
  { list: 'boxes', name: 'Boxes' },
] as const;

/** Who and what a call can reach. */
export default function Directory() {
  const { list } = useParams();
  return (
    <Box pb="8">
      <ScreenHead title="Directory" />
      <Box px="6" maxW="900px">
        <Flex
          as="nav"
          aria-label="Lists of the directory"
          gap="1"
          borderBottomWidth="1px"
          borderColor="hairline"
          mb="3"
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
        {list === 'boxes' ? <Boxes /> : <People />}
      </Box>
    </Box>
  );
}
