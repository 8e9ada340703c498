import { Box, Button, Flex, Heading, Input, Text } from '@chakra-ui/react';
import { longestEmail } from '@locutor/core/directory';
import { wallTime } from '@locutor/core/hours';
import { aloneLimits } from '@locutor/core/proof';
import { useState, type ReactNode } from 'react';
import { useSettings, useStorage, type Settings as Kept } from '../../api/resources';
import { api, wordsOf } from '../../api/client';
import { showBytes } from '../../parts/bytes';
import { InlineNumber } from '../../parts/InlineNumber';
import { InlineSelect } from '../../parts/InlineSelect';
import { tellDone, tellProblem } from '../../parts/notices';
import { ScreenHead } from '../../parts/ScreenHead';
import { useDraftTools } from '../../draft/DraftProvider';
import { useNow } from '../../parts/useNow';
import { SavingNote } from '../../saving/SavingNote';
import { BudgetField } from './BudgetField';
import { OutgoingCalls } from './OutgoingCalls';
import { OwnVoices } from './OwnVoices';
import { RateCards } from './RateCards';
import { ReportField } from './ReportField';
import { useSettingsDraft } from './useSettingsDraft';

/** How e-mail leaves, what outside numbers may be called, and how long things are kept. */
export default function Settings() {
  const { data } = useSettings();
  return (
    <Box pb="8">
      <ScreenHead title="Settings" />
      <Box px="6" maxW="640px">
        {data && <Fields kept={data} />}
      </Box>
    </Box>
  );
}

function Fields({ kept }: { readonly kept: Kept }) {
  const { row, change: set, ...saving } = useSettingsDraft(kept);
  const { line } = useDraftTools();
  const today = wallTime(line.timeZone, useNow(60_000)).day;
  return (
    <>
      <SavingNote {...saving} />
      <Section title="Mail server">
        <Text color="quiet" mb="2">
          Without one, e-mails stay in the Outbox, where each can be looked at and saved.
        </Text>
        <Field
          label="Server"
          value={row.mailHost}
          placeholder="mail.example.org"
          onChange={(mailHost) => set({ mailHost })}
        />
        <Box my="2">
          Port{' '}
          <InlineNumber
            label="Port of the mail server"
            value={row.mailPort}
            least={1}
            most={65_535}
            onChange={(mailPort) => set({ mailPort })}
          />
          ,{' '}
          <InlineSelect
            label="Encryption"
            value={row.mailSecure ? 'secure' : 'start'}
            choices={[
              { value: 'secure', label: 'encrypted from the beginning' },
              { value: 'start', label: 'encrypted once the server offers it' },
            ]}
            onChange={(value) => set({ mailSecure: value === 'secure' })}
          />
        </Box>
        <Field
          label="Your name there"
          value={row.mailUser}
          placeholder="none needed"
          onChange={(mailUser) => set({ mailUser })}
        />
        <Password />
        <Field label="E-mails come from" value={row.mailFrom} onChange={(mailFrom) => set({ mailFrom })} />
      </Section>
      <Section title="Voices of your own">
        <OwnVoices />
      </Section>
      <Section title="Calls to outside numbers">
        <OutgoingCalls limits={row.outgoing} onChange={(outgoing) => set({ outgoing })} />
      </Section>
      <Section title="What calls cost">
        <RateCards rates={row.rates} today={today} onChange={(rates) => set({ rates })} />
        {row.rates.cards.length > 0 && (
          <BudgetField budget={row.budget} currency={row.rates.currency} onChange={(budget) => set({ budget })} />
        )}
      </Section>
      <Section title="Reports">
        <ReportField report={row.report} onChange={(report) => set({ report })} />
      </Section>
      <Section title="Call log">
        <Text>
          Keep calls, what was recorded of them, and the Outbox for{' '}
          <InlineNumber
            label="Days that calls are kept"
            value={row.keepCallsDays}
            least={1}
            most={3650}
            step={30}
            onChange={(keepCallsDays) => set({ keepCallsDays })}
          />{' '}
          days.
        </Text>
      </Section>
      <Section title="Proof">
        <Text>
          A caller whom nobody answers is to be able to leave a message within{' '}
          <InlineNumber
            label="Seconds that callers may be left alone"
            value={row.mostAloneSeconds}
            least={aloneLimits.least}
            most={aloneLimits.most}
            step={30}
            onChange={(mostAloneSeconds) => set({ mostAloneSeconds })}
          />{' '}
          s.
        </Text>
      </Section>
      <Section title="Recordings and messages">
        <Text>
          What was deleted can be had back for{' '}
          <InlineNumber
            label="Days that deleted messages and recordings are kept"
            value={row.keepDeletedDays}
            least={1}
            most={3650}
            step={10}
            onChange={(keepDeletedDays) => set({ keepDeletedDays })}
          />{' '}
          days; after that its sound is gone from the disk.
        </Text>
        <Text mt="1">
          Sentences that a voice has spoken are kept for{' '}
          <InlineNumber
            label="Days that spoken sentences are kept"
            value={row.keepSpokenDays}
            least={1}
            most={3650}
            step={10}
            onChange={(keepSpokenDays) => set({ keepSpokenDays })}
          />{' '}
          days after they were last heard, and at most{' '}
          <InlineNumber
            label="Megabytes of spoken sentences that are kept"
            value={row.mostSpokenMegabytes}
            least={10}
            most={100_000}
            step={100}
            onChange={(mostSpokenMegabytes) => set({ mostSpokenMegabytes })}
          />{' '}
          MB of them. They are spoken again when they are needed.
        </Text>
        <Room />
      </Section>
    </>
  );
}

