import { Text } from '@chakra-ui/react';
import { tellWays, type Person, type Tell, type TellBy } from '@locutor/core/directory';
import type { TakeMessageStep } from '@locutor/core/line';
import { useBoxes, usePeople } from '../api/resources';
import { InlineSelect, type Choice } from '../parts/InlineSelect';
import { asChoices } from './asChoices';
import type { DetailProps } from './detailProps';
import { tellWords } from './tellWords';

/** Whose box, with a beep or without, and who is told. */
export function MessageDetails({ step, of, onChange }: DetailProps<TakeMessageStep>) {
  const [people, boxes] = [usePeople(), useBoxes()];
  const box = boxes.find(({ id }) => id === step.boxId);
  const asTheBox = box ? toldInWords(box.tell, people) : '';
  return (
    <>
      <InlineSelect
        label={`Box of ${of}`}
        value={step.boxId}
        choices={asChoices(boxes)}
        onChange={(value) => onChange({ ...step, boxId: value as typeof step.boxId })}
      />{' '}
      box
      {step.tell === null && asTheBox !== '' && (
        <Text as="span" color="quiet" fontSize="13px">
          {' '}
          (telling {asTheBox})
        </Text>
      )}
      {step.beep !== null && <BeepChoice step={step} of={of} onChange={onChange} />}
      {step.tell !== null && (
        <>
          , telling{' '}
          <InlineSelect
            label={`Who is told of messages in ${of}`}
            value={tellValue(step.tell)}
            choices={[
              { value: 'box', label: 'whom the box tells' },
              { value: 'nobody', label: 'nobody' },
              ...tellChoices(people, step.tell),
            ]}
            onChange={(value) => onChange({ ...step, tell: tellOf(value) })}
          />
        </>
      )}
    </>
  );
}

function BeepChoice({ step, of, onChange }: DetailProps<TakeMessageStep>) {
  return (
    <>
      ,{' '}
      <InlineSelect
        label={`Beep of ${of}`}
        value={String(step.beep)}
        choices={[
          { value: 'true', label: 'with a beep' },
          { value: 'false', label: 'without a beep' },
          { value: 'null', label: 'with a beep or not, as the box has it' },
        ]}
        onChange={(value) => onChange({ ...step, beep: value === 'null' ? null : value === 'true' })}
      />
    </>
  );
}

/** "Noor Haldane by e-mail and Priya Castellanos by text". */
function toldInWords(tell: readonly Tell[], people: readonly Person[]): string {
  return tell
    .map(
      ({ personId, by }) => `${people.find(({ id }) => id === personId)?.name ?? 'somebody deleted'} ${tellWords[by]}`,
    )
    .join(' and ');
}

function tellValue(tell: readonly Tell[] | null): string {
  if (tell === null) return 'box';
  return tell.length === 0 ? 'nobody' : tell.map(({ personId, by }) => `${by} ${personId}`).join(',');
}

function tellOf(value: string): readonly Tell[] | null {
  if (value === 'box') return null;
  if (value === 'nobody') return [];
  return value.split(',').map((each) => {
    const [by, personId] = each.split(' ');
    return { by: by as TellBy, personId: personId as Tell['personId'] };
  });
}

/** Everybody by every way they can be told; and, when several are told, those as they are. */
function tellChoices(people: readonly Person[], now: readonly Tell[] | null): readonly Choice[] {
  const each = people.flatMap(({ id, name, email, mobile }) =>
    tellWays
      .filter((by) => (by === 'text' ? mobile !== '' : email !== ''))
      .map((by): Choice => ({ value: `${by} ${id}`, label: `${name} ${tellWords[by]}` })),
  );
  const value = tellValue(now);
  const isKnown = now === null || now.length === 0 || each.some((choice) => choice.value === value);
  return isKnown ? each : [{ value, label: toldInWords(now, people) }, ...each];
}
