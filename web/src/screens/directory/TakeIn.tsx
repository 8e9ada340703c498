import { Box, Button, Flex, Input, Table, Text, Textarea } from '@chakra-ui/react';
import { exampleNumber, hasLostZero, showPhoneNumber } from '@locutor/core/directory';
import {
  describeField,
  describeTakeInProblem,
  mobileUses,
  mostTakenIn,
  planTakeIn,
  takeInBody,
  type MobileUse,
  type Planned,
  type TableChoice,
  type TakenField,
} from '@locutor/core/formats';
import { useMemo, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useSWRConfig } from 'swr';
import { wordsOf } from '../../api/client';
import { usePeople } from '../../api/resources';
import { InlineSelect } from '../../parts/InlineSelect';
import { tellDone } from '../../parts/notices';
import { askedFirst } from '../../saving/askedFirst';
import { useCountry } from '../../parts/useCountry';
import { Columns } from './TableColumns';
import { readTextFile } from './readTextFile';
import { usePeopleTable } from './usePeopleTable';

const largestText = 2_000_000;

/** Text that was pasted, or that a file holds, which would be too much to show. */
interface Source {
  readonly text: string;
  readonly file: string | null;
}

const nothing: Source = { text: '', file: null };

/** Brings people in from a spreadsheet or from contact cards, and shows first what will happen. */
export function TakeIn() {
  const people = usePeople();
  const country = useCountry();
  const navigate = useNavigate();
  const { mutate } = useSWRConfig();
  const file = useRef<HTMLInputElement>(null);
  const [source, setSource] = useState(nothing);
  const [choice, setChoice] = useState<TableChoice>({});
  const [problem, setProblem] = useState<string | null>(null);
  const reading = usePeopleTable(source.text, country, choice);
  const found = reading.table.people;
  const planned = useMemo(() => planTakeIn(found, people, country), [found, people, country]);
  // Of a long table only the rows that are shown are looked at.
  const shown = useMemo(() => found.slice(0, planned.length), [found, planned]);
  const lostZeros = useMemo(
    () => new Set(shown.filter(({ mobile }) => hasLostZero(mobile, country)).map(({ row }) => row)),
    [shown, country],
  );
  const leftOut = useMemo(() => new Map(shown.map(({ row, leftOut = [] }) => [row, leftOut])), [shown]);
  const [use, setUse] = useState<MobileUse>('texts');
  const body = takeInBody(planned, people, use);
  const hasMobiles = planned.some(({ type, fields: { mobile } }) => type !== 'wrong' && mobile !== '');
  const beyond = found.length - planned.length;
  const read = (next: Source): void => {
    setProblem(null);
    setChoice({});
    setSource(next);
  };
  const paste = (text: string): void => {
    if (text.length <= largestText) return read({ text, file: null });
    setProblem('That is too much to paste at once: at most two million characters. Choose it as a file.');
  };
  const readFile = async (chosen: File | undefined): Promise<void> => {
    const content = chosen && (await readTextFile(chosen));
    if (content?.ok === false) setProblem(content.says);
    else if (content) read({ text: content.text, file: chosen.name });
  };
  const takeIn = async (): Promise<void> => {
    try {
      await askedFirst('/api/people/take-in', { method: 'POST', body: { people: body } });
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
        value={source.file ? '' : source.text}
        onChange={(event) => paste(event.currentTarget.value)}
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
        {source.file && <Text fontWeight="500">{source.file}</Text>}
        {source.text && (
          <Button size="sm" variant="ghost" onClick={() => read(nothing)}>
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
      {reading.isReading && (
        <Flex role="status" mt="2" gap="2" align="center">
          Reading …
          <Button size="xs" variant="ghost" onClick={() => read(nothing)}>
            Cancel
          </Button>
        </Flex>
      )}
      {reading.problem && (
        <Text role="alert" mt="2" fontWeight="500">
          {reading.problem}
        </Text>
      )}
      {reading.table.columns.length > 1 && <Columns table={reading.table} choice={choice} onChange={setChoice} />}
      {reading.isRead && source.text.trim() !== '' && planned.length === 0 && (
        <Text mt="3">No people were found in this. One row a person, with a name in it.</Text>
      )}
      {beyond > 0 && (
        <Text role="status" mt="3">
          {mostTakenIn.toLocaleString()} people are taken in at a time; {beyond.toLocaleString()} rows come after these.
          Take these in, then bring the same rows in once more.
        </Text>
      )}
      {planned.length > 0 && <Preview planned={planned} lostZeros={lostZeros} leftOut={leftOut} />}
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
  leftOut,
}: {
  readonly planned: readonly Planned[];
  readonly lostZeros: ReadonlySet<number>;
  /** What stands in a row or on a card and is not taken. */
  readonly leftOut: ReadonlyMap<number, readonly string[]>;
}) {
  const count = (type: Planned['type']): number => planned.filter((plan) => plan.type === type).length;
  // Of a long table whoever is there as they stand need not be looked at one by one.
  const shown = planned.length > mostTakenIn ? planned.filter(({ type }) => type !== 'same') : planned;
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
            {shown.map((plan) => (
              <PlannedRow
                key={plan.row}
                plan={plan}
                hasLostZero={lostZeros.has(plan.row)}
                leftOut={leftOut.get(plan.row) ?? []}
              />
            ))}
          </Table.Body>
        </Table.Root>
      </Box>
    </Box>
  );
}

interface RowProps {
  readonly plan: Planned;
  readonly hasLostZero: boolean;
  readonly leftOut: readonly string[];
}

function PlannedRow({ plan, hasLostZero: isLost, leftOut }: RowProps) {
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
            {field === 'mobile' && leftOut.length > 0 && (
              <Text color="quiet" fontSize="12px">
                Not taken: {leftOut.join(', ')}
              </Text>
            )}
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
