import { Box, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import { useLocation } from 'react-router';
import { PageTabs } from '../../parts/PageTabs';
import { PrintPage } from './PrintPage';
import { ScreenHead } from '../../parts/ScreenHead';

const pages = [
  { at: '', name: 'When do people call?' },
  { at: 'pressed', name: 'What do they press?' },
  { at: 'answered', name: 'How soon are they answered?' },
  { at: 'who', name: 'Who answers?' },
  { at: 'came', name: 'What did it come to?' },
  { at: 'cost', name: 'What does it cost?' },
  { at: 'what-if', name: 'What if?' },
  { at: 'calls', name: 'Every call' },
] as const;

/** A page of Traffic: a question. The span that is looked at goes along to the next. */
export function TrafficPage({ actions, children }: { readonly actions?: ReactNode; readonly children: ReactNode }) {
  const { pathname, search } = useLocation();
  const part = pathname.split('/')[2] ?? '';
  const tabs = pages.map(({ at, name }) => ({
    at,
    name,
    to: { pathname: `/traffic${at ? `/${at}` : ''}`, search: at === 'calls' || part === 'calls' ? '' : search },
  }));
  return (
    <Box pb="8">
      <ScreenHead title="Traffic">
        <PrintPage />
        {actions}
      </ScreenHead>
      <Box px={{ base: '4', md: '6' }}>
        <PageTabs label="Questions" tabs={tabs} at={part} />
        <Text className="printedOnly" display="none" fontSize="17px" fontWeight="600" mb="2">
          {pages.find(({ at }) => at === part)?.name}
        </Text>
        {children}
      </Box>
    </Box>
  );
}
