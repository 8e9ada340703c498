import { Text } from '@chakra-ui/react';
import { nameParts, type NamePart } from '@locutor/core/directory';
import { isUnchosen, longestRingSeconds, secondsPerRing, shortestRingSeconds, type Step } from '@locutor/core/line';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useLines, useQueues } from '../api/resources';
import { useAttendantPart, useDraftTools } from '../draft/DraftProvider';
import { InlineNumber } from '../parts/InlineNumber';
import { InlineSelect } from '../parts/InlineSelect';
import { asChoices } from './asChoices';
import type { DetailProps } from './detailProps';
import { HandOverDetails, RingDetails, RingGroupDetails, RingOperatorDetails, RingOutsideDetails } from './RingDetails';
import { MessageDetails } from './MessageDetails';
import { namedPathsOf } from './namedPaths';
import { SayDetails } from './SayDetails';
import { sheetChoicesOf } from './sheetChoices';
import { StepWords } from './StepWords';

/** The rest of a step's sentence after its verb. */
export function StepDetails({ step, of, onChange }: DetailProps): ReactNode {
  switch (step.type) {
    case 'ring':
      return <RingDetails step={step} of={of} onChange={onChange} />;
    case 'ringOperator':
      return <RingOperatorDetails step={step} of={of} onChange={onChange} />;
    case 'ringGroup':
      return <RingGroupDetails step={step} of={of} onChange={onChange} />;
    case 'waitInQueue':
      return <QueueDetails step={step} of={of} onChange={onChange} />;
    case 'ringOutside':
      return <RingOutsideDetails step={step} of={of} onChange={onChange} />;
    case 'handOver':
      return <HandOverDetails step={step} of={of} onChange={onChange} />;
    case 'takeMessage':
      return <MessageDetails step={step} of={of} onChange={onChange} />;
    case 'say':
      return <SayDetails step={step} of={of} onChange={onChange} />;
    case 'goTo':
      return <GoToDetails step={step} of={of} onChange={onChange} />;
    case 'followPath':
      return <FollowDetails step={step} of={of} onChange={onChange} />;
    case 'toLine':
      return <LineDetails step={step} of={of} onChange={onChange} />;
    case 'searchByName':
      return (
        <>
          <InlineSelect
            label={`By which name in ${of}`}
            value={step.by}
            choices={nameParts.map((part) => ({ value: part, label: partWords[part] }))}
            onChange={(by) => onChange({ ...step, by: by as NamePart })}
          />{' '}
          and ring who is found <Seconds step={step} of={of} onChange={onChange} />
        </>
      );
    case 'askExtension':
      return (
        <>
          and ring it <Seconds step={step} of={of} onChange={onChange} />
        </>
      );
    case 'record':
      return (
        <InlineSelect
          label={`Recording in ${of}`}
          value={step.on ? (step.tells ? 'told' : 'untold') : 'off'}
          choices={[
            { value: 'told', label: 'the call from here on, and tell them so' },
            { value: 'untold', label: 'the call from here on, told elsewhere' },
            { value: 'off', label: 'no longer' },
          ]}
          onChange={(value) => onChange({ ...step, on: value !== 'off', tells: value !== 'untold' })}
        />
      );
    case 'hangUp':
      return (
        <StepWords
          label={`Goodbye words of ${of}`}
          placeholder="without a word, or type a goodbye"
          value={step.words}
          onChange={(words) => onChange({ ...step, words })}
        />
      );
    case 'back':
    case 'sayAgain':
      return null;
  }
}

const partWords: Readonly<Record<NamePart, string>> = {
  lastName: 'by last name',
  firstName: 'by first name',
  eitherName: 'by first or last name',
};

function Seconds({ step, of, onChange }: DetailProps<Extract<Step, { type: 'searchByName' | 'askExtension' }>>) {
  return (
    <>
      for{' '}
      <InlineNumber
        label={`Seconds of ringing in ${of}`}
        value={step.seconds}
        least={shortestRingSeconds}
        most={longestRingSeconds}
        step={secondsPerRing}
        onChange={(seconds) => onChange({ ...step, seconds })}
      />{' '}
      s
    </>
  );
}

function GoToDetails({ step, of, onChange }: DetailProps<Extract<Step, { type: 'goTo' }>>) {
  const sheets = useAttendantPart(sheetChoicesOf);
  return (
    <>
      <InlineSelect
        label={`Sheet of ${of}`}
        value={step.sheetId}
        choices={sheets}
        onChange={(value) => onChange({ ...step, sheetId: value as typeof step.sheetId })}
      />
      {!isUnchosen(step.sheetId) && <Follow to={`/script/${step.sheetId}`} label={`Open the sheet of ${of}`} />}
    </>
  );
}

function FollowDetails({ step, of, onChange }: DetailProps<Extract<Step, { type: 'followPath' }>>) {
  const paths = useAttendantPart(namedPathsOf);
  return (
    <>
      <InlineSelect
        label={`Path of ${of}`}
        value={step.pathId}
        choices={asChoices(paths)}
        onChange={(value) => onChange({ ...step, pathId: value as typeof step.pathId })}
      />
      {!isUnchosen(step.pathId) && <Follow to={`/script/${step.pathId}`} label={`Open the path of ${of}`} />}
    </>
  );
}

function QueueDetails({ step, of, onChange }: DetailProps<Extract<Step, { type: 'waitInQueue' }>>) {
  const queues = useQueues();
  return (
    <>
      <InlineSelect
        label={`Queue of ${of}`}
        value={step.queueId}
        choices={asChoices(queues)}
        onChange={(value) => onChange({ ...step, queueId: value as typeof step.queueId })}
      />
      <Follow to={`/directory/queues/${step.queueId}`} label={`Open the queue of ${of}`} />
    </>
  );
}

function LineDetails({ step, of, onChange }: DetailProps<Extract<Step, { type: 'toLine' }>>) {
  const { line } = useDraftTools();
  const lines = useLines().data ?? [];
  return (
    <InlineSelect
      label={`Line of ${of}`}
      value={step.lineId}
      choices={asChoices(lines.filter(({ id }) => id !== line.id))}
      onChange={(value) => onChange({ ...step, lineId: value as typeof step.lineId })}
    />
  );
}

/** A small arrow to what a step leads to. */
function Follow({ to, label }: { readonly to: string; readonly label: string }) {
  return (
    <Text asChild ml="0.5" color="quiet" px="1" borderRadius="sm" _hover={{ bg: 'petrol.subtle' }}>
      <Link to={to} aria-label={label} title="Open it">
        ↗
      </Link>
    </Text>
  );
}
