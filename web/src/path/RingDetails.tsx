import { Text } from '@chakra-ui/react';
import {
  countryOf,
  exampleNumber,
  phonesRung,
  readPhoneNumber,
  showPhoneNumber,
  type Person,
} from '@locutor/core/directory';
import {
  longestRingSeconds,
  longestTypedNumber,
  ownVoicemailSeconds,
  secondsPerRing,
  shortestRingSeconds,
  type GreetingId,
  type Outside,
  type RingGroupStep,
  type RingOperatorStep,
  type RingOutsideStep,
  type RingStep,
  type Step,
} from '@locutor/core/line';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useContacts, useGreetings, useGroups, usePeople } from '../api/resources';
import { useDraftTools } from '../draft/DraftProvider';
import { InlineNumber } from '../parts/InlineNumber';
import { InlineSelect } from '../parts/InlineSelect';
import { InlineWords } from '../parts/InlineWords';
import { asChoices } from './asChoices';
import type { DetailProps } from './detailProps';
import { StepWords } from './StepWords';

export function RingDetails({ step, of, onChange }: DetailProps<RingStep>) {
  const people = usePeople();
  const person = people.find(({ id }) => id === step.personId);
  return (
    <>
      <InlineSelect
        label={`Who is rung by ${of}`}
        value={step.personId}
        toChoose="whom?"
        choices={asChoices(people)}
        onChange={(value) => onChange({ ...step, personId: value as typeof step.personId })}
      />{' '}
      <RingSeconds step={step} of={of} onChange={onChange} />
      {person && <Quiet>{phonesInWords(phonesRung(person, step.onCall), step.seconds)}</Quiet>}
      {(step.onCall || person?.phones.some(({ onCallOnly }) => onCallOnly)) && (
        <>
          ,{' '}
          <InlineSelect
            label={`Which phones ring by ${of}`}
            value={step.onCall ? 'onCall' : 'usual'}
            choices={[
              { value: 'usual', label: 'but not the phones for on call' },
              { value: 'onCall', label: 'also the phones for on call' },
            ]}
            onChange={(value) => onChange({ ...step, onCall: value === 'onCall' })}
          />
        </>
      )}
      <RingExtras step={step} of={of} onChange={onChange} />
    </>
  );
}

/** Whoever is named as the operator of the line, in Lines. */
export function RingOperatorDetails({ step, of, onChange }: DetailProps<RingOperatorStep>) {
  const { line, names } = useDraftTools();
  const operator = line.operatorId && names[line.operatorId];
  return (
    <>
      <RingSeconds step={step} of={of} onChange={onChange} />
      <Quiet>
        {' '}
        (
        <Text asChild textDecoration="underline">
          <Link to="/lines">{operator ?? 'nobody is named yet: name one in Lines'}</Link>
        </Text>
        )
      </Quiet>
      <RingExtras step={step} of={of} onChange={onChange} />
    </>
  );
}

export function RingGroupDetails({ step, of, onChange }: DetailProps<RingGroupStep>) {
  const groups = useGroups();
  const group = groups.find(({ id }) => id === step.groupId);
  return (
    <>
      <InlineSelect
        label={`Which group is rung by ${of}`}
        value={step.groupId}
        toChoose="which group?"
        choices={asChoices(groups)}
        onChange={(value) => onChange({ ...step, groupId: value as typeof step.groupId })}
      />{' '}
      {step.seconds === null ? 'for as long as it says' : <RingSeconds step={step} of={of} onChange={onChange} />}
      {group?.members.length === 0 && <Quiet> (nobody is in it yet)</Quiet>}
      <RingExtras step={step} of={of} onChange={onChange} />
    </>
  );
}

export function RingOutsideDetails({ step, of, onChange }: DetailProps<RingOutsideStep>) {
  const isLong = !step.accept && (step.seconds ?? Infinity) >= ownVoicemailSeconds;
  return (
    <>
      <OutsideWho to={step.to} of={of} onChange={(to) => onChange({ ...step, to })} />{' '}
      <RingSeconds step={step} of={of} onChange={onChange} />;{' '}
      <InlineSelect
        label={`Who answers in ${of}`}
        value={step.accept ? 'accept' : 'connect'}
        choices={[
          { value: 'accept', label: 'who answers must press 1' },
          { value: 'connect', label: 'who answers is connected' },
        ]}
        onChange={(value) => onChange({ ...step, accept: value === 'accept' })}
      />
      {isLong && <Quiet> (its own voicemail may answer)</Quiet>}
      <RingExtras step={step} of={of} onChange={onChange} />
    </>
  );
}

