import { Box, Flex, Text } from '@chakra-ui/react';
import { Suspense, useEffect } from 'react';
import { Outlet, useLocation } from 'react-router';
import { Handset } from '../handset/Handset';
import { Find } from './Find';
import { RunsProvider } from '../screens/rehearsals/RunsProvider';
import { HandsetDock, useHandsetDock } from './handsetDock';
import { LineBar } from './LineBar';
import { Mishap } from './Mishap';
import { Navigation, screens } from './Navigation';
import { useDraftTools } from '../draft/DraftProvider';
import { UnreadableDraft } from '../draft/UnreadableDraft';
import { PretendedMoment } from '../live/PretendedMoment';
import { AskFirst } from '../saving/AskFirst';
import { Unsettled } from '../saving/Unsettled';
import { Shortcuts } from './Shortcuts';

/** What is around every screen: line bar on top, navigation on the left, the handset at the right. */
export function Frame() {
  return (
    <HandsetDock>
      <RunsProvider>
        <FrameInside />
      </RunsProvider>
    </HandsetDock>
  );
}

function FrameInside() {
  const { isOpen } = useHandsetDock();
  const { line } = useDraftTools();
  const { pathname } = useLocation();
  const name = screens.find((screen) => pathname.startsWith(screen.to))?.name ?? 'On air';
  useEffect(() => {
    document.documentElement.toggleAttribute('data-handset', isOpen);
  }, [isOpen]);
  useEffect(() => {
    document.title = `${name} · Locutor`;
  }, [name]);
  return (
    <Flex direction="column" h="100dvh" overflow="hidden">
      <SkipLink />
      <LineBar />
      <Unsettled />
      <UnreadableDraft />
      <PretendedMoment timeZone={line.timeZone} />
      <Flex flex="1" minH="0" direction={{ base: 'column', md: 'row' }}>
        <Navigation />
        <Box as="main" id="work" tabIndex={-1} flex="1" minW="0" minH="0" overflow="auto" position="relative">
          <Mishap key={pathname}>
            <Suspense fallback={<Text p="6">Opening {name} …</Text>}>
              <Outlet />
            </Suspense>
          </Mishap>
        </Box>
        {isOpen && (
          <Mishap>
            <Handset />
          </Mishap>
        )}
      </Flex>
      <Shortcuts />
      <AskFirst />
      <Find />
    </Flex>
  );
}

function SkipLink() {
  return (
    <Box asChild position="absolute" left="-999px" zIndex="10" bg="sheet" p="2" _focus={{ left: '2', top: '2' }}>
      <a href="#work">Skip to the work</a>
    </Box>
  );
}
