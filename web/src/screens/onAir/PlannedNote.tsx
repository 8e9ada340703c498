import { Button, Flex, Text } from '@chakra-ui/react';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../../api/client';
import { usePlanned, useVersions } from '../../api/resources';
import { useDraftTools } from '../../draft/DraftProvider';
import { tellDone, tellProblem } from '../../parts/notices';
import { showWhen } from '../../parts/time';
import { useNow } from '../../parts/useNow';

/** What is planned, or why it did not go on air. */
export function PlannedNote() {
  const { line } = useDraftTools();
  const planned = usePlanned(line.id);
  const { data: versions = [] } = useVersions(line.id);
  const now = useNow(15_000);
  const { mutate } = useSWRConfig();
  if (!planned) return null;
  const number = versions.find(({ id }) => id === planned.versionId)?.number;
  const cancel = async (): Promise<void> => {
    try {
      await api(`/api/lines/${line.id}/planned`, { method: 'DELETE' });
      await mutate(`/api/lines/${line.id}/planned`);
      tellDone('Nothing is planned any more. The draft is as it was.');
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  return (
    <Flex bg="sunk" borderRadius="md" p="3" gap="3" align="baseline" wrap="wrap" role="region" aria-label="Planned">
      <Text flex="1 1 320px">
        {planned.problem ? (
          <>
            <b>It did not go on air</b> at {showWhen(planned.at, line.timeZone, now)}. {planned.problem}
          </>
        ) : (
          <>
            {planned.versionId
              ? `Version ${number ?? 'of before'} goes back on air at `
              : `The draft of revision ${planned.draftRevision} goes on air at `}
            <b>{showWhen(planned.at, line.timeZone, now)}</b>, planned by {planned.by}
            {planned.note && `: “${planned.note}”`}. It is checked again then.
            {!planned.versionId && ' Edits made since are not in it unless you plan it again.'}
          </>
        )}
      </Text>
      <Button size="xs" variant="outline" bg="sheet" onClick={() => void cancel()}>
        {planned.problem ? 'Put it away' : 'Cancel it'}
      </Button>
    </Flex>
  );
}
