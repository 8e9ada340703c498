import { Box, Button } from '@chakra-ui/react';
import { Link, useParams } from 'react-router';
import { ScreenHead } from '../../../parts/ScreenHead';
import { useRecordables } from '../useRecordables';
import { NewSession } from './NewSession';
import { Session } from './Session';
import { SessionList } from './SessionList';
import { useSessions } from './useSessions';

/** Several texts recorded one after the other: chosen here, taken up again until all are done. */
export default function Sessions() {
  const { sessionId } = useParams();
  const { sessions } = useSessions();
  const recordables = useRecordables();
  const session = sessions.find(({ id }) => id === sessionId);
  return (
    <Box pb="8">
      <ScreenHead title={session ? session.name : 'Record several'}>
        <Button asChild size="sm" variant="outline" bg="sheet">
          <Link to={session ? '/greetings/sessions' : '/greetings'}>
            {session ? 'Other sessions' : 'All greetings'}
          </Link>
        </Button>
      </ScreenHead>
      <Box px="6" maxW="900px">
        {session ? (
          <Session key={session.id} session={session} recordables={recordables} />
        ) : (
          <>
            <SessionList sessions={sessions} />
            <NewSession recordables={recordables} />
          </>
        )}
      </Box>
    </Box>
  );
}
