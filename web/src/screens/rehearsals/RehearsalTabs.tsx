import { Button, Flex } from '@chakra-ui/react';
import { NavLink } from 'react-router';

/** Rehearsals and every path are two faces of the same: calls that were thought through. */
export function RehearsalTabs() {
  return (
    <Flex gap="1" as="nav" aria-label="Rehearsals and paths">
      {[
        { to: '/rehearsals', name: 'Rehearsals', end: true },
        { to: '/rehearsals/paths', name: 'Every path', end: false },
      ].map(({ to, name, end }) => (
        <Button
          key={to}
          asChild
          size="sm"
          variant="ghost"
          css={{ '&.active': { bg: 'petrol.subtle', color: 'petrol.fg' } }}
        >
          <NavLink to={to} end={end}>
            {name}
          </NavLink>
        </Button>
      ))}
    </Flex>
  );
}
