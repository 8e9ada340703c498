import { Button, createToaster, Stack, Toast, Toaster } from '@chakra-ui/react';

/** At the bottom right, beside the handset where that is docked (`theme.ts`). */
const edges = { left: '16px', right: 'var(--notices-right, 16px)', top: '16px', bottom: '16px' };
const toaster = createToaster({ placement: 'bottom-end', offsets: edges, pauseOnPageIdle: true });

interface WayBack {
  readonly undo: () => void;
  /** What the button says; "Undo" when left out. */
  readonly does?: string;
}

/** One notice at a time: the one before it goes. */
function tell(notice: Parameters<typeof toaster.create>[0]): void {
  toaster.dismiss();
  lastUndo = null;
  const id = toaster.create(notice);
  if (notice.action) lastUndo = id;
}

/** The notice that offers to take something back, while it is there. */
let lastUndo: string | null = null;

/** Says briefly what was done, with a way back where there is one, which stays until the next change. */
export function tellDone(title: string, back?: (() => void) | WayBack): void {
  const { undo, does = 'Undo' } = typeof back === 'function' ? { undo: back } : { ...back };
  if (undo) tell({ title, duration: Infinity, action: { label: does, onClick: undo } });
  else tell({ title, duration: 8000 });
}

/** Says that something was changed: what was done before it can no longer be taken back by itself. */
export function forgetUndo(): void {
  if (lastUndo !== null) toaster.dismiss(lastUndo);
  lastUndo = null;
}

/** Says what did not work, until it is closed. */
export function tellProblem(says: string): void {
  tell({ title: says, duration: 20_000, type: 'error' });
}

export function Notices() {
  return (
    <Toaster toaster={toaster}>
      {(toast) => (
        // What lies under a notice can still be clicked; only its own buttons take the click.
        <Toast.Root
          bg="ink"
          color="paper"
          alignItems="center"
          pointerEvents="none"
          w={{ base: 'calc(100vw - 32px)', md: '360px' }}
        >
          <Stack flex="1" gap="1">
            <Toast.Title fontWeight="500">{toast.title}</Toast.Title>
          </Stack>
          {toast.action && (
            <Toast.ActionTrigger asChild>
              <Button
                pointerEvents="auto"
                size="xs"
                variant="outline"
                color="paper"
                borderColor="paper"
                _hover={{ bg: 'transparent' }}
              >
                {toast.action.label}
              </Button>
            </Toast.ActionTrigger>
          )}
          <Toast.CloseTrigger color="paper" position="static" pointerEvents="auto" />
        </Toast.Root>
      )}
    </Toaster>
  );
}
