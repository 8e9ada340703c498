import { Button, Menu, Portal } from '@chakra-ui/react';
import { describeSsmlProblem, writeSsml, type SsmlGreeting } from '@locutor/core/formats';
import { FileCode2 } from 'lucide-react';
import { useRef } from 'react';
import { wordsOf } from '../../api/client';
import { tellDone, tellProblem } from '../../parts/notices';
import { saveFile } from '../../parts/saveFile';
import { useSpokenFacts } from '../../speech/useSpokenFacts';
import { readAside } from '../../workers/reading';
import { readTextFile } from '../directory/readTextFile';
import { useDictionary } from './useDictionary';

interface Props {
  readonly name: string;
  readonly greeting: SsmlGreeting;
  readonly onRead: (greeting: SsmlGreeting) => void;
}

/** Saves a greeting as SSML 1.1, or takes one in from it. */
export function SsmlMenu({ name, greeting, onRead }: Props) {
  const facts = useSpokenFacts();
  const dictionary = useDictionary();
  const input = useRef<HTMLInputElement>(null);
  const save = (): void =>
    saveFile(`${name}.ssml`, 'application/ssml+xml', writeSsml(greeting, facts, dictionary.words));
  const take = async (file: File): Promise<void> => {
    try {
      const content = await readTextFile(file);
      if (!content.ok) return tellProblem(content.says);
      const read = await readAside('ssml', { text: content.text, voice: greeting.voice });
      if (!read.ok) return tellProblem(read.problems.map(describeSsmlProblem).join(' '));
      const { words, voice, sayAs, left } = read.value;
      const before = { ...greeting };
      onRead({ words, voice });
      await dictionary.add(sayAs);
      const leftOut = left.length > 0 ? ` Left out, their words kept: ${left.join(', ')}.` : '';
      tellDone(`“${file.name}” was taken in.${leftOut}`, () => onRead(before));
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
  return (
    <>
      <Menu.Root lazyMount onSelect={({ value }) => (value === 'save' ? save() : input.current?.click())}>
        <Menu.Trigger asChild>
          <Button size="xs" variant="ghost" color="quiet">
            <FileCode2 size={13} aria-hidden /> SSML
          </Button>
        </Menu.Trigger>
        <Portal>
          <Menu.Positioner>
            <Menu.Content>
              <Menu.Item value="save">Save as SSML 1.1</Menu.Item>
              <Menu.Item value="take">Take words in from SSML</Menu.Item>
            </Menu.Content>
          </Menu.Positioner>
        </Portal>
      </Menu.Root>
      <input
        ref={input}
        type="file"
        accept=".ssml,.xml,application/ssml+xml"
        hidden
        aria-label="SSML file"
        onChange={(event) => {
          const [file] = event.currentTarget.files ?? [];
          if (file) void take(file);
          event.currentTarget.value = '';
        }}
      />
    </>
  );
}
