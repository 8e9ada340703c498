import { Button, createToaster, Stack, Toast, Toaster } from '@chakra-ui/react';

/** At the bottom right, beside the handset where that is docked (`theme.ts`). */
const edges = { left: '16px', right: 'var(--notices-right, 16px)', top: '16px', bottom: '16px' };
const toaster = createToaster({ placement: 'bottom-end', offsets: edges, pauseOnPageIdle: true });

/** Says briefly what was done, with a way back where there is one. */
export function tellDone(title: string, undo?: () => void): void {
  toaster.create({ title, duration: 8000, ...(undo ? { action: { label: 'Undo', onClick: undo } } : {}) });
}

/** Says what did not work, until it is closed. */
export function tellProblem(says: string): void {
  toaster.create({ title: says, duration: 20_000, type: 'error' });
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
