import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { longestName, mostPhones, phoneSeconds, type Person, type PersonPhone } from '@locutor/core/directory';
import { hoursId as hoursIds, type HoursId } from '@locutor/core/hours';
import { Plus, X } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useAllHours } from '../../api/resources';
import { InlineNumber } from '../../parts/InlineNumber';
import { InlineSelect } from '../../parts/InlineSelect';
import { InlineWords } from '../../parts/InlineWords';
import { SmallButton } from '../../parts/SmallButton';
import { NumberField } from './NumberField';

interface Props {
  readonly person: Person;
  readonly onChange: (changes: Partial<Person>) => void;
}

/** What a row of the table has no room for, as sentences. */
export function PersonDetails({ person, onChange }: Props) {
  const { data: hours = [] } = useAllHours();
  const { name, saidAs, mobile, inDirectory, hoursId, setsOwnHours } = person;
  return (
    <Box lineHeight="1.9">
      <Phones person={person} onChange={onChange} />
      <Line>
        Texts go to{' '}
        <NumberField
          label={`Mobile of ${name} for texts`}
          value={mobile}
          placeholder="no mobile"
          onChange={(next) => onChange({ mobile: next })}
        />
        .
      </Line>
      <Line>
        The name is said{' '}
        <InlineWords
          label={`How ${name} is said`}
          placeholder="as it is written"
          value={saidAs}
          most={longestName}
          fontSize="15px"
          minW="120px"
          onChange={(next) => onChange({ saidAs: next })}
        />
        . Callers{' '}
        <InlineSelect
          label={`Whether ${name} is found by name`}
          value={inDirectory ? 'yes' : 'no'}
          choices={[
            { value: 'yes', label: 'can find them by name' },
            { value: 'no', label: 'cannot find them by name' },
          ]}
          onChange={(value) => onChange({ inDirectory: value === 'yes' })}
        />
        .
      </Line>
      <Line>
        They are rung{' '}
        <InlineSelect
          label={`Working hours of ${name}`}
          value={hoursId ?? 'always'}
          choices={[
            { value: 'always', label: 'whenever the script leads to them' },
            ...hours.map((each) => ({ value: each.id, label: `only in the hours “${each.name}”` })),
          ]}
          onChange={(value) => onChange({ hoursId: value === 'always' ? null : (value as HoursId) })}
        />
        .{' '}
        {hoursId && (
          <>
            They{' '}
            <InlineSelect
              label={`Whether ${name} sets these hours`}
              value={setsOwnHours ? 'yes' : 'no'}
              choices={[
                { value: 'no', label: 'do not set them themselves' },
                { value: 'yes', label: 'may set them themselves' },
              ]}
              onChange={(value) => onChange({ setsOwnHours: value === 'yes' })}
            />
            .{' '}
          </>
        )}
        <Text asChild color="quiet" fontSize="13px" textDecoration="underline">
          <Link to="/hours">Other hours are made on Hours</Link>
        </Text>
      </Line>
    </Box>
  );
}

const anyCall = 'always';
const onCall = 'onCall';

/** A phone that rings at any call, only when its person is on call, or only in some hours. */
function ringsWhen(phone: PersonPhone, when: string): PersonPhone {
  if (when === onCall) return withWhen(phone, { onCallOnly: true });
  return withWhen(phone, hoursIds.is(when) ? { hoursId: when } : {});
}

function withWhen(phone: PersonPhone, when: Pick<PersonPhone, 'onCallOnly' | 'hoursId'>): PersonPhone {
  if (phone.type === 'desk') return { type: phone.type, seconds: phone.seconds, ...when };
  const { type, seconds, number, accept } = phone;
  return { type, seconds, number, accept, ...when };
}

const Line = ({ children }: { readonly children: ReactNode }) => <Box>{children}</Box>;

/** The phones in the order they are tried, each with how long it rings before the next. */
function Phones({ person: { name, phones }, onChange }: Props) {
  const { data: allHours = [] } = useAllHours();
  const set = (next: readonly PersonPhone[]): void => onChange({ phones: next });
  const put = (index: number, phone: PersonPhone): void => set(phones.map((each, at) => (at === index ? phone : each)));
  const add = (): void => set([...phones, { type: 'outside', number: '', seconds: phoneSeconds.usual, accept: true }]);
  return (
    <Flex wrap="wrap" align="center" columnGap="1">
      Calls ring{' '}
      {phones.map((phone, index) => (
        <Box as="span" key={index}>
          {index > 0 && 'then '}
          <InlineSelect
            label={`Phone ${index + 1} of ${name}`}
            value={phone.type}
            choices={[
              { value: 'desk', label: 'the phone on their desk' },
              { value: 'outside', label: 'the outside number' },
            ]}
            onChange={(value) =>
              put(
                index,
                value === 'desk'
                  ? { type: 'desk', seconds: phone.seconds }
                  : { type: 'outside', number: '', seconds: phone.seconds, accept: true },
              )
            }
          />{' '}
          {phone.type === 'outside' && (
            <>
              <NumberField
                label={`Number of phone ${index + 1} of ${name}`}
                value={phone.number}
                onChange={(number) => put(index, { ...phone, number })}
              />{' '}
              <InlineSelect
                label={`Accepting on phone ${index + 1} of ${name}`}
                value={phone.accept ? 'accept' : 'connect'}
                choices={[
                  { value: 'accept', label: '(they press 1)' },
                  { value: 'connect', label: '(no key needed)' },
                ]}
                onChange={(value) => put(index, { ...phone, accept: value === 'accept' })}
              />{' '}
            </>
          )}
          <InlineSelect
            label={`When phone ${index + 1} of ${name} rings`}
            value={phone.onCallOnly ? onCall : (phone.hoursId ?? anyCall)}
            choices={[
              { value: anyCall, label: 'at any call' },
              ...(phone.type === 'outside' ? [{ value: onCall, label: 'only when on call' }] : []),
              ...allHours.map(({ id, name: of }) => ({ value: id, label: `only in ${of}` })),
            ]}
            onChange={(value) => put(index, ringsWhen(phone, value))}
          />{' '}
          {index < phones.length - 1 && (
            <>
              for{' '}
              <InlineNumber
                label={`Seconds of phone ${index + 1} of ${name}`}
                value={phone.seconds}
                least={phoneSeconds.least}
                most={phoneSeconds.most}
                step={6}
                onChange={(seconds) => put(index, { ...phone, seconds })}
              />{' '}
              s,
            </>
          )}
          {phones.length > 1 && (
            <SmallButton
              label={`Remove phone ${index + 1} of ${name}`}
              icon={<X size={12} />}
              onClick={() => set(phones.filter((_, at) => at !== index))}
            />
          )}{' '}
        </Box>
      ))}
      {phones.length < mostPhones && (
        <Button size="2xs" variant="ghost" colorPalette="petrol" onClick={add}>
          <Plus size={12} aria-hidden /> then another phone
        </Button>
      )}
    </Flex>
  );
}
