import { Box, Button, Flex, IconButton } from '@chakra-ui/react';
import {
  alwaysEnds,
  defaultRingSeconds,
  longestRingSeconds,
  longestWords,
  mostSteps,
  secondsPerRing,
  shortestRingSeconds,
  sheetOfSlot,
  type Path,
  type Slot,
  type Step,
  type StepType,
} from '@locutor/core/line';
import { Plus, X } from 'lucide-react';
import type { ReactNode } from 'react';
import { useBoxes, useGreetings, usePeople } from '../api/resources';
import { useDraft } from '../draft/DraftProvider';
import { InlineNumber } from './InlineNumber';
import { InlineSelect, type Choice } from './InlineSelect';
import { InlineWords } from './InlineWords';

interface Props {
  readonly slot: Slot;
  readonly path: Path;
  /** What the path belongs to, for screen readers: "key 2". */
  readonly of: string;
}

/** A path as a sentence, each emphasised part a control in place. */
export function PathSentence({ slot, path, of }: Props) {
  const { edit } = useDraft();
  const newStep = useNewStep();
  const set = (next: Path): void => edit({ type: 'setPath', slot, path: next });
  const last = path.at(-1);
  const isOpen = (!last || !alwaysEnds(last)) && path.length < mostSteps;
  return (
    <Box role="group" aria-label={`What ${of} does`} lineHeight="1.9">
      {path.map((step, index) => (
        <StepPhrase
          key={index}
          step={step}
          tail={tailOf(path, index, isOpen)}
          isFirst={index === 0}
          inMenu={isInMenu(slot)}
          of={`${of}, step ${index + 1}`}
          onChange={(changed) => set(withStep(path, index, changed))}
          onRemove={() => set(path.filter((_, each) => each !== index))}
        />
      ))}
      {isOpen && (
        <Button
          size="xs"
          variant="ghost"
          colorPalette="petrol"
          ml={path.length > 0 ? '1' : '-1.5'}
          aria-label={`Add a step to ${of}`}
          onClick={() => set([...path, newStep(path.length === 0 ? 'ring' : 'takeMessage')])}
        >
          <Plus size={13} aria-hidden /> {path.length === 0 ? 'Choose what happens' : 'then'}
        </Button>
      )}
    </Box>
  );
}

function withStep(path: Path, index: number, changed: Step): Path {
  const kept = path.slice(0, index);
  // What always ends lets nothing after it run.
  return alwaysEnds(changed) ? [...kept, changed] : [...kept, changed, ...path.slice(index + 1)];
}

function tailOf(path: Path, index: number, isOpen: boolean): string {
  if (index < path.length - 1) return ',';
  return isOpen ? '' : '.';
}

function isInMenu(slot: Slot): boolean {
  return sheetOfSlot(slot) !== undefined && slot.type !== 'after';
}

interface StepProps {
  readonly step: Step;
  /** What follows it in the sentence: a comma, a full stop, or nothing. */
  readonly tail: string;
  readonly isFirst: boolean;
  readonly inMenu: boolean;
  readonly of: string;
  readonly onChange: (step: Step) => void;
  readonly onRemove: () => void;
}

const verbs: Readonly<Record<StepType, string>> = {
  ring: 'ring',
  say: 'say',
  takeMessage: 'take a message in',
  goTo: 'go to',
  sayAgain: 'say this menu again',
  hangUp: 'hang up',
};

function StepPhrase({ step, tail, isFirst, inMenu, of, onChange, onRemove }: StepProps) {
  const newStep = useNewStep();
  const choices = (Object.keys(verbs) as StepType[])
    .filter((type) => inMenu || type !== 'sayAgain')
    .map((type): Choice => ({ value: type, label: isFirst ? capitalise(verbs[type]) : verbs[type] }));
  return (
    <Box as="span" css={{ '& .remove': { opacity: 0.3 }, '&:hover .remove, & .remove:focus-visible': { opacity: 1 } }}>
      {!isFirst && 'then '}
      <InlineSelect
        label={`What ${of} does`}
        value={step.type}
        choices={choices}
        onChange={(type) => onChange(newStep(type as StepType))}
      />{' '}
      <StepDetails step={step} of={of} onChange={onChange} />
      {tail}
      <IconButton
        className="remove"
        size="2xs"
        variant="ghost"
        minW="24px"
        h="24px"
        mr="1"
        aria-label={`Remove ${of}`}
        title="Remove this step"
        onClick={onRemove}
      >
        <X size={12} />
      </IconButton>
    </Box>
  );
}

