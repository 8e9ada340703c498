import { Box, Flex } from '@chakra-ui/react';
import { NavLink, type To } from 'react-router';

interface Props {
  /** What they are parts of, read out. */
  readonly label: string;
  readonly tabs: readonly { readonly at: string; readonly name: string; readonly to: To }[];
  /** The one that is looked at. */
  readonly at: string;
}

/** The parts of a screen, each with an address of its own. */
export function PageTabs({ label, tabs, at: here }: Props) {
  return (
    <Flex
      as="nav"
      aria-label={label}
      gap="1"
      wrap="wrap"
      borderBottomWidth="1px"
      borderColor="hairline"
      mb="3"
      className="notPrinted"
    >
      {tabs.map(({ at, name, to }) => (
        <Box
          key={at}
          asChild
          px="2.5"
          py="1.5"
          mb="-1px"
          borderBottomWidth="2px"
          borderColor={at === here ? 'petrol.solid' : 'transparent'}
          fontWeight={at === here ? 600 : 400}
        >
          <NavLink end to={to}>
            {name}
          </NavLink>
        </Box>
      ))}
    </Flex>
  );
}
