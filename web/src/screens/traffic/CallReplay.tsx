import { Box, Flex, Text } from '@chakra-ui/react';
import type { TranscriptEntry } from '@locutor/core/call';
import { waitedMs } from '@locutor/core/call';
import { outcomeWords } from '@locutor/core/traffic';
import type { Names } from '@locutor/core/line';
import { Link } from 'react-router';
import { audioUrl, useCall, useMessages, useVersions } from '../../api/resources';
import { useDraftTools } from '../../draft/DraftProvider';
import { captionOf } from '../../handset/captionWords';
import { callerName } from '../../live/CallerLine';
import { useSheetNames } from '../../live/useSheetNames';
import { ScreenHead } from '../../parts/ScreenHead';
import { SoundPlayer } from '../../parts/SoundPlayer';
import { showLength, showWhen } from '../../parts/time';
import { useNow } from '../../parts/useNow';
import { useNamesThen } from './useNamesThen';

/** A call as it went, step by step, each with its second. */
export function CallReplay({ callId }: { readonly callId: string }) {
  const { line } = useDraftTools();
  const names = { ...useNamesThen(), ...useSheetNames() };
  const { data: call, error } = useCall(callId);
  const { data: versions } = useVersions(call?.lineId ?? line.id);
  const { data: messages } = useMessages();
  const now = useNow(60_000);
  if (error) return <Text p="6">That call is not in the log any more.</Text>;
  if (!call) return null;
  const version = versions?.find(({ id }) => id === call.versionId);
  const message = messages?.find(({ id }) => id === call.messageId);
  const waited = waitedMs(call.transcript);
  const facts = [
    names[call.lineId] ?? 'a deleted line',
    version ? `version ${version.number}` : '',
    call.outcome ? outcomeWords[call.outcome] : 'goes on',
    call.endedAt === null ? '' : showLength(call.endedAt - call.startedAt),
    waited > 0 ? `waited ${showLength(waited)}` : '',
    call.pretended ? 'at a pretended moment' : '',
  ].filter((fact) => fact !== '');
  return (
    <Box pb="8">
      <ScreenHead title={`Call from ${callerName(call, names)}`}>
        <Text asChild textDecoration="underline">
          <Link to="/traffic/calls">All calls</Link>
        </Text>
      </ScreenHead>
      <Box px="6" maxW="860px">
        <Text>{showWhen(call.startedAt, line.timeZone, now)}</Text>
        <Text color="quiet">{facts.join(' · ')}</Text>
        {call.recordingId && (
          <Flex align="center" gap="3" mt="3" wrap="wrap">
            <Text fontWeight="600">The call, recorded</Text>
            <SoundPlayer audioId={call.recordingId} lengthMs={call.recordingMs} label="the recorded call" />
            <Text asChild fontSize="13px" textDecoration="underline">
              <a href={audioUrl(call.recordingId)} download="call.wav">
                Save
              </a>
            </Text>
          </Flex>
        )}
        {message && (
          <Flex align="center" gap="3" mt="3" wrap="wrap">
            <Text fontWeight="600">The message</Text>
            <SoundPlayer audioId={message.audioId} lengthMs={message.lengthMs} label="the message" />
          </Flex>
        )}
        <Box as="ol" listStyleType="none" mt="4" aria-label="What happened">
          {call.transcript.map((entry, index) => (
            <EntryLine key={index} entry={entry} startedAt={call.startedAt} names={names} />
          ))}
        </Box>
      </Box>
    </Box>
  );
}

interface EntryProps {
  readonly entry: TranscriptEntry;
  readonly startedAt: number;
  readonly names: Names;
}

function EntryLine({ entry, startedAt, names }: EntryProps) {
  const words = entryWords(entry, names);
  if (!words) return null;
  const isSheet = entry.type === 'sheet';
  return (
    <Flex as="li" gap="4" py="0.5" mt={isSheet ? '3' : '0'} align="baseline">
      <Text w="48px" flexShrink="0" fontFamily="mono" fontSize="12.5px" color="quiet" textAlign="right">
        {showLength(entry.atMs - startedAt)}
      </Text>
      <Text
        fontFamily={entry.type === 'said' ? 'spoken' : undefined}
        fontSize={entry.type === 'said' ? '15.5px' : undefined}
        fontWeight={isSheet ? 600 : undefined}
      >
        {words}
      </Text>
    </Flex>
  );
}

/** An entry as the log tells it: of the caller, not to the caller. */
function entryWords(entry: TranscriptEntry, names: Names): string | null {
  switch (entry.type) {
    case 'said':
      return entry.text;
    case 'sheet':
      return names[entry.sheetId] ?? 'A deleted menu';
    case 'called':
      return 'The line answers';
    default:
      return captionOf(entry, names, 'log');
  }
}