type DetailProps = Pick<StepProps, 'step' | 'of' | 'onChange'>;

function StepDetails({ step, of, onChange }: DetailProps): ReactNode {
  const { attendant } = useDraft();
  const [people, boxes] = [usePeople(), useBoxes()];
  switch (step.type) {
    case 'ring':
      return (
        <>
          <InlineSelect
            label={`Who is rung by ${of}`}
            value={step.personId}
            choices={asChoices(people)}
            onChange={(value) => onChange({ ...step, personId: value as typeof step.personId })}
          />{' '}
          for{' '}
          <InlineNumber
            label={`Seconds of ringing in ${of}`}
            value={step.seconds}
            least={shortestRingSeconds}
            most={longestRingSeconds}
            step={secondsPerRing}
            onChange={(seconds) => onChange({ ...step, seconds })}
          />{' '}
          s ({Math.max(1, Math.round(step.seconds / secondsPerRing))} rings)
        </>
      );
    case 'takeMessage':
      return (
        <>
          <InlineSelect
            label={`Box of ${of}`}
            value={step.boxId}
            choices={asChoices(boxes)}
            onChange={(value) => onChange({ ...step, boxId: value as typeof step.boxId })}
          />{' '}
          box
        </>
      );
    case 'goTo':
      return (
        <InlineSelect
          label={`Sheet of ${of}`}
          value={step.sheetId}
          choices={asChoices(attendant.sheets)}
          onChange={(value) => onChange({ ...step, sheetId: value as typeof step.sheetId })}
        />
      );
    case 'say':
      return <SayDetails step={step} of={of} onChange={onChange} />;
    case 'hangUp':
      return (
        <Words
          label={`Goodbye words of ${of}`}
          placeholder="without a word, or type a goodbye"
          value={step.words}
          onChange={(words) => onChange({ ...step, words })}
        />
      );
    case 'sayAgain':
      return null;
  }
}

function SayDetails({ step, of, onChange }: DetailProps & { readonly step: Extract<Step, { type: 'say' }> }) {
  const greetings = useGreetings();
  const { spoken } = step;
  return (
    <>
      <InlineSelect
        label={`Words of ${of}`}
        value={spoken.type === 'greeting' ? spoken.greetingId : 'typed'}
        choices={[{ value: 'typed', label: 'these words:' }, ...asChoices(greetings)]}
        onChange={(value) =>
          onChange({
            ...step,
            spoken:
              value === 'typed'
                ? { type: 'typed', words: '' }
                : { type: 'greeting', greetingId: value as (typeof greetings)[number]['id'] },
          })
        }
      />{' '}
      {spoken.type === 'typed' && (
        <Words
          label={`Words said in ${of}`}
          placeholder="type what is said"
          value={spoken.words}
          onChange={(words) => onChange({ ...step, spoken: { type: 'typed', words } })}
        />
      )}
    </>
  );
}

function Words(props: { label: string; placeholder: string; value: string; onChange: (words: string) => void }) {
  return (
    <Flex as="span" display="inline-flex" maxW="100%">
      <InlineWords {...props} most={longestWords} fontSize="15px" minW="200px" />
    </Flex>
  );
}

/** Makes a step of a type with its defaults: the first person, box or sheet there is. */
function useNewStep(): (type: StepType) => Step {
  const { attendant } = useDraft();
  const [people, boxes] = [usePeople(), useBoxes()];
  return (type) => {
    switch (type) {
      case 'ring':
        return { type, personId: people[0]?.id ?? ('person:none' as never), seconds: defaultRingSeconds };
      case 'say':
        return { type, spoken: { type: 'typed', words: '' } };
      case 'takeMessage':
        return { type, boxId: boxes[0]?.id ?? ('box:none' as never) };
      case 'goTo':
        return { type, sheetId: attendant.sheets[0]?.id ?? ('sheet:none' as never) };
      case 'sayAgain':
        return { type };
      case 'hangUp':
        return { type, words: 'Goodbye.' };
    }
  };
}

function asChoices(items: readonly { readonly id: string; readonly name: string }[]): readonly Choice[] {
  return items.map(({ id, name }) => ({ value: id, label: name }));
}

function capitalise(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