/** What is kept now, and what room there is for more. */
function Room() {
  const { data } = useStorage();
  if (!data) return null;
  const { folder, freeBytes, isLow, spokenSentences, spokenBytes } = data;
  return (
    <Text color={isLow ? undefined : 'quiet'} fontWeight={isLow ? '600' : undefined} mt="2" overflowWrap="anywhere">
      {saysSpoken(spokenSentences, spokenBytes)} The disk with {folder} has {showBytes(freeBytes)} left
      {isLow ? ': make room on it.' : '.'}
    </Text>
  );
}

function saysSpoken(sentences: number, bytes: number): string {
  if (sentences === 0) return 'No sentence has been spoken yet.';
  const many = `${sentences.toLocaleString('en')} spoken sentences take`;
  return `${sentences === 1 ? 'One spoken sentence takes' : many} ${showBytes(bytes)}.`;
}

/** Set on its own, and never kept in the browser: it cannot be read back. */
function Password() {
  const { data, mutate } = useSettings();
  const [typed, setTyped] = useState('');
  const keep = async (): Promise<void> => {
    try {
      const body = { revision: data?.revision, mailPassword: typed };
      await mutate(await api<Kept>('/api/settings', { method: 'PATCH', body }), { revalidate: false });
      setTyped('');
      tellDone('The password was kept.');
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <Flex align="flex-end" gap="2">
        <Box flex="1" maxW="340px">
          <Field label="Password" type="password" value={typed} placeholder="as it was" onChange={setTyped} />
        </Box>
        <Button type="submit" size="sm" variant="outline" disabled={typed === ''}>
          Set the password
        </Button>
      </Flex>
    </form>
  );
}

function Section({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <Box as="section" mt="4">
      <Heading as="h2" fontSize="15px" fontWeight="600" mb="1">
        {title}
      </Heading>
      {children}
    </Box>
  );
}

interface FieldProps {
  readonly label: string;
  readonly value: string;
  readonly placeholder?: string;
  readonly type?: string;
  readonly onChange: (value: string) => void;
}

function Field({ label, value, placeholder, type = 'text', onChange }: FieldProps) {
  return (
    <Box asChild display="block" mt="2">
      <label>
        <Text as="span" fontSize="12px" color="quiet" display="block">
          {label}
        </Text>
        <Input
          size="sm"
          bg="sheet"
          maxW="340px"
          type={type}
          value={value}
          placeholder={placeholder}
          autoComplete="off"
          maxLength={longestEmail}
          onChange={(event) => onChange(event.currentTarget.value)}
        />
      </label>
    </Box>
  );
}
