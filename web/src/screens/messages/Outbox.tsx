import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { showPhoneNumber } from '@locutor/core/directory';
import { Download, RotateCcw } from 'lucide-react';
import { Link } from 'react-router';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../../api/client';
import { useOutbox, useSettings, type OutboxItem } from '../../api/resources';
import { useDraftTools } from '../../draft/DraftProvider';
import { tellProblem } from '../../parts/notices';
import { showWhen } from '../../parts/time';
import { useNow } from '../../parts/useNow';

/** E-mails and texts as they were sent. */
export function Outbox() {
  const { data: items } = useOutbox();
  const { data: settings } = useSettings();
  return (
    <>
      <Text color="quiet" mb="2">
        {settings?.mailHost
          ? `E-mails are sent by ${settings.mailHost}. `
          : 'No mail server is set up, so that e-mails stay here. '}
        <Text asChild textDecoration="underline">
          <Link to="/settings">{settings?.mailHost ? 'Change it in Settings' : 'Set one up in Settings'}</Link>
        </Text>
      </Text>
      {items?.length === 0 && (
        <Text py="3">Nothing was sent yet. Who is told of a message is said at its box, in the Directory.</Text>
      )}
      <Box as="ul" listStyleType="none">
        {items?.map((item) => (
          <ItemRow key={item.id} item={item} />
        ))}
      </Box>
    </>
  );
}

const stateWords: Readonly<Record<OutboxItem['state'], string>> = {
  kept: 'Kept here',
  waiting: 'Will be tried again',
  sent: 'Sent',
  failed: 'Not sent',
};

function ItemRow({ item }: { readonly item: OutboxItem }) {
  const { line } = useDraftTools();
  const { mutate } = useSWRConfig();
  const now = useNow(60_000);
  const address = item.kind === 'email' ? item.to : showPhoneNumber(item.to);
  const tryAgain = async (): Promise<void> => {
    try {
      await api(`/api/outbox/${item.id}/try`, { method: 'POST' });
    } catch (error) {
      tellProblem(wordsOf(error));
    }
    await mutate('/api/outbox');
  };
  return (
    <Flex
      as="li"
      gap="3"
      py="2"
      align="flex-start"
      wrap="wrap"
      borderTopWidth="1px"
      borderColor="hairline"
      aria-label={`${item.kind === 'email' ? 'E-mail' : 'Text'} to ${item.toName}`}
    >
      <Box w="200px">
        <Text>{item.toName}</Text>
        <Text fontSize="12.5px" color="quiet" overflowWrap="anywhere">
          {address}
        </Text>
      </Box>
      <Box flex="1 1 240px">
        <details>
          <Box as="summary" cursor="pointer">
            {item.kind === 'email' ? item.subject : item.text}
          </Box>
          {item.kind === 'email' && (
            <Text mt="1" fontSize="13px" whiteSpace="pre-wrap">
              {item.text}
            </Text>
          )}
        </details>
        <Text fontSize="12.5px" color="quiet">
          {item.kind === 'email' ? `E-mail${item.hasAudio ? ' with the audio' : ''}` : 'Text'},{' '}
          {showWhen(item.madeAt, line.timeZone, now)}
        </Text>
        {item.problem !== '' && item.state !== 'sent' && (
          <Text fontSize="13px" role="status">
            The mail server said: {item.problem}
            {item.nextTryAt ? ` It is tried again ${showWhen(item.nextTryAt, line.timeZone, now)}.` : ''}
          </Text>
        )}
      </Box>
      <Text w="90px" fontWeight={item.state === 'failed' ? 600 : 400}>
        {stateWords[item.state]}
      </Text>
      {item.kind === 'email' && (
        <Flex gap="1">
          {item.state !== 'sent' && (
            <Button
              size="xs"
              variant="ghost"
              aria-label={`Send the e-mail to ${item.toName} now`}
              onClick={() => void tryAgain()}
            >
              <RotateCcw size={13} aria-hidden /> Send now
            </Button>
          )}
          <Button asChild size="xs" variant="ghost">
            <a href={`/api/outbox/${item.id}/eml`} download={`${item.id.replace(':', '-')}.eml`}>
              <Download size={13} aria-hidden /> .eml
            </a>
          </Button>
        </Flex>
      )}
    </Flex>
  );
}
