import { Box, Button, Dialog, Portal, Text } from '@chakra-ui/react';
import { useRef, useSyncExternalStore } from 'react';
import { nextQuestion, subscribeToQuestions } from './askedFirst';

/** Asks before something is changed that callers would notice: what it would be for them, line by line. */
export function AskFirst() {
  const question = useSyncExternalStore(subscribeToQuestions, nextQuestion);
  const no = useRef<HTMLButtonElement>(null);
  if (!question) return null;
  const { breaks, answer } = question;
  return (
    <Dialog.Root
      open
      role="alertdialog"
      initialFocusEl={() => no.current}
      onOpenChange={({ open }) => !open && answer(false)}
    >
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content>
            <Dialog.Header>
              <Dialog.Title>Callers would notice this at once</Dialog.Title>
            </Dialog.Header>
            <Dialog.Body maxH="50vh" overflow="auto" tabIndex={0}>
              {[...new Set(breaks.map(({ lineName }) => lineName))].map((name) => (
                <Box as="section" key={name} mb="3">
                  <Text fontWeight="600">On air, {name}</Text>
                  <Box as="ul" pl="5" mt="1" listStyleType="disc">
                    {breaks
                      .filter(({ lineName }) => lineName === name)
                      .map(({ says, why }, index, ofLine) => (
                        <Box as="li" key={says} mb="1">
                          {says} {/* The same reason is said once, after the last that has it. */}
                          {why !== ofLine[index + 1]?.why && (
                            <Text as="span" color="quiet">
                              {why}
                            </Text>
                          )}
                        </Box>
                      ))}
                  </Box>
                </Box>
              ))}
              <Text>Nothing is changed yet.</Text>
            </Dialog.Body>
            <Dialog.Footer>
              <Button ref={no} colorPalette="petrol" onClick={() => answer(false)}>
                No, leave it as it was
              </Button>
              <Button variant="outline" onClick={() => answer(true)}>
                Yes, change it
              </Button>
            </Dialog.Footer>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
