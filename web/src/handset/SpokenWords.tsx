import { Button, Flex, Input } from '@chakra-ui/react';
import { useState } from 'react';

/** What the caller says, typed in place of spoken. */
export function SpokenWords({ onSpeak }: { readonly onSpeak: (words: string) => void }) {
  const [words, setWords] = useState('');
  return (
    <Flex asChild gap="1.5" mt="2">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (words.trim()) onSpeak(words.trim());
          setWords('');
        }}
      >
        <Input
          size="sm"
          bg="sheet"
          fontFamily="spoken"
          aria-label="Say something, typed"
          placeholder="Or type what you say"
          maxLength={200}
          value={words}
          onChange={(event) => setWords(event.currentTarget.value)}
        />
        <Button size="sm" type="submit" variant="outline" bg="sheet" disabled={!words.trim()}>
          Say
        </Button>
      </form>
    </Flex>
  );
}
