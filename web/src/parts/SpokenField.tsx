import { Box, Flex, Text } from '@chakra-ui/react';
import { defaultVoice, longestWords, type VoiceId } from '@locutor/core/line';
import { useCallback, useRef } from 'react';
import { InsertMenu } from './words/InsertMenu';
import { useChipWords } from './words/useChipWords';
import { WordsEditor, type WordsEditorHandle } from './words/WordsEditor';

interface Props {
  readonly label: string;
  readonly value: string;
  readonly placeholder?: string;
  /** The voice that says it, and so the language of its live parts. */
  readonly voice?: VoiceId;
  /** Whether the options of a menu can be placed in it. */
  readonly withOptions?: boolean;
  readonly onChange: (words: string) => void;
}

/** Words that a caller will hear, in the spoken face, with chips for what is always current. */
export function SpokenField(props: Props) {
  const { label, value, placeholder = '', voice = defaultVoice, withOptions = false, onChange } = props;
  const editor = useRef<WordsEditorHandle>(null);
  const insert = useCallback((text: string) => editor.current?.insert(text), []);
  const chipWords = useChipWords(voice);
  const over = value.length - longestWords;
  return (
    <Box>
      <Flex align="center" gap="1">
        <Text fontSize="12px" color="quiet" aria-hidden>
          {label}
        </Text>
        <InsertMenu label={label} withOptions={withOptions} onInsert={insert} />
      </Flex>
      <WordsEditor
        ref={editor}
        label={label}
        value={value}
        placeholder={placeholder}
        isWrong={over > 0}
        chipWords={chipWords}
        onChange={onChange}
      />
      {over > 0 && (
        <Text role="alert" fontSize="13px" fontWeight="500">
          Too long by {over.toLocaleString()} characters: at most {longestWords.toLocaleString()}. It stays here, and is
          saved once it is shorter.
        </Text>
      )}
    </Box>
  );
}
