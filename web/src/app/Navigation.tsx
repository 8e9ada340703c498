import { Box, Flex } from '@chakra-ui/react';
import {
  AudioLines,
  ChartGantt,
  BookUser,
  CalendarClock,
  Drama,
  MessageSquareText,
  PhoneCall,
  ScrollText,
  Settings as SettingsIcon,
  Sun,
} from 'lucide-react';
import { NavLink } from 'react-router';
import { useMessages } from '../api/resources';

/** The screens, with the letter that follows `g` to go there. */
export const screens = [
  { to: '/today', name: 'Today', icon: Sun, letter: 't' },
  { to: '/script', name: 'Script', icon: ScrollText, letter: 's' },
  { to: '/time-map', name: 'Time map', icon: ChartGantt, letter: 'p' },
  { to: '/hours', name: 'Hours', icon: CalendarClock, letter: 'h' },
  { to: '/greetings', name: 'Greetings', icon: AudioLines, letter: 'g' },
  { to: '/directory', name: 'Directory', icon: BookUser, letter: 'd' },
  { to: '/rehearsals', name: 'Rehearsals', icon: Drama, letter: 'l' },
  { to: '/messages', name: 'Messages', icon: MessageSquareText, letter: 'm' },
  { to: '/traffic', name: 'Traffic', icon: PhoneCall, letter: 'r' },
  { to: '/settings', name: 'Settings', icon: SettingsIcon, letter: 'e' },
] as const;

export function Navigation() {
  const unheard = useMessages().data?.filter((message) => !message.heard).length ?? 0;
  return (
    <Flex
      as="nav"
      aria-label="Screens"
      w={{ base: '100%', md: '152px' }}
      direction={{ base: 'row', md: 'column' }}
      overflowX="auto"
      flexShrink="0"
      gap="1"
      p="2"
      borderRightWidth={{ md: '1px' }}
      borderBottomWidth={{ base: '1px', md: '0' }}
      borderColor="hairline"
    >
      {screens.map(({ to, name, icon: Icon }) => (
        <Flex
          key={to}
          asChild
          align="center"
          gap="2.5"
          px="2.5"
          minH="9"
          whiteSpace="nowrap"
          flexShrink="0"
          borderRadius="md"
          css={{ '&.active': { bg: 'petrol.subtle', color: 'petrol.fg', fontWeight: 600 } }}
          _hover={{ bg: 'sunk' }}
        >
          <NavLink to={to}>
            <Icon size={16} aria-hidden />
            {name}
            {to === '/messages' && unheard > 0 && (
              <Box as="span" ml="auto" fontFamily="mono" fontSize="12px" aria-label={`${unheard} not heard`}>
                {unheard}
              </Box>
            )}
          </NavLink>
        </Flex>
      ))}
    </Flex>
  );
}
