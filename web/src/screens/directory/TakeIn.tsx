import { Box, Button, Flex, Input, Table, Text, Textarea } from '@chakra-ui/react';
import { exampleNumber, hasLostZero, showPhoneNumber } from '@locutor/core/directory';
import {
  describeField,
  describeTakeInProblem,
  isVcard,
  mobileUses,
  mostTakenIn,
  planTakeIn,
  readPeopleTable,
  readVcards,
  takeInBody,
  type MobileUse,
  type Planned,
  type TakenField,
} from '@locutor/core/formats';
import { useMemo, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../../api/client';
import { usePeople } from '../../api/resources';
import { InlineSelect } from '../../parts/InlineSelect';
import { tellDone } from '../../parts/notices';
import { useCountry } from '../../parts/useCountry';
import { readTextFile } from './readTextFile';
import { charsets } from './charsets';

const largestText = 2_000_000;

/** Brings people in from a spreadsheet or from contact cards, and shows first what will happen. */
export function TakeIn() {
  const people = usePeople();
  const country = useCountry();
  const navigate = useNavigate();
  const { mutate } = useSWRConfig();
  const file = useRef<HTMLInputElement>(null);
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const found = useMemo(
    () => (isVcard(text) ? readVcards(text, charsets) : readPeopleTable(text, country)),
    [text, country],
  );
  const planned = useMemo(() => planTakeIn(found, people, country), [found, people, country]);
  const lostZeros = found.filter(({ mobile }) => hasLostZero(mobile, country)).map(({ row }) => row);
  const [use, setUse] = useState<MobileUse>('texts');
  const body = takeInBody(planned, people, use);
  const hasMobiles = planned.some(({ type, fields: { mobile } }) => type !== 'wrong' && mobile !== '');
  const read = (next: string): void => {
    setProblem(next.length > largestText ? 'That is too much at once: at most two million characters.' : null);
    setText(next.slice(0, largestText));
  };
  const readFile = async (chosen: File | undefined): Promise<void> => {
    const found = chosen && (await readTextFile(chosen));
    if (found?.ok === false) setProblem(found.says);
    else if (found) read(found.text);
  };
  const takeIn = async (): Promise<void> => {
    try {
      await api('/api/people/take-in', { method: 'POST', body: { people: body } });
      await mutate('/api/people');
      tellDone(`${body.length} ${body.length === 1 ? 'person was' : 'people were'} taken in.`);
      void navigate('/directory/people');
    } catch (error) {
      setProblem(wordsOf(error));
    }
  };
  return (
    <Box>
      <Text>
        Copy rows in a spreadsheet and paste them here, or choose a CSV file or contact cards (vCard). Nothing changes
        until you have seen what will happen.
      </Text>
      <Textarea
        aria-label="Rows from a spreadsheet, or contact cards"
        mt="2"
        rows={5}
        maxH="180px"
        bg="sheet"
        fontFamily="mono"
        fontSize="12.5px"
        placeholder={'Name\tExtension\tE-mail\tMobile\nNoor Haldane\t212\tnoor@example.com\t' + exampleNumber(country)}
        value={text}
        onChange={(event) => read(event.currentTarget.value)}
      />
      <Flex mt="2" gap="2" align="center">
        <Input
          ref={file}
          type="file"
          accept=".csv,.tsv,.txt,.vcf,.vcard,text/csv,text/vcard"
          aria-label="A file of people"
          display="none"
          onChange={(event) => {
            void readFile(event.currentTarget.files?.[0]);
            event.currentTarget.value = '';
          }}
        />
        <Button size="sm" variant="outline" bg="sheet" onClick={() => file.current?.click()}>
          Choose a file
        </Button>
        {text && (
          <Button size="sm" variant="ghost" onClick={() => read('')}>
            Clear
          </Button>
        )}
        <Text asChild ml="auto" fontSize="13px" textDecoration="underline">
          <Link to="/directory/people">Back to people</Link>
        </Text>
      </Flex>
      {problem && (
        <Text role="alert" mt="2" fontWeight="500">
          {problem}
        </Text>
      )}
      {text.trim() !== '' && planned.length === 0 && (
        <Text mt="3">No people were found in this. One row a person, with a name in it.</Text>
      )}
      {found.length > mostTakenIn && (
        <Text role="status" mt="3">
          These are the first {mostTakenIn.toLocaleString()} of {found.length.toLocaleString()}; bring the rest in
          afterwards.
        </Text>
      )}
      {planned.length > 0 && <Preview planned={planned} lostZeros={lostZeros} />}
      {hasMobiles && (
        <Text mt="3">
          Their mobiles are{' '}
          <InlineSelect
            label="What their mobiles are for"
            value={use}
            choices={mobileUses.map((value) => ({ value, label: mobileUseWords[value] }))}
            onChange={(value) => setUse(value as MobileUse)}
          />
          .
        </Text>
      )}
      {planned.length > 0 && (
        <Button mt="3" colorPalette="petrol" disabled={body.length === 0} onClick={() => void takeIn()}>
          {body.length === 0 ? 'Nothing to take in' : `Take in ${body.length} of ${planned.length}`}
        </Button>
      )}
    </Box>
  );
}

const mobileUseWords: Readonly<Record<MobileUse, string>> = {
  texts: 'for texts only',
  rings: 'rung too, after the phones they have, and they press 1 to answer',
  onCall: 'rung when they are on call, and they press 1 to answer',
};

const fields: readonly TakenField[] = ['name', 'extension', 'email', 'mobile'];
const kinds: Readonly<Record<Planned['type'], string>> = {
  add: 'New',
  change: 'Changed',
  same: 'As before',
  wrong: 'Not taken',
};

/** Row by row: who is new, what changes from what to what, and what cannot be taken and why. */
function Preview({
  planned,
  lostZeros,
}: {
  readonly planned: readonly Planned[];
  readonly lostZeros: readonly number[];
}) {
  const count = (type: Planned['type']): number => planned.filter((plan) => plan.type === type).length;
  const parts = (['add', 'change', 'same', 'wrong'] as const).filter((type) => count(type) > 0);
  return (
    <Box mt="4" role="region" aria-label="What will happen">
      <Text fontWeight="600">{parts.map((type) => `${count(type)} ${kinds[type].toLowerCase()}`).join(', ')}</Text>
      <Box maxH="360px" overflow="auto" mt="1" borderBottomWidth="1px" borderColor="hairline">
        <Table.Root size="sm" tableLayout="fixed" stickyHeader>
          <Table.Header>
            <Table.Row bg="paper">
              <Table.ColumnHeader w="52px">Row</Table.ColumnHeader>
              <Table.ColumnHeader w="92px" />
              {fields.map((field) => (
                <Table.ColumnHeader key={field} w={field === 'extension' ? '96px' : undefined}>
                  {describeField(field).replace(/^./, (letter) => letter.toUpperCase())}
                </Table.ColumnHeader>
              ))}
            </Table.Row>
          </Table.Header>
          <Table.Body>
            {planned.map((plan) => (
              <PlannedRow key={plan.row} plan={plan} hasLostZero={lostZeros.includes(plan.row)} />
            ))}
          </Table.Body>
        </Table.Root>
      </Box>
    </Box>
  );
}

function PlannedRow({ plan, hasLostZero: isLost }: { readonly plan: Planned; readonly hasLostZero: boolean }) {
  const isQuiet = plan.type === 'same' || plan.type === 'wrong';
  return (
    <Table.Row bg="transparent" color={isQuiet ? 'quiet' : undefined} verticalAlign="top">
      <Table.Cell fontFamily="mono">{plan.row}</Table.Cell>
      <Table.Cell fontWeight={isQuiet ? 400 : 600}>{kinds[plan.type]}</Table.Cell>
      {plan.type === 'wrong' ? (
        <Table.Cell colSpan={fields.length} color="ink">
          {plan.fields.name && <b>{plan.fields.name.slice(0, 60)}: </b>}
          {plan.problems.map(describeTakeInProblem).join(' ')}
        </Table.Cell>
      ) : (
        fields.map((field) => (
          <Table.Cell key={field} overflowWrap="anywhere">
            <Shown plan={plan} field={field} />
            {isLost && field === 'mobile' && (
              <Text as="span" color="quiet" fontSize="12px">
                {' '}
                (its first 0 was missing)
              </Text>
            )}
          </Table.Cell>
        ))
      )}
    </Table.Row>
  );
}

function Shown({ plan, field }: { readonly plan: Planned; readonly field: TakenField }) {
  const show = (text: string): string => (field === 'mobile' && text ? showPhoneNumber(text) : text);
  const value = show(plan.fields[field]);
  if (plan.type === 'change' && plan.changed.includes(field)) {
    const before = show(plan.before[field]);
    return (
      <>
        {before && <s>{before}</s>} <b>{value}</b>
      </>
    );
  }
  const isGiven = plan.type === 'add' && plan.given && field === 'extension';
  return (
    <>
      {value}
      {isGiven && (
        <Text as="span" color="quiet" fontSize="12px">
          {' '}
          (next free)
        </Text>
      )}
    </>
  );
}
