import { Box, Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { NavLink, useLocation } from 'react-router';
import { ScreenHead } from '../../parts/ScreenHead';

const pages = [
  { at: '', name: 'When do people call?' },
  { at: 'pressed', name: 'What do they press?' },
  { at: 'answered', name: 'How long until somebody answers?' },
  { at: 'who', name: 'Who answers?' },
  { at: 'came', name: 'What did it come to?' },
  { at: 'calls', name: 'Every call' },
] as const;

/** A page of Traffic: a question. The span that is looked at goes along to the next. */
export function TrafficPage({ actions, children }: { readonly actions?: ReactNode; readonly children: ReactNode }) {
  const { pathname, search } = useLocation();
  const part = pathname.split('/')[2] ?? '';
  return (
    <Box pb="8">
      <ScreenHead title="Traffic">{actions}</ScreenHead>
      <Box px={{ base: '4', md: '6' }}>
        <Flex
          as="nav"
          aria-label="Questions"
          gap="1"
          wrap="wrap"
          borderBottomWidth="1px"
          borderColor="hairline"
          mb="3"
          className="notPrinted"
        >
          {pages.map(({ at, name }) => (
            <Box
              key={at}
              asChild
              px="3"
              py="1.5"
              mb="-1px"
              borderBottomWidth="2px"
              borderColor={at === part ? 'petrol.solid' : 'transparent'}
              fontWeight={at === part ? 600 : 400}
            >
              <NavLink
                end
                to={{
                  pathname: `/traffic${at ? `/${at}` : ''}`,
                  search: at === 'calls' || part === 'calls' ? '' : search,
                }}
              >
                {name}
              </NavLink>
            </Box>
          ))}
        </Flex>
        {children}
      </Box>
    </Box>
  );
}