export function HandOverDetails({ step, of, onChange }: DetailProps<Extract<Step, { type: 'handOver' }>>) {
  return (
    <>
      <OutsideWho to={step.to} of={of} onChange={(to) => onChange({ ...step, to })} /> for good
      {step.before !== '' && (
        <>
          , after saying{' '}
          <StepWords
            label={`Words before in ${of}`}
            placeholder="nothing"
            value={step.before}
            onChange={(before) => onChange({ ...step, before })}
          />
        </>
      )}
    </>
  );
}

type Ringing = RingStep | RingOperatorStep | RingGroupStep | RingOutsideStep;

function RingSeconds({ step, of, onChange }: DetailProps<Ringing>) {
  if (step.seconds === null) return <>with no limit</>;
  const { seconds } = step;
  return (
    <>
      for{' '}
      <InlineNumber
        label={`Seconds of ringing in ${of}`}
        value={seconds}
        least={shortestRingSeconds}
        most={longestRingSeconds}
        step={secondsPerRing}
        onChange={(next) => onChange({ ...step, seconds: next })}
      />{' '}
      s ({Math.max(1, Math.round(seconds / secondsPerRing))} rings)
    </>
  );
}

/** Words before it rings, and what is heard meanwhile, where they are other than usual. */
function RingExtras({ step, of, onChange }: DetailProps<Ringing>) {
  const greetings = useGreetings();
  const { hear } = step;
  return (
    <>
      {step.before !== '' && (
        <>
          , after saying{' '}
          <StepWords
            label={`Words before ringing in ${of}`}
            placeholder="nothing"
            value={step.before}
            onChange={(before) => onChange({ ...step, before })}
          />
        </>
      )}
      {hear.type !== 'ringback' && (
        <>
          , while they hear{' '}
          <InlineSelect
            label={`What is heard while it rings in ${of}`}
            toChoose="which greeting?"
            value={hear.type === 'greeting' ? hear.greetingId : hear.type}
            choices={[
              { value: 'ringback', label: 'the ringback tone' },
              { value: 'music', label: 'hold music' },
              ...asChoices(greetings),
            ]}
            onChange={(value) =>
              onChange({
                ...step,
                hear:
                  value === 'ringback' || value === 'music'
                    ? { type: value }
                    : { type: 'greeting', greetingId: value as GreetingId },
              })
            }
          />
        </>
      )}
    </>
  );
}

interface WhoProps {
  readonly to: Outside;
  readonly of: string;
  readonly onChange: (to: Outside) => void;
}

/** An outside contact of the directory, or a number typed in place. */
function OutsideWho({ to, of, onChange }: WhoProps) {
  const { line } = useDraftTools();
  const contacts = useContacts();
  const choose = (value: string): void => {
    const contact = contacts.find(({ id }) => id === value);
    onChange(contact ? { type: 'contact', contactId: contact.id } : { type: 'number', number: '' });
  };
  const read = to.type === 'number' ? readPhoneNumber(to.number, countryOf(line)) : undefined;
  return (
    <>
      <InlineSelect
        label={`Outside number of ${of}`}
        value={to.type === 'contact' ? to.contactId : 'number'}
        choices={[...asChoices(contacts), { value: 'number', label: 'this number:' }]}
        onChange={choose}
      />
      {to.type === 'number' && (
        <>
          {' '}
          <InlineWords
            label={`Number typed in ${of}`}
            placeholder={exampleNumber(countryOf(line))}
            value={to.number}
            most={longestTypedNumber}
            fontSize="14px"
            minW="120px"
            onChange={(number) => onChange({ type: 'number', number })}
          />
          {read && <NumberNote text={to.number} number={read.ok ? read.value : null} own={line.number} />}
        </>
      )}
    </>
  );
}

function NumberNote({ text, number, own }: { text: string; number: string | null; own: string }) {
  if (text.trim() === '') return null;
  if (number === null) return <Quiet> (not a telephone number yet)</Quiet>;
  if (number === own) return <Quiet> (this line’s own number)</Quiet>;
  return showPhoneNumber(number) === text.trim() ? null : <Quiet> ({showPhoneNumber(number)})</Quiet>;
}

function Quiet({ children }: { readonly children: ReactNode }) {
  return (
    <Text as="span" color="quiet" fontSize="13px">
      {children}
    </Text>
  );
}

/** Through which phones a person is reached, where it is more than the one on their desk. */
function phonesInWords(phones: Person['phones'], seconds: number | null): string {
  const first = phones[0];
  if (!first) return ' (only rung when on call)';
  if (phones.length === 1 && first.type === 'desk') return '';
  let at = 0;
  const words = phones.map((phone, index) => {
    const name = phone.type === 'desk' ? 'desk' : showPhoneNumber(phone.number);
    const since = at;
    at += phone.seconds;
    if (index === 0) return name;
    return seconds !== null && since >= seconds ? `never ${name}` : `after ${since} s ${name}`;
  });
  return ` (${words.join(', ')})`;
}
