import { useDroppable } from '@dnd-kit/core';
import { Box, Button } from '@chakra-ui/react';
import { alwaysEnds, canGoOn, mostSteps, slotKey, type Path, type Slot, type Step } from '@locutor/core/line';
import { ClipboardPaste, Plus } from 'lucide-react';
import { memo } from 'react';
import { useAttendantPart, useDraftTools } from '../draft/DraftProvider';
import { fallbacksOf, namedPathsOf } from './namedPaths';
import { useClipboard } from './clipboard';
import { withStep, withSteps } from './pathChanges';
import { StepPhrase } from './StepPhrase';
import { useNewStep } from './useNewStep';

interface Props {
  readonly slot: Slot;
  readonly path: Path;
  /** What the path belongs to, for screen readers: "key 2". */
  readonly of: string;
}

/** A path as a sentence, each emphasised part a control in place. */
export const PathSentence = memo(function PathSentence({ slot, path, of }: Props) {
  const { edit } = useDraftTools();
  const paths = useAttendantPart(namedPathsOf);
  const fallbacks = useAttendantPart(fallbacksOf);
  const newStep = useNewStep(slot);
  const clip = useClipboard();
  const set = (next: Path): void => edit({ type: 'setPath', slot, path: next });
  const isOpen = canGoOn({ paths, fallbacks }, path) && path.length < mostSteps;
  const isHandedOver = path.at(-1)?.type === 'handOver';
  const { setNodeRef, isOver } = useDroppable({
    id: `${slotKey(slot)}#end`,
    data: { type: 'step', slot, index: path.length },
  });
  const paste = (): void => {
    if (clip?.type === 'steps') set(withSteps(path, path.length, clip.steps));
  };
  return (
    <Box role="group" aria-label={`What ${of} does`} lineHeight="1.9">
      {path.map((step, index) => (
        <StepPhrase
          key={index}
          slot={slot}
          path={path}
          index={index}
          tail={index < path.length - 1 ? goesOn(step) : isOpen && !isHandedOver ? '' : '.'}
          of={`${of}, step ${index + 1}`}
          onChange={(changed) => set(withStep(path, index, changed))}
          onPath={set}
        />
      ))}
      <span ref={setNodeRef}>
        {isOpen && (
          <Button
            size="xs"
            variant="ghost"
            colorPalette="petrol"
            ml={path.length > 0 ? '1' : '-1.5'}
            aria-label={`Add a step to ${of}`}
            onClick={() => set([...path, newStep(nextType(path))])}
          >
            <Plus size={13} aria-hidden />{' '}
            {path.length === 0 ? 'Choose what happens' : isHandedOver ? 'if it is not taken there' : 'then'}
          </Button>
        )}
        {isOpen && clip?.type === 'steps' && (
          <Button
            size="xs"
            variant="ghost"
            color="quiet"
            aria-label={`Paste into ${of}`}
            title="Paste what was cut or copied"
            onClick={paste}
          >
            <ClipboardPaste size={13} aria-hidden /> paste
          </Button>
        )}
        {isOver && <Box as="span" borderLeftWidth="2px" borderColor="petrol.solid" ml="1" aria-hidden />}
      </span>
    </Box>
  );
}, isSamePath);

/** What stands between a step and the next: after a hand-over that comes only when it fails. */
function goesOn({ type }: Step): string {
  return type === 'handOver' ? '; if it is not taken there,' : ',';
}

/** Slots are made anew at every render of a sheet; what they name counts. */
function isSamePath(before: Props, after: Props): boolean {
  return before.path === after.path && before.of === after.of && slotKey(before.slot) === slotKey(after.slot);
}

/** First somebody is rung, then a message is taken. */
function nextType(path: Path): Step['type'] {
  const last = path.at(-1);
  return !last || (last.type === 'say' && !alwaysEnds(last)) ? 'ring' : 'takeMessage';
}
