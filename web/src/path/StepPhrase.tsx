import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { Box } from '@chakra-ui/react';
import { sheetOfSlot, slotKey, type Path, type Slot, type Step, type StepType } from '@locutor/core/line';
import type { KeyboardEvent } from 'react';
import { useGroups, useLines, useQueues } from '../api/resources';
import { useAttendantPart } from '../draft/DraftProvider';
import { InlineSelect, type Choice } from '../parts/InlineSelect';
import { putOnClipboard, clipNow } from './clipboard';
import { namedPathsOf } from './namedPaths';
import { withoutStep, withStepMoved, withSteps } from './pathChanges';
import { StepDetails } from './StepDetails';
import { StepMenu, type StepAct } from './StepMenu';
import { capitalise, stepTypes, stepVerbs } from './stepVerbs';
import { useNewStep } from './useNewStep';

interface Props {
  readonly slot: Slot;
  readonly path: Path;
  readonly index: number;
  /** What follows it in the sentence: a comma, a full stop, or nothing. */
  readonly tail: string;
  readonly of: string;
  readonly onChange: (step: Step) => void;
  readonly onPath: (path: Path) => void;
}

/** One step of a path, in words. */
export function StepPhrase({ slot, path, index, tail, of, onChange, onPath }: Props) {
  const newStep = useNewStep(slot);
  const step = path[index] as Step;
  const isFirst = index === 0;
  const choices = useStepChoices(slot, step.type, isFirst);
  const { attributes, listeners, setNodeRef, transform, isDragging } = useSortable({
    id: `${slotKey(slot)}#${index}`,
    data: { type: 'step', slot, index },
  });
  const act = (what: StepAct): void => {
    switch (what) {
      case 'earlier':
        return onPath(withStepMoved(path, index, index - 1));
      case 'later':
        return onPath(withStepMoved(path, index, index + 1));
      case 'duplicate':
        return onPath(withSteps(path, index, [step]));
      case 'cut':
        putOnClipboard({ type: 'steps', steps: [step] });
        return onPath(withoutStep(path, index));
      case 'copy':
        return putOnClipboard({ type: 'steps', steps: [step] });
      case 'copyAll':
        return putOnClipboard({ type: 'steps', steps: path });
      case 'paste': {
        const clip = clipNow();
        return clip?.type === 'steps' ? onPath(withSteps(path, index + 1, clip.steps)) : undefined;
      }
      case 'remove':
        return onPath(withoutStep(path, index));
    }
  };
  return (
    <Box
      as="span"
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), opacity: isDragging ? 0.5 : undefined }}
      css={{ '& .step-menu': { opacity: 0.35 }, '&:hover .step-menu, & .step-menu:focus-visible': { opacity: 1 } }}
      onKeyDown={(event) => onStepKey(event, act)}
    >
      {!isFirst && 'then '}
      <InlineSelect
        label={`What ${of} does`}
        value={step.type}
        choices={choices}
        onChange={(type) => onChange(newStep(type as StepType, step))}
      />{' '}
      <StepDetails step={step} of={of} onChange={onChange} />
      <span style={{ whiteSpace: 'nowrap' }}>
        {tail}
        <StepMenu
          step={step}
          of={of}
          isFirst={isFirst}
          isLast={index === path.length - 1}
          slot={slot}
          path={path}
          handle={{ ...attributes, ...listeners }}
          onAct={act}
          onChange={onChange}
          onPath={onPath}
        />
      </span>
    </Box>
  );
}

/** Alt and arrows move a step wherever the cursor is in it; the others only where nothing is typed. */
function onStepKey(event: KeyboardEvent, act: (what: StepAct) => void): void {
  const does = (what: StepAct): void => {
    event.preventDefault();
    event.stopPropagation();
    act(what);
  };
  if (event.altKey && event.key === 'ArrowUp') return does('earlier');
  if (event.altKey && event.key === 'ArrowDown') return does('later');
  const onHandle = (event.target as HTMLElement).classList.contains('step-menu');
  if (!onHandle) return;
  if (event.key === 'Delete') return does('remove');
  if (!event.ctrlKey && !event.metaKey) return;
  const acts: Partial<Record<string, StepAct>> = { x: 'cut', c: 'copy', v: 'paste', d: 'duplicate' };
  const what = acts[event.key.toLowerCase()];
  if (what) does(what);
}

/** What a step can become here: only what there is something to lead to. */
function useStepChoices(slot: Slot, now: StepType, isFirst: boolean): readonly Choice[] {
  const paths = useAttendantPart(namedPathsOf);
  const lines = useLines().data?.length ?? 1;
  const [groups, queues] = [useGroups(), useQueues()];
  const inSheet = sheetOfSlot(slot) !== undefined || slot.type === 'named';
  const isOffered: Partial<Record<StepType, boolean>> = {
    sayAgain: inSheet,
    back: inSheet,
    ringGroup: groups.length > 0,
    waitInQueue: queues.length > 0,
    toLine: lines > 1,
    followPath: paths.length > 0,
  };
  return stepTypes
    .filter((type) => type === now || (isOffered[type] ?? true))
    .map((type) => ({ value: type, label: isFirst ? capitalise(stepVerbs[type]) : stepVerbs[type] }));
}
