import { Box, Flex, Text } from '@chakra-ui/react';
import { Trash2 } from 'lucide-react';
import { Link } from 'react-router';
import { wordsOf } from '../../../api/client';
import { useDraftTools } from '../../../draft/DraftProvider';
import { tellProblem } from '../../../parts/notices';
import { SmallButton } from '../../../parts/SmallButton';
import { showWhen } from '../../../parts/time';
import { useNow } from '../../../parts/useNow';
import { useTakes } from '../../../takes/useTakes';
import { useRecordables } from '../useRecordables';
import { progressOf } from './progress';
import { useSessions, type RecordingSession } from './useSessions';

/** Sessions that were begun, each to be taken up again. */
export function SessionList({ sessions }: { readonly sessions: readonly RecordingSession[] }) {
  const { line } = useDraftTools();
  const { remove } = useSessions();
  const takes = useTakes();
  const recordables = useRecordables();
  const now = useNow(60_000);
  if (sessions.length === 0) return null;
  return (
    <Box as="ul" listStyleType="none" aria-label="Sessions" mb="6">
      {sessions.map((session) => {
        const texts = progressOf(session, recordables, takes);
        const done = texts.filter(({ take }) => take).length;
        return (
          <Flex as="li" key={session.id} gap="3" align="center" py="1.5" borderBottomWidth="1px" borderColor="hairline">
            <Text asChild fontWeight="600" flex="1" minW="0" textDecoration="underline">
              <Link to={`/greetings/sessions/${session.id}`}>{session.name}</Link>
            </Text>
            <Text color="quiet" fontSize="13px">
              begun {showWhen(session.madeAt, line.timeZone, now)}
            </Text>
            <Text fontSize="13px">
              {done === texts.length ? 'All recorded' : `${done} of ${texts.length} recorded`}
            </Text>
            <SmallButton
              label={`Remove the session ${session.name}; its recordings stay`}
              icon={<Trash2 size={14} />}
              onClick={() => void remove(session).catch((error: unknown) => tellProblem(wordsOf(error)))}
            />
          </Flex>
        );
      })}
    </Box>
  );
}
