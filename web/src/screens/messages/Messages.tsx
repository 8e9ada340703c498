import { Box, Flex, Text } from '@chakra-ui/react';
import { showPhoneNumber } from '@locutor/core/directory';
import { useState } from 'react';
import { useParams } from 'react-router';
import { useBoxes, useDeletedMessages, useMessages } from '../../api/resources';
import { useDraftTools } from '../../draft/DraftProvider';
import { InlineSelect } from '../../parts/InlineSelect';
import { PageTabs } from '../../parts/PageTabs';
import { ScreenHead } from '../../parts/ScreenHead';
import { fits } from '../directory/fits';
import { SearchField } from '../directory/SearchField';
import { MessageRow } from './MessageRow';
import { Outbox } from './Outbox';

const tabs = [
  { at: '', name: 'Messages', to: '/messages' },
  { at: 'deleted', name: 'Deleted', to: '/messages/deleted' },
  { at: 'outbox', name: 'Outbox', to: '/messages/outbox' },
] as const;

/** What callers left after the beep, newest first; what was deleted; and what was sent of it. */
export default function Messages() {
  const { part = '' } = useParams();
  const unheard = useMessages().data?.filter((message) => !message.heard).length ?? 0;
  return (
    <Box pb="8">
      <ScreenHead title="Messages">{unheard > 0 && <Text color="quiet">{unheard} not heard yet</Text>}</ScreenHead>
      <Box px={{ base: '4', md: '6' }} maxW="960px">
        <PageTabs label="Parts of Messages" tabs={tabs} at={part} />
        {part === 'outbox' ? <Outbox /> : <MessageList isDeleted={part === 'deleted'} />}
      </Box>
    </Box>
  );
}

function MessageList({ isDeleted }: { readonly isDeleted: boolean }) {
  const { names } = useDraftTools();
  const { data: there } = useMessages();
  const { data: deleted } = useDeletedMessages(isDeleted);
  const boxes = useBoxes();
  const [search, setSearch] = useState('');
  const [box, setBox] = useState('all');
  const messages = isDeleted ? deleted : there;
  const found = messages?.filter(
    ({ boxId, callerNumber }) =>
      (box === 'all' || boxId === box) &&
      fits(
        search,
        names[boxId] ?? '',
        callerNumber,
        callerNumber.startsWith('+') ? showPhoneNumber(callerNumber) : 'Anonymous',
      ),
  );
  if (messages?.length === 0) {
    return (
      <Box py="4" maxW="460px">
        <Text fontWeight="600">{isDeleted ? 'Nothing was deleted.' : 'No messages.'}</Text>
        {!isDeleted && (
          <Text mt="1">
            Call the line on the handset, choose somebody and let it ring: what you say after the beep arrives here.
          </Text>
        )}
      </Box>
    );
  }
  return (
    <>
      <Flex gap="3" align="center" wrap="wrap" mb="2">
        <SearchField label="Search messages" value={search} onChange={setSearch} />
        <Text>
          in{' '}
          <InlineSelect
            label="Which box"
            value={box}
            choices={[
              { value: 'all', label: 'every box' },
              ...boxes.map(({ id, name }) => ({ value: id, label: name })),
            ]}
            onChange={setBox}
          />
        </Text>
      </Flex>
      <Box as="ul" listStyleType="none">
        {found?.map((message) => (
          <MessageRow key={message.id} message={message} isDeleted={isDeleted} />
        ))}
      </Box>
      {found?.length === 0 && <Text py="3">No message matches.</Text>}
    </>
  );
}
