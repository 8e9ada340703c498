import { IconButton, Menu, Portal } from '@chakra-ui/react';
import { greetingId, namedPathId, unchosen, type Hearing, type Path, type Slot, type Step } from '@locutor/core/line';
import { EllipsisVertical } from 'lucide-react';
import { useState, type HTMLAttributes } from 'react';
import { useNavigate } from 'react-router';
import { useGreetings } from '../api/resources';
import { useDraftTools } from '../draft/DraftProvider';
import { newId } from '../parts/newId';
import { useClipboard } from './clipboard';

export type StepAct = 'earlier' | 'later' | 'duplicate' | 'cut' | 'copy' | 'copyAll' | 'paste' | 'remove';

interface Props {
  readonly step: Step;
  readonly of: string;
  readonly isFirst: boolean;
  readonly isLast: boolean;
  readonly slot: Slot;
  readonly path: Path;
  /** What makes the button a handle to drag the step by. */
  readonly handle: HTMLAttributes<HTMLElement>;
  readonly onAct: (what: StepAct) => void;
  readonly onChange: (step: Step) => void;
  readonly onPath: (path: Path) => void;
}

/** What can be done with a step; its button is also the handle it is dragged by. */
export function StepMenu(props: Props) {
  // A menu is made only when it is wanted: a long sheet has many steps.
  const [wasOpened, setOpened] = useState(false);
  const { of, handle } = props;
  const button = (
    <IconButton
      {...(handle as object)}
      className="step-menu"
      size="2xs"
      variant="ghost"
      minW="24px"
      h="24px"
      mr="1"
      cursor="grab"
      aria-label={`More for ${of}`}
      aria-roledescription={undefined}
      aria-haspopup="menu"
      title="Click for more; drag to move it; Alt+↑ and Alt+↓ move it too"
      onClick={() => setOpened(true)}
    >
      <EllipsisVertical size={13} />
    </IconButton>
  );
  if (!wasOpened) return button;
  return (
    <Menu.Root defaultOpen lazyMount unmountOnExit>
      <Menu.Trigger asChild>{button}</Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content minW="240px">
            <Items {...props} />
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  );
}

function Items({ step, isFirst, isLast, slot, path, onAct, onChange, onPath }: Props) {
  const clip = useClipboard();
  const item = (what: StepAct, label: string, keys = '', isOff = false) => (
    <Menu.Item value={what} disabled={isOff} onSelect={() => onAct(what)}>
      {label}
      {keys && <Menu.ItemCommand>{keys}</Menu.ItemCommand>}
    </Menu.Item>
  );
  return (
    <>
      <OwnItems step={step} onChange={onChange} />
      {item('earlier', 'Move earlier', 'Alt ↑', isFirst)}
      {item('later', 'Move later', 'Alt ↓', isLast)}
      {item('duplicate', 'Duplicate', 'Ctrl D')}
      <Menu.Separator />
      {item('cut', 'Cut', 'Ctrl X')}
      {item('copy', 'Copy', 'Ctrl C')}
      {path.length > 1 && item('copyAll', 'Copy the whole path')}
      {item('paste', 'Paste after this', 'Ctrl V', clip?.type !== 'steps')}
      <Menu.Separator />
      {slot.type !== 'named' && <GiveNameItem path={path} onPath={onPath} />}
      {item('remove', 'Remove this step', 'Del')}
    </>
  );
}

/** What a step can have besides: words before, something else to hear than the ringback tone, no limit, no beep. */
function OwnItems({ step, onChange }: Pick<Props, 'step' | 'onChange'>) {
  const greetings = useGreetings();
  if (step.type === 'handOver') {
    if (step.before !== '') return null;
    return (
      <Menu.Item value="before" onSelect={() => onChange({ ...step, before: 'One moment, please.' })}>
        Say something before
      </Menu.Item>
    );
  }
  if (step.type === 'takeMessage') {
    return (
      <>
        {step.beep === null && (
          <Menu.Item value="beep" onSelect={() => onChange({ ...step, beep: false })}>
            Without a beep
          </Menu.Item>
        )}
        {step.tell === null && (
          <Menu.Item value="tell" onSelect={() => onChange({ ...step, tell: [] })}>
            Choose who is told here
          </Menu.Item>
        )}
        <Menu.Separator />
      </>
    );
  }
  if (!isRinging(step)) return null;
  const noLimit = step.type === 'ringGroup' ? 'Ring for as long as the group says' : 'Ring with no limit';
  return (
    <>
      {step.before === '' && (
        <Menu.Item value="before" onSelect={() => onChange({ ...step, before: 'One moment, please.' })}>
          Say something before it rings
        </Menu.Item>
      )}
      {step.hear.type === 'ringback' && (
        <Menu.Item value="music" onSelect={() => onChange({ ...step, hear: { type: 'music' } })}>
          Let them hear music meanwhile
        </Menu.Item>
      )}
      {step.hear.type === 'ringback' && greetings.length > 0 && (
        <Menu.Item
          value="hear"
          onSelect={() => onChange({ ...step, hear: { type: 'greeting', greetingId: unchosen(greetingId) } })}
        >
          Let them hear a greeting meanwhile
        </Menu.Item>
      )}
      {step.type !== 'ringOperator' && (
        <Menu.Item value="limit" onSelect={() => onChange({ ...step, seconds: step.seconds === null ? 24 : null })}>
          {step.seconds === null ? 'Ring for so many seconds' : noLimit}
        </Menu.Item>
      )}
      <Menu.Separator />
    </>
  );
}

function isRinging(step: Step): step is Extract<Step, { readonly hear: Hearing }> {
  return 'hear' in step;
}

/** Makes the whole path one with a name, to be followed from other places too. */
function GiveNameItem({ path, onPath }: Pick<Props, 'path' | 'onPath'>) {
  const { edit } = useDraftTools();
  const navigate = useNavigate();
  const give = (): void => {
    const id = newId(namedPathId);
    edit({ type: 'addNamedPath', path: { id, name: 'New path', steps: path } });
    onPath([{ type: 'followPath', pathId: id }]);
    void navigate(`/script/${id}`);
  };
  return (
    <Menu.Item value="name" onSelect={give}>
      Give this path a name, to use it elsewhere
    </Menu.Item>
  );
}
