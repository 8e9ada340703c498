import { Box, Button, CloseButton, Dialog, Flex, Input, Portal, Text } from '@chakra-ui/react';
import { languageOf, languages, type Language } from '@locutor/core/line';
import { longestSaid, longestWritten, namesToHear, type SayAs } from '@locutor/core/speech';
import { Plus, Trash2, Volume2 } from 'lucide-react';
import { useState } from 'react';
import { wordsOf } from '../../api/client';
import { usePeople } from '../../api/resources';
import { useDraft } from '../../draft/DraftProvider';
import { loadSentence, playPcm } from '../../handset/sounds';
import { InlineSelect } from '../../parts/InlineSelect';
import { tellProblem } from '../../parts/notices';
import { SmallButton } from '../../parts/SmallButton';
import { useDictionary } from './useDictionary';

const languageChoices = [
  { value: '', label: 'every language' },
  ...Object.entries(languages).map(([value, label]) => ({ value, label })),
];

/** As many as fit; the next ones follow once these are settled. */
const mostNames = 12;

/** How words are to be said: a list of the business's own, used by every voice everywhere. */
export function Dictionary({ onClose }: { readonly onClose: () => void }) {
  const kept = useDictionary();
  const [typed, setTyped] = useState<readonly SayAs[] | null>(null);
  const { attendant } = useDraft();
  const words = typed ?? kept.words;
  const people = usePeople();
  const worthHearing = namesToHear(people, languageOf(attendant.voice), words).slice(0, mostNames);
  const set = (index: number, changes: Partial<SayAs>): void =>
    setTyped(words.map((word, at) => (at === index ? { ...word, ...changes } : word)));
  const isWhole = ({ written, said }: SayAs): boolean => written.trim() !== '' && said.trim() !== '';
  const save = async (): Promise<void> => {
    try {
      await kept.save(words.filter(isWhole));
      onClose();
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  const hear = async (text: string): Promise<void> => {
    try {
      playPcm(await loadSentence(attendant.voice, text));
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  return (
    <Dialog.Root open onOpenChange={({ open }) => !open && onClose()} size="lg">
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content>
            <Dialog.Header>
              <Dialog.Title>How words are said</Dialog.Title>
            </Dialog.Header>
            <Dialog.Body>
              <Text color="quiet" mb="3">
                Spell a word the way it sounds, and every voice says it so, everywhere and at once.
              </Text>
              {words.map((word, index) => (
                <Flex key={index} gap="2" align="center" py="1" wrap="wrap">
                  <Input
                    size="sm"
                    w="170px"
                    aria-label={`Word ${index + 1}`}
                    placeholder="Nguyen"
                    maxLength={longestWritten}
                    value={word.written}
                    onChange={(event) => set(index, { written: event.currentTarget.value })}
                  />
                  <Text>is said</Text>
                  <Input
                    size="sm"
                    flex="1"
                    minW="120px"
                    fontFamily="spoken"
                    aria-label={`How word ${index + 1} is said`}
                    placeholder="win"
                    maxLength={longestSaid}
                    value={word.said}
                    onChange={(event) => set(index, { said: event.currentTarget.value })}
                  />
                  <Text>in</Text>
                  <InlineSelect
                    label={`Language of word ${index + 1}`}
                    value={word.language ?? ''}
                    choices={languageChoices}
                    onChange={(value) => set(index, { language: value === '' ? null : (value as Language) })}
                  />
                  <SmallButton
                    label={`Hear word ${index + 1}`}
                    icon={<Volume2 size={14} />}
                    isOff={!isWhole(word)}
                    onClick={() => void hear(word.said)}
                  />
                  <SmallButton
                    label={`Remove word ${index + 1}`}
                    icon={<Trash2 size={14} />}
                    onClick={() => setTyped(words.filter((_, at) => at !== index))}
                  />
                </Flex>
              ))}
              {worthHearing.length > 0 && (
                <Box mt="3" role="group" aria-label="Names worth hearing">
                  <Text fontSize="13px" color="quiet">
                    Names that the voice may get wrong: hear them, and add those that are.
                  </Text>
                  <Flex gap="2" wrap="wrap" mt="1">
                    {worthHearing.map((name) => (
                      <Flex key={name} align="center" borderWidth="1px" borderRadius="md" ps="2" bg="sheet">
                        <Text as="span" fontFamily="spoken">
                          {name}
                        </Text>
                        <SmallButton
                          label={`Hear ${name}`}
                          icon={<Volume2 size={14} />}
                          onClick={() => void hear(name)}
                        />
                        <SmallButton
                          label={`Say how ${name} is said`}
                          icon={<Plus size={14} />}
                          onClick={() => setTyped([...words, { written: name, said: '', language: null }])}
                        />
                      </Flex>
                    ))}
                  </Flex>
                </Box>
              )}
              <Box mt="2">
                <Button
                  size="sm"
                  variant="ghost"
                  colorPalette="petrol"
                  onClick={() => setTyped([...words, { written: '', said: '', language: null }])}
                >
                  <Plus size={14} aria-hidden /> Add a word
                </Button>
              </Box>
            </Dialog.Body>
            <Dialog.Footer>
              <Button variant="outline" onClick={onClose}>
                Leave it
              </Button>
              <Button colorPalette="petrol" onClick={() => void save()} disabled={!kept.isLoaded || typed === null}>
                Save
              </Button>
            </Dialog.Footer>
            <Dialog.CloseTrigger asChild>
              <CloseButton size="sm" />
            </Dialog.CloseTrigger>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
